/** What a kiln's firings have taught of it. */
import {
  coolingPart,
  estimateByPlace,
  estimateOffset,
  fitCooling,
  sightOffsets,
  type OffsetEstimate,
  type PlaceOffset,
} from '@/core/heatwork';
import { NEW_SERIES } from '@/core/firing';
import { listKilns } from '@/data/catalogue';
import type { Source } from '@/data/database';
import { findFiring } from '@/data/firings';
import { listUpkeep, type Upkeep } from '@/data/kiln-care';
import { lessonsOf, setLesson, type Cooled, type Lesson } from '@/data/learned';
import { logOf } from '@/data/readings';
import { listWitnesses } from '@/data/witnesses';

/** Below this a log is too thin to say anything of a thermocouple. */
const FEWEST_READINGS = 6;

/** Works out what a firing teaches, and keeps it: after its cones were read or its log has changed. */
export async function learnFrom(src: Source, firingId: string): Promise<void> {
  const firing = await findFiring(src, firingId);
  if (firing === null || firing.status !== 'opened' || firing.startedAt === null) return;
  const log = await logOf(src, firingId, firing.startedAt);
  const cones = ((await listWitnesses(src, [firingId])).get(firingId) ?? []).flatMap((cone) =>
    cone.bendDegrees === null ? [] : [{ ...cone, bendDegrees: cone.bendDegrees }],
  );
  const said = log.length < FEWEST_READINGS ? [] : sightOffsets(firingId, log, cones);
  const cooling = fitCooling(coolingPart(log));
  await setLesson(src, firingId, said, cooling);
}

export type KilnKnown = {
  /** What to add to what its thermocouple shows; null until a firing has log and cones. */
  offset: OffsetEstimate | null;
  places: PlaceOffset[];
  coolings: Cooled[];
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
  const [lessons, upkeep] = [await lessonsOf(src, kilnId), await listUpkeep(src, [kilnId])];
  const breaks = upkeep
    .filter(({ kind }) => NEW_SERIES.includes(kind))
    .sort((a, b) => (a.doneOn < b.doneOn ? -1 : 1));
  const lit = lessons.at(-1)?.startedAt ?? null;
  const dayOf = (one: Upkeep): number => new Date(`${one.doneOn}T00:00:00Z`).getTime();
  const within = (from: number, to: number): Lesson[] =>
    lessons.filter(({ startedAt }) => startedAt.getTime() >= from && startedAt.getTime() < to);
  const last = breaks.at(-1) ?? null;
  const now = within(last === null ? -Infinity : dayOf(last), Infinity);
  const said = now.flatMap((lesson) => lesson.said);
  return {
    offset: estimateOffset(said),
    places: estimateByPlace(said),
    coolings: now.flatMap(({ cooled }) => (cooled === null ? [] : [cooled])).slice(-8),
    since: last,
    upkeep,
    idleWeeks: lit === null ? null : Math.floor((at.getTime() - lit.getTime()) / (7 * 86_400_000)),
    lessons: now,
    before: breaks.map((until, i) => ({
      until,
      offset: estimateOffset(
        within(i === 0 ? -Infinity : dayOf(breaks[i - 1]!), dayOf(until)).flatMap(
          (one) => one.said,
        ),
      ),
    })),
  };
}

/** A kiln as a schedule asks it. */
export type ScheduleKiln = {
  id: string;
  name: string;
  offset: number | null;
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
        firings: offset?.firings ?? 0,
        climb: kiln.climbRate ?? 250,
        powerKw: kiln.powerKw,
      };
    }),
  );
}
