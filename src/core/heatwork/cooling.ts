/**
 * When a cooling kiln reaches a temperature. Brick gives its heat back late and radiation dies away, so
 * no one law holds: the logarithm of the rate, y, is followed along the logarithm of the heat above the
 * room, x, as a line whose slope wanders and leans towards the last single exponential (a local linear
 * trend; own derivation). What the slope may still do on the way down is drawn many times, and the times
 * that come of it are the interval. Earlier coolings of the same kiln say where the line usually goes.
 */
import { stepsOf, coolingPart, undisturbed, type Step } from './cooling-steps';
import type { Reading } from './work';

export { coolingPart } from './cooling-steps';

/** How a kiln cooled: y at some x, hottest first. What is kept of a cooling for later ones. */
export type CoolingCurve = readonly (readonly [x: number, y: number])[];

/** Level and slope of the line where the readings end, with their covariance, in one room. */
type State = { room: number; weight: number; x: number; y: number; m: number; cov: Cov };
type Cov = readonly [yy: number, ym: number, mm: number];

export type CoolingFit = {
  /** For each room that it may stand in. */
  states: readonly State[];
  usual: Usual;
  curve: CoolingCurve;
  readings: number;
  last: Reading;
};

const FEWEST_STEPS = 3;
const SMALLEST_FALL = 50;
/**
 * Rooms a kiln may stand in, °C, with their weights: a mean of 20 and a spread of 4 (three-point
 * Gauss–Hermite).
 */
const ROOMS = [
  { off: -6.93, weight: 1 / 6 },
  { off: 0, weight: 2 / 3 },
  { off: 6.93, weight: 1 / 6 },
] as const;

/**
 * How the line may go: where slope and level begin, what the slope leans to, how fast, and how it wanders.
 */
type Usual = {
  curve: CoolingCurve | null;
  level: number;
  levelSpread: number;
  slope: number;
  slopeSpread: number;
  leans: number;
  pull: number;
  wander: number;
};

/** A kiln of which nothing is known yet. Set on simulated kilns (docs/HEATWORK.md), no source. */
const UNKNOWN: Usual = {
  curve: null,
  level: -2,
  levelSpread: 3,
  slope: 0.35,
  slopeSpread: 0.4,
  leans: 0.06,
  pull: 2.2,
  wander: 0.34,
};
/** Around the usual course of a kiln that cooled before: less may happen, the more often it was seen. */
const KNOWN = { levelSpread: 0.18, slopeSpread: 0.1, pull: 1, wander: 0.11 };

/** Width of the bins in which a cooling is kept, in x. */
const BIN = 0.15;

function curveOf(steps: readonly Step[]): CoolingCurve {
  const bins = new Map<number, { x: number; y: number; w: number }>();
  for (const { x, y, variance, held } of steps) {
    if (held) continue;
    const bin = bins.get(Math.floor(x / BIN)) ?? { x: 0, y: 0, w: 0 };
    bin.x += x / variance;
    bin.y += y / variance;
    bin.w += 1 / variance;
    bins.set(Math.floor(x / BIN), bin);
  }
  return [...bins.values()].map(({ x, y, w }) => [x / w, y / w] as const).sort((a, b) => b[0] - a[0]);
}

/** How a kiln cooled, of a whole log, for its later coolings; null when the log says too little of it. */
export function coolingCurve(log: readonly Reading[], room = 20): CoolingCurve | null {
  const curve = curveOf(stepsOf(undisturbed(coolingPart(log)), room));
  return curve.length < FEWEST_STEPS ? null : curve;
}

/**
 * y of a curve at x: between its points by line; beyond its ends as if by one exponential with a slight
 * slope.
 */
function along(curve: CoolingCurve, x: number): number {
  const first = curve[0]!;
  const last = curve.at(-1)!;
  if (x >= first[0]) return first[1] + UNKNOWN.slope * (x - first[0]);
  if (x <= last[0]) return last[1] + UNKNOWN.leans * (x - last[0]);
  const next = curve.findIndex((point) => point[0] <= x);
  const [a, b] = [curve[next - 1]!, curve[next]!];
  return b[1] + ((a[1] - b[1]) * (x - b[0])) / (a[0] - b[0]);
}

