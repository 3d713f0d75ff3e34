/** The firings of a file: one per kiln, day, cone and atmosphere. */
import { coneOrdinal } from '@/core/cones';
import { coneOf, type ConeKnown } from '@/core/firing';
import type { Transaction } from '@/data/database';
import { createFiring } from '@/data/firings';
import { newId } from '@/data/ids';
import type { Kiln } from '@/data/kilns';
import { setConeShown, setImported } from '@/data/past-firings';
import type { ImportRow } from './interpret';
import { firingKey } from './plan';

export type WrittenFiring = {
  id: string;
  no: number;
  kiln: string;
  nobodyKnows: boolean;
  seenAt: Date;
  band: string;
  known: ConeKnown;
};

/** One opened firing per kiln, day, cone and atmosphere; nothing unknown is filled in. */
export async function writeFirings(
  trx: Transaction,
  rows: readonly ImportRow[],
  kilnOf: (row: ImportRow) => Kiln,
  conesShown: boolean,
  by: string,
  now: Date,
): Promise<Map<string, WrittenFiring>> {
  const written = new Map<string, WrittenFiring>();
  const sorted = [...rows].sort((a, b) => (a.date ?? '').localeCompare(b.date ?? ''));
  for (const row of sorted) {
    const key = firingKey(row);
    if (written.has(key)) continue;
    const kiln = kilnOf(row);
    const id = newId();
    const no = await createFiring(
      trx,
      id,
      {
        kilnId: kiln.id,
        kind: 'glaze',
        targetCone: row.cone,
        atmosphere: row.atmosphere,
        plannedFor: row.date,
        notes: 'Brought in with past tests.',
      },
      by,
      now,
    );
    const seenAt = row.date === null ? now : new Date(`${row.date}T12:00:00Z`);
    await setImported(trx, id, seenAt);
    if (conesShown && row.cone !== null) await setConeShown(trx, id, row.cone, by, seenAt);
    const { band, known } = coneOf({
      reachedOrdinal: conesShown && row.cone !== null ? coneOrdinal(row.cone) : null,
      reachedBound: 'exact',
      byLog: null,
      targetCone: row.cone,
    });
    written.set(key, {
      id,
      no,
      kiln: kiln.name,
      nobodyKnows: kiln.nobodyKnows,
      seenAt,
      band,
      known,
    });
  }
  return written;
}
