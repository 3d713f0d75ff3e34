/**
 * When a cooling kiln reaches a temperature. Brick gives its heat back late, so one exponential
 * misfits: the rate of cooling is taken as k · θ^(1+m), θ being the temperature above the room.
 * m = 0 is Newton's cooling; with m above 0 the kiln slows more than that. Earlier coolings of
 * the same kiln steady the fit.
 */
import type { Reading } from './work';

/** ln k (per hour, at θ = 100 K) and m, with the covariance of their errors and the scatter of rates. */
export type CoolingFit = {
  lnK: number;
  m: number;
  covariance: readonly [readonly [number, number], readonly [number, number]];
  scatter: number;
  readings: number;
  last: Reading;
  room: number;
};

/** Below this many steps, or a fall smaller than this, nothing is said. */
const FEWEST_STEPS = 4;
const SMALLEST_FALL = 60;
/** Steps of a dense log are gathered to at least so much, so that a thermocouple's jitter does not speak. */
const STEP_SECONDS = 600;
const STEP_DEGREES = 4;
/** Nothing is read from above this: radiation and the last heat in the elements rule there. °C. */
const READ_BELOW = 900;

/** The falling end of a log, from its highest reading on. */
export function coolingPart(log: readonly Reading[]): Reading[] {
  let top = 0;
  for (let i = 1; i < log.length; i++) if (log[i]!.c >= log[top]!.c) top = i;
  return log.slice(top);
}

/** A kiln that has been shut again warms by more than this from its brick, °C. */
const WARMED_AGAIN = 15;

/** What came after the door was last opened and shut again: before it, the kiln was another. */
function undisturbed(log: readonly Reading[]): Reading[] {
  let from = 0;
  let lowest = 0;
  for (let i = 1; i < log.length; i++) {
    if (log[i]!.c - log[lowest]!.c > WARMED_AGAIN) from = lowest = i;
    else if (log[i]!.c < log[lowest]!.c) lowest = i;
  }
  return log.slice(from);
}

type Step = { x: number; y: number };

function stepsOf(log: readonly Reading[], room: number): Step[] {
  const steps: Step[] = [];
  let from = log.find(({ c }) => c <= READ_BELOW);
  for (const one of log) {
    if (from === undefined || one.t <= from.t) continue;
    if (one.t - from.t < STEP_SECONDS || from.c - one.c < STEP_DEGREES) continue;
    const [above, below] = [from.c - room, one.c - room];
    if (below > 2) {
      const hours = (one.t - from.t) / 3600;
      const middle = Math.sqrt(above * below);
      // ln of (dθ/dt)/θ against ln θ: a straight line whose slope is m.
      steps.push({
        x: Math.log(middle / 100),
        y: Math.log(Math.log(above / below) / hours),
      });
    }
    from = one;
  }
  return steps;
}

/** A kiln of which nothing is known yet: m anywhere from 0 to 1, k open. Common practice, no source. */
const VAGUE = { lnK: -2, lnKSpread: 3, m: 0.35, mSpread: 0.3 };

/**
 * Fits a cooling, steadied by earlier fits of the same kiln when there are any. Null when it has
 * hardly begun, was read too seldom, or does not behave like a cooling (somebody opened the door).
 */