/** The usual course of a kiln, from its earlier coolings: the mean where each says something. */
function usualOf(earlier: readonly CoolingCurve[]): Usual {
  const known = earlier.filter((curve) => curve.length >= 2);
  if (known.length === 0) return UNKNOWN;
  const xs = [...new Set(known.flat().map(([x]) => Math.round(x / BIN) * BIN))].sort((a, b) => b - a);
  const curve = xs.map((x) => {
    const ys = known.map((one) => along(one, x));
    return [x, ys.reduce((sum, y) => sum + y, 0) / ys.length] as const;
  });
  // One cooling may have been an odd one; with several their own differences are in the level.
  const few = 1 + 0.4 / known.length;
  return {
    curve,
    level: 0,
    levelSpread: KNOWN.levelSpread * few,
    slope: 0,
    slopeSpread: KNOWN.slopeSpread * few,
    leans: 0,
    pull: KNOWN.pull,
    wander: KNOWN.wander * few,
  };
}

/** Goes down by `by` in x: the slope leans and wanders, the level follows it. */
function down(state: State, by: number, usual: Usual): State {
  const { pull, leans, wander } = usual;
  const keep = Math.exp(-pull * by);
  const m = leans + (state.m - leans) * keep;
  const [yy, ym, mm] = state.cov;
  const q = wander * wander;
  // The level falls by the mean of the slope before and after.
  const way = (by * (1 + keep)) / 2;
  return {
    ...state,
    x: state.x - by,
    y: state.y - ((state.m + m) / 2) * by,
    m,
    cov: [
      yy - 2 * way * ym + way * way * mm + (q * by ** 3) / 3,
      (ym - way * mm) * keep - (q * by * by) / 2,
      mm * keep * keep + q * by,
    ],
  };
}

/** What a hold or a change of its draught may do to level and slope. */
const AFTER_HOLD: Cov = [0.35 ** 2, 0, 0.25 ** 2];

/**
 * Follows the steps of a cooling down to its last, in one room. `surprise` sums how far off each step came.
 */
function follow(
  steps: readonly Step[],
  usual: Usual,
  room: number,
  weight: number,
  noise: number,
): { state: State; surprise: number; likelihood: number } {
  const start = steps[0]!;
  let state: State = {
    room,
    weight,
    x: start.x,
    y: usual.level,
    m: usual.slope,
    cov: [usual.levelSpread ** 2, 0, usual.slopeSpread ** 2],
  };
  let [surprise, likelihood] = [0, 0];
  for (const step of steps) {
    if (step.x < state.x) state = down(state, state.x - step.x, usual);
    if (step.held) {
      const [a, b, c] = state.cov;
      state = { ...state, cov: [a + AFTER_HOLD[0], b, c + AFTER_HOLD[2]] };
      continue;
    }
    const expected = state.y + (usual.curve === null ? 0 : along(usual.curve, step.x));
    const [yy, ym, mm] = state.cov;
    const spread = yy + step.variance * noise;
    const off = step.y - expected;
    surprise += (off * off) / spread;
    likelihood -= (Math.log(spread) + (off * off) / spread) / 2;
    state = {
      ...state,
      y: state.y + (yy / spread) * off,
      m: state.m + (ym / spread) * off,
      cov: [yy - (yy * yy) / spread, ym - (yy * ym) / spread, mm - (ym * ym) / spread],
    };
  }
  return { state, surprise, likelihood };
}

/**
 * Fits a cooling, steadied by earlier coolings of the same kiln when there are any. Null when it has
 * hardly begun, was read too seldom, or stands still: somebody holds it, or opened the door.
 * `log` in seconds and °C; `room` in °C, as far as it is known (20 ± 4).
 */
export function fitCooling(
  log: readonly Reading[],
  room = 20,
  earlier: readonly CoolingCurve[] = [],
): CoolingFit | null {
  const falling = undisturbed(coolingPart(log));
  const last = falling.at(-1);
  const usual = usualOf(earlier);
  const plain = stepsOf(falling, room);
  if (last === undefined || plain.filter(({ held }) => !held).length < FEWEST_STEPS) return null;
  if (Math.max(...falling.slice(-400).map(({ c }) => c), falling[0]!.c) - last.c < SMALLEST_FALL) return null;
  if (plain.at(-1)!.held) return null;
  const once = follow(plain, usual, room, 1, 1);
  // Readings that jump about more than was thought widen everything; quieter ones are not believed more.
  const noise = Math.min(9, Math.max(1, once.surprise / plain.length));
  const followed = ROOMS.map(({ off, weight }) =>
    follow(stepsOf(falling, room + off), usual, room + off, weight, noise),
  );
  const best = Math.max(...followed.map(({ likelihood }) => likelihood));
  const states = followed.map(({ state, likelihood }) => ({
    ...state,
    weight: state.weight * Math.exp(likelihood - best),
  }));
  if (states.some(({ y, m }) => !Number.isFinite(y) || !Number.isFinite(m))) return null;
  return { states, usual, curve: curveOf(plain), readings: plain.length, last };
}

