/** What each firing taught of its kiln: kept beside it, so that a kiln is known by one indexed read. */
import type { CoolingFit, OffsetSighting } from '@/core/heatwork';
import type { FiringKind } from '@/core/firing';
import type { Row, Source } from './database';

export type Cooled = Pick<CoolingFit, 'lnK' | 'm'>;
export type Lesson = {
  firingId: string;
  no: number;
  kind: FiringKind;
  startedAt: Date;
  /** What its cones say of the thermocouple, place by place. */
  said: OffsetSighting[];
  cooled: Cooled | null;
  reachedOrdinal: number | null;
};

export async function setLesson(
  src: Source,
  firingId: string,
  said: readonly OffsetSighting[],
  cooled: Cooled | null,
): Promise<void> {
  // JSON knows no infinity: an open end is null there.
  const open = (value: number): number | null => (Number.isFinite(value) ? value : null);
  await src('firing')
    .where({ id: firingId })
    .update({
      said: JSON.stringify(
        said.map(({ place, atLeast, atMost }) => ({
          place,
          atLeast: open(atLeast),
          atMost: open(atMost),
        })),
      ),
      cooled: cooled === null ? null : JSON.stringify({ lnK: cooled.lnK, m: cooled.m }),
    });
}

type Said = { place: string; atLeast: number | null; atMost: number | null };

/** The lessons of a kiln's opened firings, oldest first. */
export async function lessonsOf(src: Source, kilnId: string): Promise<Lesson[]> {
  const rows: Row[] = await src('firing')
    .where({ kiln_id: kilnId, status: 'opened' })
    .whereNotNull('started_at')
    .orderBy('started_at')
    .select('id', 'no', 'kind', 'started_at', 'said', 'cooled', 'reached_ordinal');
  return rows.map((row) => ({
    firingId: row.id,
    no: row.no,
    kind: row.kind,
    startedAt: row.started_at,
    said: ((row.said ?? []) as Said[]).map(({ place, atLeast, atMost }) => ({
      firing: row.id as string,
      place,
      atLeast: atLeast ?? -Infinity,
      atMost: atMost ?? Infinity,
    })),
    cooled: row.cooled,
    reachedOrdinal: row.reached_ordinal,
  }));
}