export function fitCooling(
  log: readonly Reading[],
  room = 20,
  earlier: readonly Pick<CoolingFit, 'lnK' | 'm'>[] = [],
): CoolingFit | null {
  const falling = undisturbed(coolingPart(log));
  const steps = stepsOf(falling, room);
  const last = falling.at(-1);
  if (last === undefined || steps.length < FEWEST_STEPS) return null;
  const first = falling.find(({ c }) => c <= READ_BELOW) ?? last;
  if (first.c - last.c < SMALLEST_FALL) return null;
  const mean = (of: (one: Pick<CoolingFit, 'lnK' | 'm'>) => number): number =>
    earlier.reduce((sum, one) => sum + of(one), 0) / earlier.length;
  const spread = (of: (one: Pick<CoolingFit, 'lnK' | 'm'>) => number, least: number): number => {
    const middle = mean(of);
    const sum = earlier.reduce((total, one) => total + (of(one) - middle) ** 2, 0);
    return Math.max(least, Math.sqrt(sum / Math.max(1, earlier.length - 1)));
  };
  const prior =
    earlier.length === 0
      ? VAGUE
      : {
          lnK: mean(({ lnK }) => lnK),
          lnKSpread: spread(({ lnK }) => lnK, 0.15) * (earlier.length === 1 ? 2 : 1),
          m: mean(({ m }) => m),
          mSpread: spread(({ m }) => m, 0.06) * (earlier.length === 1 ? 2 : 1),
        };
  // Bayesian straight line, its scatter first from a free fit of the same steps.
  const scatter = Math.max(0.04, freeScatter(steps));
  const weight = 1 / scatter ** 2;
  const [pk, pm] = [1 / prior.lnKSpread ** 2, 1 / prior.mSpread ** 2];
  let [a11, a12, a22, b1, b2] = [pk, 0, pm, pk * prior.lnK, pm * prior.m];
  for (const { x, y } of steps) {
    a11 += weight;
    a12 += weight * x;
    a22 += weight * x * x;
    b1 += weight * y;
    b2 += weight * x * y;
  }
  const determinant = a11 * a22 - a12 * a12;
  const lnK = (a22 * b1 - a12 * b2) / determinant;
  const m = (a11 * b2 - a12 * b1) / determinant;
  if (scatter > 0.6 || !Number.isFinite(lnK) || m < -0.6 || m > 2) return null;
  return {
    lnK,
    m,
    covariance: [
      [a22 / determinant, -a12 / determinant],
      [-a12 / determinant, a11 / determinant],
    ],
    scatter,
    readings: steps.length,
    last,
    room,
  };
}

function freeScatter(steps: readonly Step[]): number {
  const n = steps.length;
  const [mx, my] = [
    steps.reduce((sum, { x }) => sum + x, 0) / n,
    steps.reduce((sum, { y }) => sum + y, 0) / n,
  ];
  const sxx = steps.reduce((sum, { x }) => sum + (x - mx) ** 2, 0);
  const slope = sxx > 0 ? steps.reduce((sum, { x, y }) => sum + (x - mx) * (y - my), 0) / sxx : 0;
  const rest = steps.reduce((sum, { x, y }) => sum + (y - my - slope * (x - mx)) ** 2, 0);
  return Math.sqrt(rest / Math.max(1, n - 2));
}

/** Hours from the last reading until it shows `celsius`, for one k and m. */
function hoursTo(fit: CoolingFit, celsius: number, lnK: number, m: number): number {
  const [now, then] = [(fit.last.c - fit.room) / 100, (celsius - fit.room) / 100];
  const k = Math.exp(lnK);
  if (Math.abs(m) < 1e-4) return Math.log(now / then) / k;
  return (then ** -m - now ** -m) / (m * k);
}

export type CoolTime = { hours: number; low: number; high: number };

/**
 * Hours from the last reading until the kiln has cooled to `celsius`, with a 95 % interval.
 * Zero when it is there; null when it never will be, or the interval is too wide to be of use.
 */
export function timeToCool(fit: CoolingFit, celsius: number): CoolTime | null {
  if (fit.last.c <= celsius) return { hours: 0, low: 0, high: 0 };
  if (celsius <= fit.room + 2) return null;
  const hours = hoursTo(fit, celsius, fit.lnK, fit.m);
  const step = 1e-3;
  const dk = (hoursTo(fit, celsius, fit.lnK + step, fit.m) - hours) / step;
  const dm = (hoursTo(fit, celsius, fit.lnK, fit.m + step) - hours) / step;
  const [[kk, km], [, mm]] = fit.covariance;
  const variance = dk * dk * kk + 2 * dk * dm * km + dm * dm * mm;
  // Parameters are not all: weather and draughts move the rest by a tenth.
  const error = 1.96 * Math.sqrt(variance + (0.08 * hours) ** 2);
  if (!Number.isFinite(error) || error > 0.75 * hours + 1) return null;
  return { hours, low: Math.max(0, hours - error), high: hours + error };
}
