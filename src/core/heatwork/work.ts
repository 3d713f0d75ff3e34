/** Work done on cones by a temperature history, and what a witness cone shows for it. */
import { coneOrdinal, nextWholeCone, previousWholeCone } from '../cones';
import { GAS_CONSTANT, KELVIN, kineticsOf, lnTemperatureIntegral, type Kinetics } from './kinetics';

const { abs, exp, log: ln, max, min } = Math;

/** A temperature history: seconds from any beginning, rising, and °C. Straight between its points. */
export type Reading = { t: number; c: number };

const rateAt = ({ e, t0, lnA }: Kinetics, kelvin: number): number =>
  exp(lnA - (e / GAS_CONSTANT) * (1 / kelvin - 1 / t0));

/** K below which a cone works at less than 10⁻⁵ of its pace at T₀: not worth adding up. */
const idleBelow = ({ e, t0 }: Kinetics): number => 1 / (1 / t0 + (11.5 * GAS_CONSTANT) / e);

/** Work between two readings joined by a straight line, 1 being a tip down. */
function workBetween(kinetics: Kinetics, idle: number, a: Reading, b: Reading, offset: number): number {
  const seconds = b.t - a.t;
  const low = a.c + offset + KELVIN;
  const high = b.c + offset + KELVIN;
  if (seconds <= 0 || (low < idle && high < idle)) return 0;
  if (abs(high - low) < 1) return seconds * rateAt(kinetics, (low + high) / 2);
  if (abs(high - low) < 4) {
    // Simpson's rule: over a few degrees the rate bends too little for it to matter.
    const middle = rateAt(kinetics, (low + high) / 2);
    return (seconds / 6) * (rateAt(kinetics, low) + 4 * middle + rateAt(kinetics, high));
  }
  const floor = max(min(low, high), 1);
  const top = max(low, high);
  const upTo = (t: number): number => exp(kinetics.lnA + lnTemperatureIntegral(kinetics.e, t, kinetics.t0));
  return (seconds / (top - floor)) * (upTo(top) - upTo(floor));
}

/**
 * Work done on one cone, reading by reading: `[i]` is what stood after reading i.
 * `offset` is added to every temperature (°C the thermocouple reads low).
 */
export function workAlong(cone: string, log: readonly Reading[], offset = 0): number[] {
  const kinetics = kineticsOf(cone);
  const idle = idleBelow(kinetics);
  const sums: number[] = [];
  let sum = 0;
  for (let i = 0; i < log.length; i++) {
    if (i > 0) sum += workBetween(kinetics, idle, log[i - 1] as Reading, log[i] as Reading, offset);
    sums.push(sum);
  }
  return sums;
}

/** All the work a history does on one cone: 1 = tip down, more = flatter. */
export function workOf(cone: string, log: readonly Reading[], offset = 0): number {
  const kinetics = kineticsOf(cone);
  const idle = idleBelow(kinetics);
  let sum = 0;
  for (let i = 1; i < log.length; i++)
    sum += workBetween(kinetics, idle, log[i - 1] as Reading, log[i] as Reading, offset);
  return sum;
}

const baselines = new Map<string, number>();

/**
 * Work already done on a cone when the cone below it on the pack (the next cooler whole one)
 * is just down, at 60 °C/h: where its visible bend begins. Null at the foot of the scale.
 */
export function baselineOf(cone: string): number {
  const known = baselines.get(cone);
  if (known !== undefined) return known;
  const below = previousWholeCone(cone);
  if (below === null) return 0;
  const end = kineticsOf(below).residuals.find(({ rate }) => rate === 60)!.table;
  const { e, t0, lnA } = kineticsOf(cone);
  const value = exp(lnA + lnTemperatureIntegral(e, end + KELVIN, t0) - ln(60 / 3600));
  baselines.set(cone, value);
  return value;
}

/** A cone leans about 8° as it is set. Common practice, no source. */
const SET_LEAN = (8 * Math.PI) / 180;

/**
 * How far a tip has come down (0 set, 1 touching) when this share of the way from the baseline
 * to 1 is done. A model, not a measurement: a soft rod sags the faster the more it already
 * leans, dθ/dw ∝ sin θ, from its set lean to 90°.
 */
export function bendOf(share: number): number {
  if (share <= 0) return 0;
  if (share >= 1) return 1;
  const theta = 2 * Math.atan(Math.tan(SET_LEAN / 2) ** (1 - share));
  return (theta - SET_LEAN) / (Math.PI / 2 - SET_LEAN);
}

/** The share of the way whose bend this is (0 … 1): `bendOf` turned round. */
export function shareOfBend(bend: number): number {
  if (bend <= 0) return 0;
  if (bend >= 1) return 1;
  const theta = SET_LEAN + bend * (Math.PI / 2 - SET_LEAN);
  return 1 - ln(Math.tan(theta / 2)) / ln(Math.tan(SET_LEAN / 2));
}

/** How far a witness cone would be found to have come down after this work, in degrees. */
export function bendDegreesOf(cone: string, work: number): number {
  const base = baselineOf(cone);
  return 90 * bendOf((work - base) / (1 - base));
}

/**
 * Where a firing stands on the cone line (see coneOrdinal), read as a row of witness cones
 * would be: the last whole cone down, and the bend of the next. Looks downwards from `from`,
 * the hottest cone worth asking about.
 */
export function ordinalOf(work: (cone: string) => number, from = '14'): number {
  let upright: string | null = null;
  let cone: string | null = from;
  while (cone !== null && work(cone) < 1) {
    upright = cone;
    cone = previousWholeCone(cone);
  }
  if (upright === null) return coneOrdinal(from);
  const foot = cone === null ? coneOrdinal(upright) - 1 : coneOrdinal(cone);
  const base = baselineOf(upright);
  return foot + bendOf((work(upright) - base) / (1 - base)) * (coneOrdinal(upright) - foot);
}

/** A hold brings a cone down that is this much too hot for the peak, at the most (°C). */
const REACH = 150;

/** Predicted place on the cone line of a whole history, with a thermocouple that reads `offset` low. */
export function predictedOrdinal(log: readonly Reading[], offset = 0): number {
  let peak = -Infinity;
  for (const { c } of log) peak = max(peak, c + offset);
  let from = '022';
  for (let next: string | null = from; next !== null; next = nextWholeCone(next)) {
    from = next;
    if (kineticsOf(next).t0 - KELVIN > peak + REACH) break;
  }
  const known = new Map<string, number>();
  return ordinalOf((cone) => {
    const work = known.get(cone) ?? workOf(cone, log, offset);
    known.set(cone, work);
    return work;
  }, from);
}
