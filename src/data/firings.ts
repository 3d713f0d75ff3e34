import { coneBand, coneOrdinal, readFiring } from '@/core/cones';
import type { Atmosphere } from '@/core/signs';
import type { Row, Source } from './database';
import { newId } from './ids';

export const FIRING_KINDS = ['bisque', 'glaze', 'refire', 'overglaze', 'once-fired'] as const;
export const STATUSES = ['planned', 'loaded', 'firing', 'cooling', 'opened'] as const;
export type FiringStatus = (typeof STATUSES)[number];
export const SETTINGS = ['shelf', 'waster', 'ring', 'wads', 'stilt', 'unknown'] as const;
export const CONE_ROLES = ['guide', 'target', 'guard', 'other'] as const;

export type FiringFields = {
  kilnId: string;
  kind: (typeof FIRING_KINDS)[number];
  targetCone: string | null;
  atmosphere: Atmosphere;
  plannedFor: string | null;
  notes: string;
};

export type Firing = FiringFields & {
  id: string;
  no: number;
  kilnName: string;
  kilnSlug: string;
  shelves: number;
  status: FiringStatus;
  reachedOrdinal: number | null;
  reachedBound: 'exact' | 'at least' | 'less than' | null;
  coneBand: string;
  startedAt: Date | null;
  openedAt: Date | null;
  writtenUpAt: Date | null;
  revision: number;
};

export type Witness = {
  id: string;
  cone: string;
  role: (typeof CONE_ROLES)[number];
  place: string;
  bendDegrees: number | null;
};

export type Placement = {
  id: string;
  firingId: string;
  pieceId: string;
  shelf: number | null;
  position: string;
  setting: (typeof SETTINGS)[number];
  generation: number;
};

const firing = (row: Row): Firing => ({
  id: row.id,
  kilnId: row.kiln_id,
  no: row.no,
  kilnName: row.kiln_name,
  kilnSlug: row.kiln_slug,
  shelves: row.shelves,
  kind: row.kind,
  targetCone: row.target_cone,
  atmosphere: row.atmosphere,
  plannedFor: row.planned_for,
  status: row.status,
  notes: row.notes,
  reachedOrdinal: row.reached_ordinal,
  reachedBound: row.reached_bound,
  coneBand: row.cone_band,
  startedAt: row.started_at,
  openedAt: row.opened_at,
  writtenUpAt: row.written_up_at,
  revision: row.revision,
});

const firings = (src: Source) =>
  src('firing')
    .join('kiln', 'kiln.id', 'firing.kiln_id')
    .select('firing.*', 'kiln.name as kiln_name', 'kiln.slug as kiln_slug', 'kiln.shelves');

/** Newest first: those still to come, then by date. */
export async function listFirings(
  src: Source,
  filter: { kilnId?: string; statuses?: readonly FiringStatus[]; limit?: number } = {},
): Promise<Firing[]> {
  const query = firings(src).orderBy([
    { column: 'firing.planned_for', order: 'desc' },
    { column: 'firing.no', order: 'desc' },
  ]);
  if (filter.kilnId !== undefined) query.where('firing.kiln_id', filter.kilnId);
  if (filter.statuses) query.whereIn('firing.status', filter.statuses);
  if (filter.limit !== undefined) query.limit(filter.limit);
  return (await query).map(firing);
}

/** One firing, locked when it is read to be changed. */
export async function findFiring(src: Source, id: string, lock = false): Promise<Firing | null> {
  if (lock) await src('firing').where({ id }).forUpdate().first('id');
  const row = await firings(src).where('firing.id', id).first();
  return row === undefined ? null : firing(row);
}

const columns = (fields: FiringFields): Record<string, unknown> => ({
  kind: fields.kind,
  target_cone: fields.targetCone,
  atmosphere: fields.atmosphere,
  planned_for: fields.plannedFor,
  notes: fields.notes,
});

/** Gives the firing the next number of its kiln. Until cones are read its band is the target. */
export async function createFiring(
  src: Source,
  id: string,
  fields: FiringFields,
  by: string,
  now: Date,
): Promise<number> {
  const kiln = await src('kiln').where({ id: fields.kilnId }).forUpdate().first('next_firing_no');
  if (kiln === undefined) throw new Error('No such kiln.');
  await src('kiln')
    .where({ id: fields.kilnId })
    .update({ next_firing_no: kiln.next_firing_no + 1 });
  await src('firing').insert({
    id,
    kiln_id: fields.kilnId,
    no: kiln.next_firing_no,
    ...columns(fields),
    cone_band: fields.targetCone ?? 'unknown',
    created_by: by,
    created_at: now,
  });
  return kiln.next_firing_no;
}

export async function updateFiring(
  src: Source,
  id: string,
  fields: FiringFields,
  revision: number,
): Promise<boolean> {
  return (
    (await src('firing')
      .where({ id, revision })
      .update({ ...columns(fields), revision: revision + 1 })) === 1
  );
}

/** Moves a firing on and keeps the event. Opening it frees its pieces for another firing. */
export async function moveFiring(
  src: Source,
  current: Firing,
  to: FiringStatus,
  reason: string | null,
  by: string,
  now: Date,
): Promise<void> {
  const changes: Record<string, unknown> = { status: to, revision: src.raw('revision + 1') };
  if (to === 'firing') changes.started_at = now;
  if (to === 'opened') changes.opened_at = now;
  await src('firing').where({ id: current.id }).update(changes);
  await src('firing_event').insert({
    firing_id: current.id,
    from_status: current.status,
    to_status: to,
    reason,
    by_person: by,
    at: now,
  });
  if (to === 'opened') {
    await src('placement').where({ firing_id: current.id }).update({ open_piece_id: null });
  } else if (current.status === 'opened') {
    await src('placement')
      .where({ firing_id: current.id })
      .update({ open_piece_id: src.ref('piece_id') });
  }
}

