import { STATUSES, type FiringKind, type FiringStatus } from '@/core/firing';
import type { Atmosphere } from '@/core/signs';
import type { Row, Source } from './database';
import { runOf, type FiringRun } from './firing-log';

export type FiringFields = {
  kilnId: string;
  kind: FiringKind;
  targetCone: string | null;
  atmosphere: Atmosphere;
  plannedFor: string | null;
  notes: string;
};

export type Firing = FiringFields &
  FiringRun & {
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
  ...runOf(row),
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
  else if (current.status === 'opened') changes.opened_at = null;
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

export async function setLit(src: Source, id: string, at: Date): Promise<void> {
  await src('firing').where({ id }).update({ started_at: at });
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

export type FiringWindow = { id: string; startedAt: Date; openedAt: Date | null };

/** The last firings of a kiln that have been lit, newest first: when each began and was opened. */
export async function firingsOfKiln(
  src: Source,
  kilnId: string,
  limit: number,
): Promise<FiringWindow[]> {
  const rows: Row[] = await src('firing')
    .where({ kiln_id: kilnId })
    .whereNotNull('started_at')
    .orderBy('started_at', 'desc')
    .limit(limit)
    .select('id', 'started_at', 'opened_at');
  return rows.map((row) => ({ id: row.id, startedAt: row.started_at, openedAt: row.opened_at }));
}
