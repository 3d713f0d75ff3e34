/** What each firing taught of its kiln: kept beside it, so that a kiln is known by one indexed read. */
import type { Bound, CoolingCurve, OffsetEstimate, OffsetSighting, PlaceOffset } from '@/core/heatwork';
import { NEW_SERIES, type FiringKind } from '@/core/firing';
import type { Row, Source } from './database';
import { groupRows } from './rows';

/** What a kiln's thermocouple is off by, as a whole and place by place. */
export type Taught = { offset: OffsetEstimate | null; places: PlaceOffset[] };
export type Lesson = {
  firingId: string;
  no: number;
  kind: FiringKind;
  startedAt: Date;
  /** What its cones say of the thermocouple, place by place. */
  said: OffsetSighting[];
  /** How it cooled; null where its log does not say. */
  cooled: CoolingCurve | null;
  /** What its kiln was known by once it had taught, when it was the last to teach. */
  taught: Taught | null;
  reachedOrdinal: number | null;
  reachedBound: 'exact' | 'at least' | 'less than' | null;
};

export async function setLesson(
  src: Source,
  firingId: string,
  said: readonly OffsetSighting[],
  cooled: CoolingCurve | null,
): Promise<void> {
  // JSON knows no infinity: an open end is null there.
  const open = (value: number): number | null => (Number.isFinite(value) ? value : null);
  await src('firing')
    .where({ id: firingId })
    .update({
      said: JSON.stringify(
        said.map(({ place, bounds }) => ({
          place,
          bounds: bounds.map(({ atLeast, atMost }) => [open(atLeast), open(atMost)]),
        })),
      ),
      cooled: cooled === null ? null : JSON.stringify(cooled),
    });
}

/** Keeps what a kiln is known by with the last firing that taught it. */
export const setTaught = (src: Source, firingId: string, taught: Taught): Promise<number> =>
  src('firing')
    .where({ id: firingId })
    .update({ taught: JSON.stringify(taught) });

type Ends = readonly [number | null, number | null];
type Said = { place: string; bounds: readonly Ends[] };

const ended = ([atLeast, atMost]: Ends): Bound => ({
  atLeast: atLeast ?? -Infinity,
  atMost: atMost ?? Infinity,
});

/** The lessons of a kiln's opened firings, oldest first. */
export async function lessonsOf(src: Source, kilnId: string): Promise<Lesson[]> {
  const rows: Row[] = await src('firing')
    .where({ kiln_id: kilnId, status: 'opened' })
    .whereNotNull('started_at')
    .orderBy('started_at')
    .select('id', 'no', 'kind', 'started_at', 'said', 'cooled', 'taught', 'reached_ordinal', 'reached_bound');
  return rows.map((row) => ({
    firingId: row.id,
    no: row.no,
    kind: row.kind,
    startedAt: row.started_at,
    said: ((row.said ?? []) as Said[]).map(({ place, bounds }) => ({
      place,
      bounds: bounds.map(ended),
    })),
    cooled: row.cooled,
    taught: row.taught,
    reachedOrdinal: row.reached_ordinal,
    reachedBound: row.reached_bound,
  }));
}

/** How many of a kiln's last coolings count. */
const COOLINGS = 8;

/** How kilns have cooled lately, oldest first, since their elements or thermocouple were last changed. */
export async function coolingsOf(
  src: Source,
  kilnIds: readonly string[],
): Promise<Map<string, CoolingCurve[]>> {
  const rows: Row[] = await src('firing')
    .leftJoin('kiln_upkeep', function () {
      this.on('kiln_upkeep.kiln_id', 'firing.kiln_id')
        .andOnIn('kiln_upkeep.kind', [...NEW_SERIES])
        .andOnNull('kiln_upkeep.dropped_at');
    })
    .whereIn('firing.kiln_id', kilnIds)
    .where('firing.status', 'opened')
    .whereNotNull('firing.started_at')
    .whereNotNull('firing.cooled')
    .groupBy('firing.id')
    .havingRaw('since IS NULL OR DATE(firing.started_at) >= since')
    .orderBy('firing.started_at')
    .select('firing.kiln_id', 'firing.cooled', 'firing.started_at')
    .max({ since: 'kiln_upkeep.done_on' });
  const all = groupRows(
    rows,
    (row): CoolingCurve => row.cooled,
    (row) => row.kiln_id,
  );
  return new Map([...all].map(([id, list]) => [id, list.slice(-COOLINGS)]));
}
