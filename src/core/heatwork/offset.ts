/**
 * What a kiln's thermocouple is off by, learned from firings whose log and witness cones are
 * both known. The offset is what must be added to a reading to get what the cones felt: positive
 * where the thermocouple reads low. A cone that bent part of the way gives a value; one that is
 * down only says "at least", one that stands "at most" (censored observations).
 */
import { bendOf, baselineOf, predictedOrdinal, shareOfBend, workOf, type Reading } from './work';
import { kineticsOf } from './kinetics';
import { nextWholeCone, previousWholeCone, TIP_DOWN_DEGREES, type WitnessCone } from '../cones';

const { abs, exp, log: ln, max, min } = Math;

/** What one place of one firing says of the offset, in °C. Either end may be open. */
export type OffsetSighting = { firing: string; place: string; atLeast: number; atMost: number };

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

const workOfBend = (cone: string, degrees: number): number => {
  const base = baselineOf(cone);
  return base + shareOfBend(degrees / 90) * (1 - base);
};

/** Only the part of a log near its cones does work on them: the rest need not be walked again and again. */
function hotPart(log: readonly Reading[], cone: string): Reading[] {
  const threshold = kineticsOf(previousWholeCone(cone) ?? cone).t0 - 273.15 - FARTHEST - 330;
  const first = log.findIndex(({ c }) => c >= threshold);
  if (first < 0) return [...log];
  return log.slice(max(0, first - 1));
}

/** Thins a dense log to at most one reading in `seconds`, keeping its highest: work changes by less than a thousandth. */
export function thinned(log: readonly Reading[], seconds = 60): Reading[] {
  const kept: Reading[] = [];
  let peak: Reading | null = null;
  for (const one of log) if (peak === null || one.c > peak.c) peak = one;
  for (const one of log) {
    const last = kept.at(-1);
    if (last === undefined || one.t - last.t >= seconds || one === peak || one === log.at(-1))
      kept.push(one);
  }
  return kept;
}

/** What the cones of one firing say of the offset, place by place. Places that say nothing are left out. */
export function sightOffsets(
  firing: string,
  log: readonly Reading[],
  cones: readonly WitnessCone[],
): OffsetSighting[] {
  const places = new Map<string, WitnessCone[]>();
  for (const cone of cones) places.set(cone.place, [...(places.get(cone.place) ?? []), cone]);
  const lean = thinned(log);
  return [...places].flatMap(([place, group]): OffsetSighting[] => {
    let [atLeast, atMost] = [-Infinity, Infinity];
    for (const { cone, bendDegrees } of group) {
      const hot = hotPart(lean, cone);
      if (bendDegrees >= TIP_DOWN_DEGREES) {
        const bound = offsetForWork(cone, hot, 1);
        if (bound !== null) atLeast = max(atLeast, bound);
      } else if (bendDegrees <= SEEN_BEND_DEGREES) {
        const bound = offsetForWork(cone, hot, workOfBend(cone, SEEN_BEND_DEGREES));
        if (bound !== null) atMost = min(atMost, bound);
      } else {
        const [low, high] = [-1, 1].map((sign) =>
          offsetForWork(
            cone,
            hot,
            workOfBend(cone, min(89, max(0.5, bendDegrees + sign * READ_WITHIN_DEGREES))),
          ),
        );
        if (low !== null && low !== undefined) atLeast = max(atLeast, low);
        if (high !== null && high !== undefined) atMost = min(atMost, high);
      }
    }
    if (atLeast === -Infinity && atMost === Infinity) return [];
    // Cones that contradict each other (swapped, or one read wrongly): what both allow is the middle.
    if (atLeast > atMost) [atLeast, atMost] = [atMost, atLeast];
    return [{ firing, place, atLeast, atMost }];
  });
}

export type OffsetEstimate = {
  /** °C to add to what is shown. */
  offset: number;
  /** 95 % interval. */
  low: number;
  high: number;
  /** How much single firings scatter about it, °C. */
  scatter: number;
  firings: number;
};

/** Complementary error function, Abramowitz & Stegun (1964) 7.1.26: within 1.5·10⁻⁷. */
function normalCdf(x: number): number {
  const z = abs(x) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * z);
  const tail =
    t *
    (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) *
    exp(-z * z);
  return x >= 0 ? 1 - tail / 2 : tail / 2;
}