export type CoolTime = { hours: number; low: number; high: number };

const DRAWS = 240;
const STRIDE = 0.08;

/** Numbers of mean 0 and spread 1, always the same: mulberry32 (public domain) and Box–Muller. */
const NORMALS: readonly number[] = (() => {
  let state = 20250301;
  const next = (): number => {
    state = (state + 0x6d2b79f5) >>> 0;
    let z = state;
    z = Math.imul(z ^ (z >>> 15), z | 1);
    z ^= z + Math.imul(z ^ (z >>> 7), z | 61);
    return ((z ^ (z >>> 14)) >>> 0) / 4294967296;
  };
  return Array.from(
    { length: 8192 },
    () => Math.sqrt(-2 * Math.log(next() + 1e-12)) * Math.cos(2 * Math.PI * next()),
  );
})();

/** Hours from the last reading down to x, for one course of the line that may come. */
function hoursAlong(state: State, usual: Usual, from: number, to: number, draw: number): number {
  let seed = draw * 101;
  const normal = (): number => NORMALS[seed++ & 8191]!;
  const [yy, ym, mm] = state.cov;
  const ly = Math.sqrt(Math.max(0, yy));
  const lm = ly > 0 ? ym / ly : 0;
  const [u, v] = [normal(), normal()];
  let y = state.y + ly * u;
  let m = state.m + lm * u + Math.sqrt(Math.max(0, mm - lm * lm)) * v;
  // The line stands where the last step did; from there to the last reading it goes unseen.
  let x = state.x;
  let hours = 0;
  while (x > to + 1e-9) {
    const by = Math.min(STRIDE, x - to);
    const base = usual.curve === null ? 0 : along(usual.curve, x - by / 2);
    const stretch = Math.max(0, Math.min(x, from) - (x - by));
    hours += stretch * Math.exp(-Math.max(-8, Math.min(6, base + y - (m * by) / 2)));
    y -= m * by;
    m += usual.pull * by * (usual.leans - m) + usual.wander * Math.sqrt(by) * normal();
    x -= by;
  }
  return hours;
}

/** The interval is too wide to be of use beyond so much of the time, and so many hours besides. */
const WIDEST = { share: 1.3, hours: 1.5 };

/**
 * Hours from the last reading until the kiln has cooled to `celsius`: the middle, and a 95 % interval.
 * Zero when it is there; null when it never will be, or the interval is too wide to be of use.
 */
export function timeToCool(fit: CoolingFit, celsius: number): CoolTime | null {
  if (fit.last.c <= celsius) return { hours: 0, low: 0, high: 0 };
  const told: { hours: number; weight: number }[] = [];
  for (const state of fit.states) {
    if (celsius - state.room < 4) {
      // In a room so warm it never gets there.
      if (state.weight > 0.3) return null;
      told.push({ hours: Infinity, weight: state.weight });
      continue;
    }
    const [from, to] = [fit.last.c, celsius].map((c) => Math.log((c - state.room) / 100));
    for (let draw = 0; draw < DRAWS; draw++)
      told.push({
        hours: hoursAlong(state, fit.usual, from!, to!, draw),
        weight: state.weight / DRAWS,
      });
  }
  told.sort((a, b) => a.hours - b.hours);
  const all = told.reduce((sum, { weight }) => sum + weight, 0);
  const at = (share: number): number => {
    let sum = 0;
    return (told.find(({ weight }) => (sum += weight) >= share * all) ?? told.at(-1)!).hours;
  };
  const [low, hours, high] = [at(0.025), at(0.5), at(0.975)];
  if (!Number.isFinite(high) || high - low > WIDEST.share * hours + WIDEST.hours) return null;
  return { hours, low, high };
}
