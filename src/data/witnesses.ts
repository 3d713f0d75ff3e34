/** Witness cones: where they stand, how far they bent, and the cone that follows from them. */
import type { ConeRole } from '@/core/firing';
import { coneBand, coneOrdinal, readFiring } from '@/core/cones';
import type { Row, Source } from './database';
import { groupRows } from './rows';
import { findFiring } from './firings';
import { newId } from './ids';

export type Witness = {
  id: string;
  cone: string;
  role: ConeRole;
  place: string;
  bendDegrees: number | null;
};

const witness = (row: Row): Witness => ({
  id: row.id,
  cone: row.cone,
  role: row.role,
  place: row.place,
  bendDegrees: row.bend_degrees,
});

export async function listWitnesses(
  src: Source,
  firingIds: readonly string[],
): Promise<Map<string, Witness[]>> {
  const rows = await src('witness_cone')
    .whereIn('firing_id', firingIds)
    .orderBy(['firing_id', 'place']);
  return groupRows(rows, witness, (row) => row.firing_id);
}

/** Replaces the cone packs of a firing; readings of cones that stay are kept. */
export async function setWitnesses(
  src: Source,
  firingId: string,
  cones: readonly { cone: string; role: Witness['role']; place: string }[],
): Promise<void> {
  const held = (await listWitnesses(src, [firingId])).get(firingId) ?? [];
  const key = (cone: { cone: string; place: string }): string => `${cone.place}\n${cone.cone}`;
  const wanted = new Set(cones.map(key));
  const gone = held.filter((cone) => !wanted.has(key(cone))).map((cone) => cone.id);
  if (gone.length > 0) await src('witness_cone').whereIn('id', gone).delete();
  const known = new Set(held.map(key));
  const added = cones.filter((cone) => !known.has(key(cone)));
  if (added.length > 0)
    await src('witness_cone').insert(
      added.map((cone) => ({ id: newId(), firing_id: firingId, ...cone })),
    );
}

export async function readWitness(
  src: Source,
  id: string,
  bendDegrees: number | null,
  by: string,
  now: Date,
): Promise<void> {
  await src('witness_cone')
    .where({ id })
    .update({ bend_degrees: bendDegrees, read_by: by, read_at: now });
}

/**
 * The reached cone follows from the cones read; without any, the band is the target,
 * and without a target 'unknown'. True when the band the chart uses has changed.
 */
export async function followCones(src: Source, firingId: string): Promise<boolean> {
  const current = await findFiring(src, firingId);
  if (current === null) return false;
  const cones = (await listWitnesses(src, [firingId])).get(firingId) ?? [];
  const read = cones.flatMap((cone) =>
    cone.bendDegrees === null ? [] : [{ ...cone, bendDegrees: cone.bendDegrees }],
  );
  const reading = readFiring(read);
  const band =
    reading !== null && reading.bound !== 'less than'
      ? bandOf(reading.ordinal, current.targetCone)
      : (current.targetCone ?? 'unknown');
  await src('firing')
    .where({ id: firingId })
    .update({
      reached_ordinal: reading?.ordinal ?? null,
      reached_bound: reading?.bound ?? null,
      cone_band: band,
    });
  return band !== current.coneBand;
}

/** A reading within a quarter of a half-cone target stays with it; others go to the nearest whole cone. */
function bandOf(ordinal: number, target: string | null): string {
  if (target === '5.5' && Math.abs(ordinal - coneOrdinal(target)) <= 0.25) return target;
  return coneBand(ordinal);
}
