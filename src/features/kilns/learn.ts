/** What a kiln's firings have taught of it. */
import {
  coolingCurve,
  estimateByPlace,
  estimateOffset,
  sightOffsets,
  type CoolingCurve,
  type OffsetEstimate,
  type PlaceOffset,
} from '@/core/heatwork';
import { NEW_SERIES } from '@/core/firing';
import type { Source } from '@/data/database';
import { findFiring, type Firing } from '@/data/firings';
import { lastLit } from '@/data/kiln-firings';
import { listUpkeep, type Upkeep } from '@/data/kiln-care';
import { lessonsOf, setLesson, setTaught, type Lesson, type Taught } from '@/data/learned';
import { logOf } from '@/data/readings';
import { listWitnesses } from '@/data/witnesses';
import { listKilns } from '@/data/kilns';
import { followLogs, type Moved } from './cones-by-log';

/** Below this a log is too thin to say anything of a thermocouple. */
const FEWEST_READINGS = 6;

/** Keeps what the log and cones of a firing say of its kiln; null when it says nothing yet. */
export async function keepLesson(src: Source, firingId: string): Promise<Firing | null> {
  const firing = await findFiring(src, firingId);
  if (firing === null || firing.status !== 'opened' || firing.startedAt === null) return null;
  const log = await logOf(src, firingId, firing.startedAt);
  const cones = ((await listWitnesses(src, [firingId])).get(firingId) ?? []).flatMap((cone) =>
    cone.bendDegrees === null ? [] : [{ ...cone, bendDegrees: cone.bendDegrees }],
  );
  const said = log.length < FEWEST_READINGS ? [] : sightOffsets(log, cones);
  await setLesson(src, firingId, said, coolingCurve(log));
  return firing;
}

/**
 * Learns from a firing: after its cones were read or its log has changed. What stands under
 * another cone by that, of earlier firings of the kiln, is handed back.
 */
export async function learnFrom(src: Source, firingId: string, now = new Date()): Promise<Moved[]> {
  const firing = await keepLesson(src, firingId);
  return firing === null ? [] : relearn(src, firing.kilnId, firingId, now);
}

/**
 * Works out anew what a kiln is known by, of the series of one firing or of all (null), and derives
 * its cones by log again. After whatever changes its lessons or where a series begins.
 */
export async function relearn(
  src: Source,
  kilnId: string,
  firingId: string | null,
  now: Date,
): Promise<Moved[]> {
  const [lessons, upkeep] = await Promise.all([lessonsOf(src, kilnId), listUpkeep(src, [kilnId])]);
  for (const series of seriesOf(lessons, upkeep)) {
    const last = series.lessons.at(-1);
    if (last === undefined) continue;
    if (firingId !== null && series.lessons.every((one) => one.firingId !== firingId)) continue;
    const said = series.lessons.map((lesson) => lesson.said);
    await setTaught(src, last.firingId, {
      offset: estimateOffset(said),
      places: estimateByPlace(said),
    });
  }
  return followLogs(src, kilnId, await knownOf(src, kilnId, now), firingId, now);
}

/** A stretch of a kiln's life between changes of its elements or thermocouple. */
type Series = { lessons: Lesson[]; until: Upkeep | null };

const dayOf = (one: Upkeep): number => new Date(`${one.doneOn}T00:00:00Z`).getTime();

/** A kiln's lessons by series, oldest first; the present one is last. */
function seriesOf(lessons: readonly Lesson[], upkeep: readonly Upkeep[]): Series[] {
  const breaks = upkeep
    .filter(({ kind }) => NEW_SERIES.includes(kind))
    .sort((a, b) => (a.doneOn < b.doneOn ? -1 : 1));
  const ends = [...breaks.map(dayOf), Infinity];
  return ends.map((end, i) => ({
    lessons: lessons.filter(
      ({ startedAt }) => startedAt.getTime() >= (ends[i - 1] ?? -Infinity) && startedAt.getTime() < end,
    ),
    until: breaks[i] ?? null,
  }));
}

export type KilnKnown = {
  /** What to add to what its thermocouple shows; null until a firing has log and cones. */
  offset: OffsetEstimate | null;
  places: PlaceOffset[];
  coolings: CoolingCurve[];
  /** When the present series began, and by what. */
  since: Upkeep | null;
  lessons: Lesson[];
  upkeep: Upkeep[];
  /** Whole weeks since it was last lit; null when it never was. */
  idleWeeks: number | null;
  /** Offsets of earlier series, oldest first. */
  before: { until: Upkeep; offset: OffsetEstimate | null }[];
};

/** What is known of a kiln now: since its elements or thermocouple were last changed. */
export async function knownOf(src: Source, kilnId: string, at = new Date()): Promise<KilnKnown> {
  const [lessons, upkeep, lit] = await Promise.all([
    lessonsOf(src, kilnId),
    listUpkeep(src, [kilnId]),
    lastLit(src, kilnId),
  ]);
  const all = seriesOf(lessons, upkeep);
  const now = all.at(-1)!.lessons;
  const taught = (series: readonly Lesson[]): Taught => series.at(-1)?.taught ?? { offset: null, places: [] };
  return {
    ...taught(now),
    coolings: now.flatMap(({ cooled }) => (cooled === null ? [] : [cooled])).slice(-8),
    since: all.at(-2)?.until ?? null,
    upkeep,
    idleWeeks: lit === null ? null : Math.floor((at.getTime() - lit.getTime()) / (7 * 86_400_000)),
    lessons: now,
    before: all
      .slice(0, -1)
      .map((series) => ({ until: series.until!, offset: taught(series.lessons).offset })),
  };
}

/** A kiln as a schedule asks it. */
export type ScheduleKiln = {
  id: string;
  name: string;
  /** °C to add to what it shows; null where its cones do not bound it on both sides. */
  offset: number | null;
  /** What its next firing may feel beyond what it shows (95 %); null for a kiln not compared yet. */
  next: { low: number; high: number } | null;
  firings: number;
  climb: number;
  powerKw: number | null;
};

/** Kilns as a schedule asks them: how fast they climb and what their thermocouples are off by. */
export async function scheduleKilns(src: Source): Promise<ScheduleKiln[]> {
  const kilns = (await listKilns(src)).filter(({ archived }) => !archived);
  return Promise.all(
    kilns.map(async (kiln) => {
      const { offset } = await knownOf(src, kiln.id);
      return {
        id: kiln.id,
        name: kiln.name,
        offset: offset?.offset ?? null,
        next: offset === null ? null : { low: offset.nextLow, high: offset.nextHigh },
        firings: offset?.firings ?? 0,
        climb: kiln.climbRate ?? 250,
        powerKw: kiln.powerKw,
      };
    }),
  );
}

/** Takes every firing's lesson anew and learns every kiln from them: after an update that knows more. */
export async function relearnAll(src: Source, now = new Date()): Promise<void> {
  for (const { id } of await listKilns(src)) {
    for (const { firingId } of await lessonsOf(src, id)) await keepLesson(src, firingId);
    await relearn(src, id, null, now);
  }
}
