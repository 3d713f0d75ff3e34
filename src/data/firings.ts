import {
  coneOf,
  type ConeByLog,
  type ConeKnown,
  type FiringKind,
  type FiringStatus,
  type HowFull,
} from '@/core/firing';
import type { Knex } from 'knex';
import { writeOver } from './rows';
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
    /** What the kiln climbs at most, °C/h, and after how many hours it is late; null when not said. */
    climbRate: number | null;
    kilnLatestHours: number | null;
    electric: boolean;
    /** In which unit somebody said that its log was written; null while nobody was asked. */
    unitSaid: 'C' | 'F' | null;
    status: FiringStatus;
    reachedOrdinal: number | null;
    reachedBound: 'exact' | 'at least' | 'less than' | null;
    /** What its log says of the cone, where its kiln is known. */
    byLog: ConeByLog | null;
    /** Under which cone it stands on the chart, and how that is known. */
    coneBand: string;
    coneKnown: ConeKnown;
    startedAt: Date | null;
    openedAt: Date | null;
    writtenUpAt: Date | null;
    calledOff: boolean;
    /** Where the air differed from the rest: by shelf. */
    shelfAir: Record<string, Atmosphere>;
    fullness: HowFull | null;
    /** Nobody wrote it down: it is kept for the tiles that came out of it. */
    unrecorded: boolean;
    revision: number;
  };

export const firing = (row: Row): Firing => ({
  id: row.id,
  kilnId: row.kiln_id,
  no: row.no,
  kilnName: row.kiln_name,
  kilnSlug: row.kiln_slug,
  shelves: row.shelves,
  climbRate: row.climb_rate,
  kilnLatestHours: row.kiln_latest_hours,
  electric: row.energy === 'electric',
  unitSaid: row.unit_said,
  kind: row.kind,
  targetCone: row.target_cone,
  atmosphere: row.atmosphere,
  plannedFor: row.planned_for,
  status: row.status,
  notes: row.notes,
  ...runOf(row),
  reachedOrdinal: row.reached_ordinal,
  reachedBound: row.reached_bound,
  byLog: row.log_ordinal === null ? null : { ordinal: row.log_ordinal, low: row.log_low, high: row.log_high },
  coneBand: row.cone_band,
  coneKnown: row.cone_known,
  startedAt: row.started_at,
  openedAt: row.opened_at,
  writtenUpAt: row.written_up_at,
  calledOff: row.called_off_at !== null,
  shelfAir: row.shelf_air,
  fullness: row.fullness,
  unrecorded: Boolean(row.unrecorded),
  revision: row.revision,
});

/** Firings with what is asked of their kiln beside them. */
export const firings = (src: Source) =>
  src('firing')
    .join('kiln', 'kiln.id', 'firing.kiln_id')
    .select(
      'firing.*',
      'kiln.name as kiln_name',
      'kiln.slug as kiln_slug',
      'kiln.shelves',
      'kiln.climb_rate',
      'kiln.latest_hours as kiln_latest_hours',
      'kiln.energy',
    );

/** Those that count: neither called off, nor kept for pieces only that all lie in the bin now. */
function counting<Q extends Knex.QueryBuilder>(src: Source, query: Q): Q {
  const held = src('placement')
    .join('piece', 'piece.id', 'placement.piece_id')
    .whereRaw('placement.firing_id = firing.id')
    .whereNull('piece.binned_at')
    .select(src.raw('1'));
  void query
    .whereNull('firing.called_off_at')
    .where((either) => either.where('firing.unrecorded', false).orWhereExists(held));
  return query;
}

/** Where a firing stands of which nothing but its plan is known. */
function standing({ targetCone }: Pick<FiringFields, 'targetCone'>): Row {
  const { band, known } = coneOf({
    reachedOrdinal: null,
    reachedBound: null,
    byLog: null,
    targetCone,
  });
  return { cone_band: band, cone_known: known };
}

/** Newest first: those still to come, then by date. */
export async function listFirings(
  src: Source,
  filter: {
    ids?: readonly string[];
    kilnId?: string;
    no?: number;
    statuses?: readonly FiringStatus[];
    limit?: number;
  } = {},
): Promise<Firing[]> {
  const all = firings(src).orderBy([
    { column: 'firing.planned_for', order: 'desc' },
    { column: 'firing.no', order: 'desc' },
  ]);
  // What is asked for by its id is named somewhere: on the page of a piece in the bin, for one.
  const query = filter.ids
    ? all.whereNull('firing.called_off_at').whereIn('firing.id', filter.ids)
    : counting(src, all);
  if (filter.kilnId !== undefined) query.where('firing.kiln_id', filter.kilnId);
  if (filter.no !== undefined) query.where('firing.no', filter.no);
  if (filter.statuses) query.whereIn('firing.status', filter.statuses);
  if (filter.limit !== undefined) query.limit(filter.limit);
  return (await query).map(firing);
}

/** A firing that somebody still has to do with: not opened, or not written up. */
export type OpenFiring = { firing: Firing; pieces: number; written: number };

/** The newest firings of every kiln, at most so many of each, and how many it has in all. */
export async function newestFirings(
  src: Source,
  most: number,
): Promise<Map<string, { newest: Firing[]; all: number }>> {
  const counted: Row[] = await counting(src, src('firing'))
    .groupBy('kiln_id')
    .select('kiln_id')
    .count('* as all');
  const ranked = counting(src, src('firing')).select(
    'id',
    src.raw('ROW_NUMBER() OVER (PARTITION BY kiln_id ORDER BY planned_for DESC, no DESC) as place'),
  );
  const ids: Row[] = await src.from(ranked.as('ranked')).where('place', '<=', most).select('id');
  const newest = await listFirings(src, { ids: ids.map(({ id }) => id as string) });
  return new Map(
    counted.map((row) => [
      row.kiln_id,
      {
        newest: newest.filter(({ kilnId }) => kilnId === row.kiln_id),
        all: Number(row.all),
      },
    ]),
  );
}

/** All of them with how many pieces they hold and how many of those are written up, newest first. */
export async function openFirings(src: Source): Promise<OpenFiring[]> {
  const rows: Row[] = await counting(src, firings(src))
    .where((either) => either.whereNot('firing.status', 'opened').orWhereNull('firing.written_up_at'))
    .orderBy([
      { column: 'firing.planned_for', order: 'desc' },
      { column: 'firing.no', order: 'desc' },
    ])
    .select(
      src.raw('(SELECT COUNT(*) FROM placement WHERE firing_id = firing.id) AS pieces'),
      src.raw(
        `(SELECT COUNT(DISTINCT piece_id) FROM observation
          WHERE firing_id = firing.id AND superseded_at IS NULL AND zone IS NULL) AS written`,
      ),
    );
  return rows.map((row) => ({
    firing: firing(row),
    pieces: Number(row.pieces),
    written: Number(row.written),
  }));
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
    ...standing(fields),
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
  return writeOver(src, 'firing', { id, revision }, columns(fields));
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

/** When it was lit; with `opened` also when it was opened, where that follows from it. */
export async function setLit(src: Source, id: string, at: Date, opened: Date | null = null): Promise<void> {
  await src('firing')
    .where({ id })
    .update({ started_at: at, ...(opened === null ? {} : { opened_at: opened }) });
}
