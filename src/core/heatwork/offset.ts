/**
 * What a kiln's thermocouple is off by, learned from firings whose log and witness cones are
 * both known. The offset is what must be added to a reading to get what the cones felt: positive
 * where the thermocouple reads low. A cone that bent part of the way gives a value; one that is
 * down only says "at least", one that stands "at most" (censored observations).
 */
import { bendOf, baselineOf, predictedOrdinal, shareOfBend, workOf, type Reading } from './work';
import { kineticsOf } from './kinetics';
import { isShutOff, nextWholeCone, previousWholeCone, TIP_DOWN_DEGREES, type WitnessCone } from '../cones';
import type { OffsetEstimate } from './estimate';

const { abs, log: ln, max, min } = Math;

/** What an offset lies between, °C. Either end may be open. */
export type Bound = { atLeast: number; atMost: number };
/** What one place of one firing says of the offset, under each law of the bend. */
export type OffsetSighting = { place: string; bounds: readonly Bound[] };

/**
 * How a tip may come down between its set lean and flat: as our model has it (work.ts), evenly with
 * the work, or half way between. Which of them is right is not known, so what is learned carries it.
 */
export const BEND_LAWS: readonly ((bend: number) => number)[] = [
  shareOfBend,
  (bend) => (bend + shareOfBend(bend)) / 2,
  (bend) => min(1, max(0, bend)),
];

/** Offsets outside this are a broken thermocouple or a wrong log, not an offset. °C. */
const FARTHEST = 120;
/** A bend under this many degrees cannot be told from a cone that stands as it was set. */
const SEEN_BEND_DEGREES = 3;
/** How exactly a bend is read by eye: half of a twelfth of the quarter circle, in degrees. */
const READ_WITHIN_DEGREES = 4;

/** The offset at which this history does this work on a cone; null when none within reach does. */
function offsetForWork(cone: string, log: readonly Reading[], work: number): number | null {
  // The logarithm of work is nearly straight in the offset, so false position (with the halving
  // of the end that stays, known as Illinois) is there in a few steps.
  const miss = (offset: number): number => ln(max(workOf(cone, log, offset), 1e-9) / work);
  let [low, high] = [-FARTHEST, FARTHEST];
  let [atLow, atHigh] = [miss(low), miss(high)];
  if (atLow > 0 || atHigh < 0) return null;
  for (let i = 0; i < 60; i++) {
    const next = (low * atHigh - high * atLow) / (atHigh - atLow);
    const at = miss(next);
    if (abs(at) < 2e-4) return next;
    if (at < 0) {
      [low, atLow] = [next, at];
      atHigh /= 2;
    } else {
      [high, atHigh] = [next, at];
      atLow /= 2;
    }
  }
  return (low + high) / 2;
}

const workOfBend = (cone: string, degrees: number, law: number): number => {
  const base = baselineOf(cone);
  return base + BEND_LAWS[law]!(degrees / 90) * (1 - base);
};

/** Only the part of a log near its cones does work on them: the rest need not be walked again and again. */
function hotPart(log: readonly Reading[], cone: string): Reading[] {
  const threshold = kineticsOf(previousWholeCone(cone) ?? cone).t0 - 273.15 - FARTHEST - 330;
  const first = log.findIndex(({ c }) => c >= threshold);
  if (first < 0) return [...log];
  return log.slice(max(0, first - 1));
}

/**
 * Thins a dense log to at most one reading in `seconds`, keeping its highest: work changes by less than a
 * thousandth.
 */
export function thinned(log: readonly Reading[], seconds = 60): Reading[] {
  const kept: Reading[] = [];
  let peak: Reading | null = null;
  for (const one of log) if (peak === null || one.c > peak.c) peak = one;
  for (const one of log) {
    const last = kept.at(-1);
    if (last === undefined || one.t - last.t >= seconds || one === peak || one === log.at(-1)) kept.push(one);
  }
  return kept;
}

/** What the cones of one place say of the offset under one law of the bend. */
function boundOf(lean: readonly Reading[], group: readonly WitnessCone[], law: number): Bound {
  let [atLeast, atMost] = [-Infinity, Infinity];
  for (const { cone, bendDegrees } of group) {
    const hot = hotPart(lean, cone);
    if (bendDegrees >= TIP_DOWN_DEGREES) {
      const bound = offsetForWork(cone, hot, 1);
      if (bound !== null) atLeast = max(atLeast, bound);
    } else if (bendDegrees <= SEEN_BEND_DEGREES) {
      const bound = offsetForWork(cone, hot, workOfBend(cone, SEEN_BEND_DEGREES, law));
      if (bound !== null) atMost = min(atMost, bound);
    } else {
      const [low, high] = [-1, 1].map((sign) =>
        offsetForWork(
          cone,
          hot,
          workOfBend(cone, min(89, max(0.5, bendDegrees + sign * READ_WITHIN_DEGREES)), law),
        ),
      );
      if (low !== null && low !== undefined) atLeast = max(atLeast, low);
      if (high !== null && high !== undefined) atMost = min(atMost, high);
    }
  }
  // Cones that contradict each other (swapped, or one read wrongly): what both allow is the middle.
  return atLeast > atMost ? { atLeast: atMost, atMost: atLeast } : { atLeast, atMost };
}

/** What the cones of one firing say of the offset, place by place. Places that say nothing are left out. */
export function sightOffsets(log: readonly Reading[], cones: readonly WitnessCone[]): OffsetSighting[] {
  const places = new Map<string, WitnessCone[]>();
  for (const cone of cones)
    // Small cones and bars under a rod keep another table.
    if (!isShutOff(cone.place)) places.set(cone.place, [...(places.get(cone.place) ?? []), cone]);
  const lean = thinned(log);
  return [...places].flatMap(([place, group]): OffsetSighting[] => {
    const bounds = BEND_LAWS.map((_, law) => boundOf(lean, group, law));
    const silent = bounds.every(({ atLeast, atMost }) => atLeast === -Infinity && atMost === Infinity);
    return silent ? [] : [{ place, bounds }];
  });
}

/**
 * What a log comes to on the cone line on a kiln that is known within an interval: a further firing,
 * so its own scatter is in it (95 %). Without a point value the thermocouple is taken at its word as
 * far as the interval allows.
 */
export function predictedRange(
  log: readonly Reading[],
  estimate: Pick<OffsetEstimate, 'offset' | 'low' | 'high' | 'nextLow' | 'nextHigh'> | null,
): { ordinal: number; low: number; high: number } {
  const lean = thinned(log);
  if (estimate === null) {
    const ordinal = predictedOrdinal(lean);
    return { ordinal, low: ordinal, high: ordinal };
  }
  const point = estimate.offset ?? min(estimate.high, max(estimate.low, 0));
  const [ordinal, low, high] = [point, estimate.nextLow, estimate.nextHigh].map((offset) =>
    predictedOrdinal(lean, offset),
  ) as [number, number, number];
  return { ordinal, low, high };
}

/** The cones a pack shows for a history: what stands in each place if it felt `offset` more. */
export function expectedBends(
  cone: string,
  log: readonly Reading[],
  offset = 0,
): { cone: string; degrees: number }[] {
  return [previousWholeCone(cone), cone, nextWholeCone(cone)].flatMap((one) => {
    if (one === null) return [];
    const base = baselineOf(one);
    return [{ cone: one, degrees: 90 * bendOf((workOf(one, log, offset) - base) / (1 - base)) }];
  });
}