export async function listEvents(
  src: Source,
  firingId: string,
): Promise<{ from: string | null; to: string; reason: string | null; by: string; at: Date }[]> {
  const rows = await src('firing_event')
    .join('person', 'person.id', 'firing_event.by_person')
    .where({ firing_id: firingId })
    .orderBy('firing_event.id')
    .select('firing_event.*', 'person.name as by_name');
  return rows.map((row) => ({
    from: row.from_status,
    to: row.to_status,
    reason: row.reason,
    by: row.by_name,
    at: row.at,
  }));
}

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
  const found = new Map<string, Witness[]>();
  for (const row of rows)
    found.set(row.firing_id, [...(found.get(row.firing_id) ?? []), witness(row)]);
  return found;
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

const placement = (row: Row): Placement => ({
  id: row.id,
  firingId: row.firing_id,
  pieceId: row.piece_id,
  shelf: row.shelf,
  position: row.position,
  setting: row.setting,
  generation: row.generation,
});

export async function listPlacements(
  src: Source,
  filter: { firingId?: string; pieceIds?: readonly string[] },
): Promise<Placement[]> {
  const query = src('placement').orderBy(['shelf', 'placed_at', 'id']);
  if (filter.firingId !== undefined) query.where('firing_id', filter.firingId);
  if (filter.pieceIds) query.whereIn('piece_id', filter.pieceIds);
  return (await query).map(placement);
}

/** How often each piece has already been through a glaze firing, by piece id. */
export async function glazeFirings(
  src: Source,
  pieceIds: readonly string[],
): Promise<Map<string, number>> {
  const rows = await src('placement')
    .join('firing', 'firing.id', 'placement.firing_id')
    .whereIn('placement.piece_id', pieceIds)
    .whereNot('firing.kind', 'bisque')
    .where('firing.status', 'opened')
    .groupBy('placement.piece_id')
    .select('placement.piece_id')
    .count({ n: '*' });
  return new Map(rows.map((row: Row) => [String(row.piece_id), Number(row.n)]));
}

/** Which open firing holds each of these pieces, if any. */
export async function openFiringsOf(
  src: Source,
  pieceIds: readonly string[],
): Promise<Map<string, { firingId: string; label: string }>> {
  const rows = await src('placement')
    .join('firing', 'firing.id', 'placement.firing_id')
    .join('kiln', 'kiln.id', 'firing.kiln_id')
    .whereIn('placement.open_piece_id', pieceIds)
    .select('placement.piece_id', 'firing.id', 'firing.no', 'kiln.name');
  return new Map(
    rows.map((row) => [row.piece_id, { firingId: row.id, label: `${row.name} ${row.no}` }]),
  );
}

export async function place(
  src: Source,
  placements: readonly (Placement & { open: boolean })[],
  by: string,
  now: Date,
): Promise<void> {
  for (let i = 0; i < placements.length; i += 500) {
    await src('placement').insert(
      placements.slice(i, i + 500).map((one) => ({
        id: one.id,
        firing_id: one.firingId,
        piece_id: one.pieceId,
        open_piece_id: one.open ? one.pieceId : null,
        shelf: one.shelf,
        position: one.position,
        setting: one.setting,
        generation: one.generation,
        placed_by: by,
        placed_at: now,
      })),
    );
  }
}

export async function removePlacement(src: Source, id: string): Promise<void> {
  await src('placement').where({ id }).delete();
}

/** Number of pieces in each firing. */
export async function countPlacements(
  src: Source,
  firingIds: readonly string[],
): Promise<Map<string, number>> {
  const rows = await src('placement')
    .whereIn('firing_id', firingIds)
    .groupBy('firing_id')
    .select('firing_id')
    .count({ n: '*' });
  return new Map(rows.map((row: Row) => [String(row.firing_id), Number(row.n)]));
}

/** Marks an opening as written up, or as still to be finished. */
export async function setWrittenUp(src: Source, id: string, at: Date | null): Promise<void> {
  await src('firing').where({ id }).update({ written_up_at: at });
}

/** A firing of the past, brought in: opened and written up on its day. */
export async function setImported(src: Source, id: string, at: Date): Promise<void> {
  await src('firing')
    .where({ id })
    .update({ status: 'opened', started_at: null, opened_at: at, written_up_at: at });
}

export type PastFiring = FiringFields & {
  id: string;
  status: FiringStatus;
  at: Date;
  writtenUp: boolean;
};

/** Writes a firing with its way so far, step by step to where it stands. */
export async function setHistory(src: Source, past: PastFiring, by: string): Promise<void> {
  const hour = 3_600_000;
  await createFiring(src, past.id, past, by, new Date(past.at.getTime() - 48 * hour));
  const steps: { to: FiringStatus; at: Date }[] = [
    { to: 'loaded', at: new Date(past.at.getTime() - 12 * hour) },
    { to: 'firing', at: past.at },
    { to: 'cooling', at: new Date(past.at.getTime() + 10 * hour) },
    { to: 'opened', at: new Date(past.at.getTime() + 34 * hour) },
  ];
  for (const step of steps) {
    if (STATUSES.indexOf(step.to) > STATUSES.indexOf(past.status)) break;
    const now = await findFiring(src, past.id);
    if (now !== null) await moveFiring(src, now, step.to, null, by, step.at);
  }
  if (past.writtenUp) await setWrittenUp(src, past.id, new Date(past.at.getTime() + 50 * hour));
}
