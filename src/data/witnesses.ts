/** Witness cones: where they stand, how far they bent, and the cone that follows from them. */
import { coneOf, type ConeByLog, type ConeRole } from '@/core/firing';
import { readFiring } from '@/core/cones';
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
  const rows = await src('witness_cone').whereIn('firing_id', firingIds).orderBy(['firing_id', 'place']);
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
    await src('witness_cone').insert(added.map((cone) => ({ id: newId(), firing_id: firingId, ...cone })));
}

export async function readWitness(
  src: Source,
  id: string,
  bendDegrees: number | null,
  by: string,
  now: Date,
): Promise<void> {
  await src('witness_cone').where({ id }).update({ bend_degrees: bendDegrees, read_by: by, read_at: now });
}

/**
 * The cone of a firing follows from the cones read, else from its log, else from what was
 * intended. True when what the chart says of it has changed.
 */
export async function followCones(src: Source, firingId: string): Promise<boolean> {
  const current = await findFiring(src, firingId);
  if (current === null) return false;
  const cones = (await listWitnesses(src, [firingId])).get(firingId) ?? [];
  const read = cones.flatMap((cone) =>
    cone.bendDegrees === null ? [] : [{ ...cone, bendDegrees: cone.bendDegrees }],
  );
  const reading = readFiring(read);
  const reached = {
    reachedOrdinal: reading?.ordinal ?? null,
    reachedBound: reading?.bound ?? null,
  };
  const { band, known } = coneOf({ ...current, ...reached });
  await src('firing').where({ id: firingId }).update({
    reached_ordinal: reached.reachedOrdinal,
    reached_bound: reached.reachedBound,
    cone_band: band,
    cone_known: known,
  });
  return band !== current.coneBand || known !== current.coneKnown;
}

/** Keeps what the log of a firing says of its cone; null when it says nothing. */
export const setConeByLog = (src: Source, firingId: string, byLog: ConeByLog | null): Promise<number> =>
  src('firing')
    .where({ id: firingId })
    .update({
      log_ordinal: byLog?.ordinal ?? null,
      log_low: byLog?.low ?? null,
      log_high: byLog?.high ?? null,
    });

export type ConeMove = { firingId: string; at: Date; was: string; became: string };

/** Keeps that a firing stands under another cone since another has taught its kiln. */
export const addConeMove = async (
  src: Source,
  { firingId, at, was, became }: ConeMove,
  taughtBy: string | null,
): Promise<void> => {
  await src('cone_move').insert({
    id: newId(),
    firing_id: firingId,
    taught_by: taughtBy,
    at,
    was,
    became,
  });
};

/** What moved among a kiln's firings, latest first. */
export async function coneMovesOf(
  src: Source,
  kilnId: string,
  limit: number,
): Promise<(ConeMove & { no: number; taughtNo: number | null })[]> {
  const rows: Row[] = await src('cone_move')
    .join('firing', 'firing.id', 'cone_move.firing_id')
    .leftJoin('firing as teacher', 'teacher.id', 'cone_move.taught_by')
    .where('firing.kiln_id', kilnId)
    .orderBy('cone_move.at', 'desc')
    .limit(limit)
    .select('cone_move.*', 'firing.no', 'teacher.no as taught_no');
  return rows.map((row) => ({
    firingId: row.firing_id,
    at: row.at,
    was: row.was,
    became: row.became,
    no: row.no,
    taughtNo: row.taught_no,
  }));
}