/** Firings of one kiln scatter by about this much before any has been seen, °C. Common practice, no source. */
const USUAL_SCATTER = 5;
const USUAL_SCATTER_WEIGHT = 4;

/** Grid of the posterior: 0.5 °C over the reach, scatter from 1 to 25 °C. */
const OFFSETS = Array.from({ length: 4 * FARTHEST + 1 }, (_, i) => -FARTHEST + i / 2);
const SCATTERS = Array.from({ length: 14 }, (_, i) => 1.2 * 1.26 ** i);

/**
 * Estimates the offset from what firings said: censored least squares with an unknown scatter,
 * as the posterior over a grid (flat over the offset; the scatter's prior is a scaled inverse
 * chi-square about USUAL_SCATTER, so that one firing does not look exact). Sightings of one
 * firing are averaged in their weight: a firing counts once. Null without any.
 */
export function estimateOffset(sightings: readonly OffsetSighting[]): OffsetEstimate | null {
  if (sightings.length === 0) return null;
  const perFiring = new Map<string, number>();
  for (const { firing } of sightings) perFiring.set(firing, (perFiring.get(firing) ?? 0) + 1);
  const logs: number[][] = SCATTERS.map((scatter) => {
    const prior =
      -(USUAL_SCATTER_WEIGHT + 1) * ln(scatter) -
      (USUAL_SCATTER_WEIGHT * USUAL_SCATTER ** 2) / (2 * scatter ** 2);
    return OFFSETS.map((offset) => {
      let sum = prior;
      for (const { firing, atLeast, atMost } of sightings) {
        const share =
          normalCdf((atMost - offset) / scatter) - normalCdf((atLeast - offset) / scatter);
        sum += ln(max(share, 1e-12)) / perFiring.get(firing)!;
      }
      return sum;
    });
  });
  const top = max(...logs.map((row) => max(...row)));
  // Steps of the scatter grow with it, so each row weighs by its step.
  const weights = logs.map((row, i) => row.map((one) => exp(one - top) * SCATTERS[i]!));
  const byOffset = OFFSETS.map((_, i) => weights.reduce((sum, row) => sum + row[i]!, 0));
  const all = byOffset.reduce((sum, one) => sum + one, 0);
  const quantile = (share: number): number => {
    let sum = 0;
    for (let i = 0; i < OFFSETS.length; i++) {
      const before = sum;
      sum += byOffset[i]! / all;
      if (sum >= share)
        return OFFSETS[i]! - 0.5 + 0.5 * ((share - before) / (byOffset[i]! / all)) + 0.25;
    }
    return FARTHEST;
  };
  const scatter =
    weights.reduce((sum, row, i) => sum + SCATTERS[i]! * row.reduce((a, b) => a + b, 0), 0) / all;
  return {
    offset: OFFSETS.reduce((sum, offset, i) => sum + offset * byOffset[i]!, 0) / all,
    low: quantile(0.025),
    high: quantile(0.975),
    scatter,
    firings: perFiring.size,
  };
}

export type PlaceOffset = { place: string } & OffsetEstimate;

/** The offset at each place of the kiln, hottest first: its hot and cold corners. */
export function estimateByPlace(sightings: readonly OffsetSighting[]): PlaceOffset[] {
  const places = [...new Set(sightings.map(({ place }) => place))];
  return places
    .flatMap((place) => {
      const found = estimateOffset(sightings.filter((one) => one.place === place));
      return found === null ? [] : [{ place, ...found }];
    })
    .sort((a, b) => b.offset - a.offset);
}

/** What a log comes to with an offset known only within its interval, on the cone line. */
export function predictedRange(
  log: readonly Reading[],
  estimate: Pick<OffsetEstimate, 'offset' | 'low' | 'high'> | null,
): { ordinal: number; low: number; high: number } {
  const lean = thinned(log);
  if (estimate === null) {
    const ordinal = predictedOrdinal(lean);
    return { ordinal, low: ordinal, high: ordinal };
  }
  const [ordinal, low, high] = [estimate.offset, estimate.low, estimate.high].map((offset) =>
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
