/**
 * The model of a cooling held against the same written another way: all steps at once as one normal
 * distribution instead of one after another, courses by integrals in closed form or
 * by other draws. From the definition of each; no source.
 */
import { stepsOf, undisturbed, type Step } from './cooling-steps';
import {
  coolingCurve,
  coolingPart,
  fitCooling,
  timeToCool,
  type CoolingCurve,
  type CoolingFit,
  type Reading,
} from './index';

const { exp, log, sqrt } = Math;
const every = (seconds: number, celsius: readonly number[]): Reading[] =>
  celsius.map((c, i) => ({ t: i * seconds, c }));

describe('steps', () => {
  test('a step’s heat, rate and variance are those worked out by hand', () => {
    // 520 to 420 °C in 900 s in a room of 20: between 500 and 400 K above it, by √(500 · 400) = 447.2.
    const [one] = stepsOf(every(900, [520, 420, 340]), 20);
    expect(one!.x).toBeCloseTo(log(4.4721), 4);
    expect(one!.y).toBeCloseTo(log(log(1.25) / 0.25), 6);
    expect(one!.variance).toBeCloseTo((2 * 1.44) / (447.21 * 0.22314) ** 2 + 0.0016, 6);
    expect(one!.held).toBe(false);
  });

  test('short stretches and small falls are gathered; ten minutes and four degrees suffice', () => {
    const minutes = every(
      60,
      Array.from({ length: 31 }, (_, i) => 600 - i),
    );
    expect(stepsOf(minutes, 20)).toHaveLength(3);
    expect(stepsOf(every(600, [300, 296, 292]), 20)).toHaveLength(2);
    expect(stepsOf(every(600, [300, 296.1, 292.2]), 20)).toHaveLength(1);
    expect(stepsOf(every(599, [300, 290, 280]), 20)).toHaveLength(1);
  });

  test('nothing is read above 900 °C, nor within 2 K of the room, nor of a repeated minute', () => {
    expect(stepsOf(every(900, [1000, 950, 900, 850]), 20)).toHaveLength(1);
    expect(stepsOf(every(900, [40, 30, 22]), 20)).toHaveLength(1);
    expect(stepsOf(every(900, [40, 30, 22.5]), 20)).toHaveLength(2);
    const twice = [...every(900, [600, 560]), { t: 900, c: 500 }, { t: 1800, c: 520 }];
    expect(stepsOf(twice, 20)).toHaveLength(2);
  });

  test('a step far slower than both beside it was held; the last, too, when it hardly falls', () => {
    const held = (celsius: number[]): boolean[] => stepsOf(every(900, celsius), 20).map((s) => s.held);
    expect(held([800, 740, 685, 680, 630, 585])).toEqual([false, false, true, false, false]);
    expect(held([800, 740, 685, 680])).toEqual([false, false, true]);
    expect(held([800, 795, 740, 685])).toEqual([true, false, false]);
    // A slower step is no hold while another beside it is as slow; a single one is none.
    expect(held([800, 740, 685, 680, 675, 630])).toEqual([false, false, false, false, false]);
    expect(held([800, 796])).toEqual([false]);
  });

  test('the falling end begins at the last of equal tops; what follows a shut door is another cooling', () => {
    expect(coolingPart(every(60, [900, 1000, 990, 1000, 980])).map(({ c }) => c)).toEqual([1000, 980]);
    const shut = every(600, [800, 700, 500, 516, 520, 510, 400]);
    expect(undisturbed(shut).map(({ c }) => c)).toEqual([516, 520, 510, 400]);
    // By no more than 15 K, or by little each time from its lowest, it is jitter.
    expect(undisturbed(every(600, [800, 700, 715, 690]))).toHaveLength(4);
    expect(undisturbed(every(600, [800, 700, 710, 705, 718]))).toHaveLength(1);
  });
});

type Matrix = number[][];
const times = (a: Matrix, b: Matrix): Matrix =>
  a.map((row) => b[0]!.map((_, j) => row.reduce((sum, v, k) => sum + v * b[k]![j]!, 0)));
const turned = (a: Matrix): Matrix => a[0]!.map((_, j) => a.map((row) => row[j]!));
const plus = (a: Matrix, b: Matrix): Matrix => a.map((row, i) => row.map((v, j) => v + b[i]![j]!));

/** The inverse and ln of the determinant of a covariance, by elimination. */
function inverted(a: Matrix): { inverse: Matrix; ln: number } {
  const n = a.length;
  const rows = a.map((row, i) => [...row, ...row.map((_, j) => (i === j ? 1 : 0))]);
  let ln = 0;
  for (let i = 0; i < n; i++) {
    const pivot = rows[i]![i]!;
    ln += log(pivot);
    rows[i] = rows[i]!.map((v) => v / pivot);
    for (let k = 0; k < n; k++) {
      const by = rows[k]![i]!;
      if (k !== i) rows[k] = rows[k]!.map((v, j) => v - by * rows[i]![j]!);
    }
  }
  return { inverse: rows.map((row) => row.slice(n)), ln };
}

/** The last level and slope given all steps at once: one joint normal distribution, conditioned. */
function allAtOnce(steps: readonly Step[], fit: CoolingFit, noise: number) {
  const { level, levelSpread, slope, slopeSpread, leans, pull, wander, curve } = fit.usual;
  // State i is F_i · state i−1 + c_i + an error; each as a linear map of (first state, errors so far).
  const n = steps.length;
  let mean = [level, slope];
  let cross: Matrix = [
    [levelSpread ** 2, 0],
    [0, slopeSpread ** 2],
  ];
  const means: number[][] = [];
  /** Covariance of every state with every other, grown one state at a time. */
  const blocks: Matrix[][] = [];
  for (let i = 0; i < n; i++) {
    const by = i === 0 ? 0 : steps[i - 1]!.x - steps[i]!.x;
    const keep = exp(-pull * by);
    const f = [
      [1, (-by * (1 + keep)) / 2],
      [0, keep],
    ];
    const q = [
      [(wander ** 2 * by ** 3) / 3, (-(wander ** 2) * by ** 2) / 2],
      [(-(wander ** 2) * by ** 2) / 2, wander ** 2 * by],
    ];
    const m = leans + (mean[1]! - leans) * keep;
    mean = i === 0 ? mean : [mean[0]! - ((mean[1]! + m) / 2) * by, m];
    means.push(mean);
    if (i > 0) cross = plus(times(times(f, cross), turned(f)), q);
    const row = i === 0 ? [] : blocks[i - 1]!.map((block) => times(f, block));
    blocks.push([...row, cross]);
  }
  const cov = (i: number, j: number): Matrix => (j <= i ? blocks[i]![j]! : turned(blocks[j]![i]!));
  const told = steps.map(({ held }, i) => (held ? -1 : i)).filter((i) => i >= 0);
  const s = told.map((i) => told.map((j) => cov(i, j)[0]![0]! + (i === j ? steps[i]!.variance * noise : 0)));
  const off = told.map((i) => {
    const usual = curve === null ? 0 : between(curve, steps[i]!.x);
    return steps[i]!.y - usual - means[i]![0]!;
  });
  const { inverse, ln } = inverted(s);
  const weighed = inverse.map((row) => row.reduce((sum, v, k) => sum + v * off[k]!, 0));
  const last = n - 1;
  const gain = (which: 0 | 1): number[] => told.map((i) => cov(last, i)[which]![0]!);
  const [gy, gm] = [gain(0), gain(1)];
  const dot = (a: number[], b: number[]): number => a.reduce((sum, v, k) => sum + v * b[k]!, 0);
  const through = (a: number[]): number[] => inverse.map((row) => dot(row, a));
  return {
    y: means[last]![0]! + dot(gy, weighed),
    m: means[last]![1]! + dot(gm, weighed),
    yy: cross[0]![0]! - dot(gy, through(gy)),
    ym: cross[0]![1]! - dot(gy, through(gm)),
    mm: cross[1]![1]! - dot(gm, through(gm)),
    // ln of the density, without the constant that every room shares.
    likelihood: -(ln + dot(off, weighed)) / 2,
    surprise: dot(off, weighed),
  };
}

/** y of a curve by line, and beyond its ends by the slopes of a kiln of which nothing is known. */
function between(curve: CoolingCurve, x: number): number {
  const up = [...curve].reverse();
  if (x <= up[0]![0]) return up[0]![1] + 0.06 * (x - up[0]![0]);
  const i = up.findIndex(([at]) => at > x);
  if (i < 0) return up.at(-1)![1] + 0.35 * (x - up.at(-1)![0]);
  const share = (x - up[i - 1]![0]) / (up[i]![0] - up[i - 1]![0]);
  return up[i - 1]![1] * (1 - share) + up[i]![1] * share;
}

/** A kiln whose rate falls with its heat, in steps of a quarter of an hour, with some scatter. */
const crooked = (jump = 0, steps = 14): Reading[] => {
  let c = 860;
  return Array.from({ length: steps }, (_, i) => {
    const now = c;
    c -= (c - 20) * (1 - exp(-0.06 - 0.00006 * (c - 20) + jump * (i % 3 === 0 ? 1 : -0.5)));
    return { t: i * 900, c: now };
  });
};
const rising: CoolingCurve = [
  [2.1, -0.9],
  [1.6, -1.0],
  [1.1, -1.35],
  [0.2, -1.5],
];
const steeper: CoolingCurve = [
  [2, -0.7],
  [1.2, -1.1],
  [0.4, -1.2],
];

describe.each([
  ['unknown', []],
  ['cooled before', [rising]],
  ['cooled twice before', [rising, steeper, [[1, -1]] as CoolingCurve]],
])('a kiln %s', (_, earlier) => {
  test.each([
    ['quiet', 0],
    ['jumping about', 0.02],
  ])('%s: level, slope and rooms are those of all steps at once', (_said, jump) => {
    const read = crooked(jump);
    const fit = fitCooling(read, 20, earlier)!;
    const plain = allAtOnce(stepsOf(read, 20), fit, 1);
    const noise = Math.min(9, Math.max(1, plain.surprise / (read.length - 1)));
    if (jump > 0) expect(noise).toBeGreaterThan(1.5);
    const rooms = [20 - 6.93, 20, 20 + 6.93].map((room) => allAtOnce(stepsOf(read, room), fit, noise));
    const best = Math.max(...rooms.map(({ likelihood }) => likelihood));
    rooms.forEach((one, i) => {
      const state = fit.states[i]!;
      expect(state.room).toBeCloseTo([13.07, 20, 26.93][i]!, 6);
      expect(state.y).toBeCloseTo(one.y, 6);
      expect(state.m).toBeCloseTo(one.m, 6);
      expect(state.cov[0]).toBeCloseTo(one.yy, 8);
      expect(state.cov[1]).toBeCloseTo(one.ym, 8);
      expect(state.cov[2]).toBeCloseTo(one.mm, 8);
      const weight = [1 / 6, 2 / 3, 1 / 6][i]! * exp(one.likelihood - best);
      expect(state.weight).toBeCloseTo(weight, 6);
    });
  });
});

test('what a kiln usually does is the mean of its coolings, and surer the more there are', () => {
  const one = fitCooling(crooked(), 20, [rising])!.usual;
  const two = fitCooling(crooked(), 20, [rising, steeper])!.usual;
  for (const [x, y] of two.curve!) expect(y).toBeCloseTo((between(rising, x) + between(steeper, x)) / 2, 9);
  const xs = two.curve!.map(([x]) => x);
  expect(xs).toEqual([...xs].sort((a, b) => b - a));
  expect(new Set(xs).size).toBe(7);
  expect(one.levelSpread).toBeCloseTo(0.18 * 1.4, 9);
  expect(two.levelSpread).toBeCloseTo(0.18 * 1.2, 9);
  expect(two.slopeSpread).toBeCloseTo(0.1 * 1.2, 9);
  expect(two.wander).toBeCloseTo(0.11 * 1.2, 9);
  // A curve of one point says nothing of a course; two do.
  expect(fitCooling(crooked(), 20, [[[1, -1]]])!.usual.curve).toBeNull();
  expect(fitCooling(crooked(), 20, [steeper.slice(0, 2)])!.usual.curve).not.toBeNull();
});

test('after a hold level and slope are less sure, and the hold itself says nothing', () => {
  const read = crooked();
  const held = [
    ...read.slice(0, 8),
    { t: 8 * 900, c: read[7]!.c - 4 },
    ...read.slice(8).map(({ t, c }) => ({ t: t + 900, c: c - 4 })),
  ];
  const steps = stepsOf(held, 20);
  expect(steps.map((step) => step.held).filter(Boolean)).toHaveLength(1);
  const [with_, without] = [fitCooling(held)!, fitCooling(read)!].map(({ states }) => states[1]!);
  expect(with_!.cov[0]).toBeGreaterThan(without!.cov[0]);
  expect(with_!.cov[2]).toBeGreaterThan(without!.cov[2]);
  expect(Math.abs(with_!.y - without!.y)).toBeLessThan(0.1);
  const curve = coolingCurve(held)!;
  expect(Math.min(...curve.map(([, y]) => y))).toBeGreaterThan(-2);
});

test('what is kept of a cooling are means by their certainty in stretches of 0.15, hottest first', () => {
  const read = every(
    600,
    Array.from({ length: 41 }, (_, i) => 20 + 800 * exp(-0.05 * i)),
  );
  const curve = coolingCurve(read)!;
  const steps = stepsOf(read, 20);
  const bins = new Set(steps.map(({ x }) => Math.floor(x / 0.15)));
  expect(curve).toHaveLength(bins.size);
  const xs = curve.map(([x]) => x);
  expect(xs).toEqual([...xs].sort((a, b) => b - a));
  const first = steps.filter(({ x }) => Math.floor(x / 0.15) === Math.floor(steps[0]!.x / 0.15));
  const w = first.map(({ variance }) => 1 / variance);
  const mean = first.reduce((sum, { x }, i) => sum + x * w[i]!, 0) / w.reduce((a, b) => a + b);
  expect(curve[0]![0]).toBeCloseTo(mean, 9);
  expect(coolingCurve(every(900, [700, 600, 500, 420]))).toHaveLength(3);
  expect(coolingCurve(every(900, [700, 600, 500]))).toBeNull();
});

test('nothing is said of fewer than three steps, of a fall of less than 50 K, or in a hold', () => {
  expect(fitCooling(every(900, [700, 600, 500]))).toBeNull();
  expect(fitCooling(every(900, [700, 600, 500, 420]))).not.toBeNull();
  expect(fitCooling(every(900, [300, 284, 268, 250]))).not.toBeNull();
  expect(fitCooling(every(900, [300, 284, 268, 250.1]))).toBeNull();
  expect(fitCooling(every(900, [700, 600, 500, 420, 415.9]))).toBeNull();
});

/** A fit of one state, or some, as it might have been come by. */
const NONE = { wander: 0, pull: 2.2, leans: 0.06, curve: null as CoolingCurve | null };
const fitted = (
  states: readonly Partial<CoolingFit['states'][number]>[],
  usual: Partial<typeof NONE> = {},
  celsius = 420,
): CoolingFit => ({
  states: states.map((state) => ({
    room: 20,
    weight: 1,
    x: log((celsius - (state.room ?? 20)) / 100),
    y: -1,
    m: 0,
    cov: [0, 0, 0] as const,
    ...state,
  })),
  usual: { level: 0, levelSpread: 0, slope: 0, slopeSpread: 0, ...NONE, ...usual },
  curve: [],
  readings: 9,
  last: { t: 0, c: celsius },
});
/** Hours over ln of the heat from `from` down to `to`, of a rate that depends on x, by many strips. */
const integral = (rate: (x: number) => number, from: number, to: number): number => {
  const strips = 20_000;
  let sum = 0;
  for (let i = 0; i < strips; i++) {
    const x = from - ((from - to) * (i + 0.5)) / strips;
    sum += (from - to) / strips / rate(x);
  }
  return sum;
};
const [FROM, TO] = [log(4), log(0.8)];

describe('the way down', () => {
  test('one exponential takes the time of its logarithm, to the degree that is asked for', () => {
    for (const celsius of [399, 250, 100, 41.3])
      expect(timeToCool(fitted([{}], { leans: 0 }), celsius)!.hours).toBeCloseTo(
        log(400 / (celsius - 20)) * Math.E,
        9,
      );
  });

  test('a slope that fades, a usual course, and a last step above the last reading', () => {
    // m leans to 0.06 as exp(−2.2 · way): y falls by its integral.
    const y = (x: number): number => {
      const way = FROM - x;
      return -1 - 0.06 * way - ((0.5 - 0.06) * (1 - exp(-2.2 * way))) / 2.2;
    };
    const told = timeToCool(fitted([{ m: 0.5 }]), 100)!;
    expect(told.hours / integral((x) => exp(y(x)), FROM, TO)).toBeCloseTo(1, 1.5);
    expect(Math.abs(told.hours / integral((x) => exp(y(x)), FROM, TO) - 1)).toBeLessThan(0.02);
    const usual = timeToCool(fitted([{ y: 0.2 }], { curve: steeper, leans: 0 }), 100)!;
    const truth = integral((x) => exp(0.2 + between(steeper, x)), FROM, TO);
    expect(Math.abs(usual.hours / truth - 1)).toBeLessThan(0.005);
    // From the middle of the last step to the last reading no time is counted, but the slope goes on.
    const before = timeToCool(fitted([{ x: FROM + 0.3, m: 0.5 }], { pull: 0 }), 100)!;
    const later = integral((x) => exp(-1 - 0.5 * (FROM + 0.3 - x)), FROM, TO);
    expect(Math.abs(before.hours / later - 1)).toBeLessThan(0.01);
  });

  test('rates that no kiln has are held within bounds', () => {
    expect(timeToCool(fitted([{ y: -20 }], { leans: 0 }), 100)!.hours).toBeCloseTo((FROM - TO) * exp(8), 3);
    expect(timeToCool(fitted([{ y: 20 }], { leans: 0 }), 100)!.hours).toBeCloseTo((FROM - TO) * exp(-6), 8);
  });

  test('an unsure level spreads the time as its logarithm does; an unsure slope by what it comes to', () => {
    const time = (FROM - TO) * Math.E;
    const level = timeToCool(fitted([{ cov: [0.04, 0, 0] }], { leans: 0 }), 100)!;
    expect(Math.abs(log(level.low / time) + 0.392)).toBeLessThan(0.09);
    expect(Math.abs(log(level.high / time) - 0.392)).toBeLessThan(0.09);
    expect(Math.abs(log(level.hours / time))).toBeLessThan(0.04);
    const ends = (state: object, usual: object = {}): [number, number] => {
      const told = timeToCool(fitted([state], { leans: 0, pull: 0, ...usual }), 100)!;
      return [told.low, told.high];
    };
    const slope = (m: number): number => integral((x) => exp(-1 - m * (FROM - x)), FROM, TO);
    const [low, high] = ends({ cov: [0, 0, 0.0225] });
    expect(Math.abs(low / slope(-1.96 * 0.15) - 1)).toBeLessThan(0.07);
    expect(Math.abs(high / slope(1.96 * 0.15) - 1)).toBeLessThan(0.07);
    // Level and slope that go together make up for each other, or add up.
    const both = (sign: 1 | -1) => (u: number) =>
      integral((x) => exp(-1 + 0.2 * u - sign * 0.2 * u * (FROM - x)), FROM, TO);
    for (const sign of [1, -1] as const) {
      const told = ends({ cov: [0.04, sign * 0.04, 0.04] });
      const truth = [both(sign)(1.96), both(sign)(-1.96)].sort((a, b) => a - b);
      expect(Math.abs(told[0] / truth[0]! - 1)).toBeLessThan(0.13);
      expect(Math.abs(told[1] / truth[1]! - 1)).toBeLessThan(0.13);
    }
  });

  test('a slope that wanders spreads the time as other draws of it do', () => {
    const drawn: number[] = [];
    let state = 17;
    const uniform = (): number => {
      state = (state * 48271) % 2147483647;
      return state / 2147483647;
    };
    // Twelve uniforms less six are near enough normal.
    const normal = (): number => Array.from({ length: 12 }, uniform).reduce((a, b) => a + b) - 6;
    const by = (FROM - TO) / 160;
    for (let k = 0; k < 3000; k++) {
      let [y, m, hours] = [-1, 0.3, 0];
      for (let i = 0; i < 160; i++) {
        hours += by / exp(y - (m * by) / 2);
        y -= m * by;
        m += 2.2 * by * (0.06 - m) + 0.34 * sqrt(by) * normal();
      }
      drawn.push(hours);
    }
    drawn.sort((a, b) => a - b);
    const told = timeToCool(fitted([{ m: 0.3 }], { wander: 0.34 }), 100)!;
    expect(Math.abs(told.low / drawn[75]! - 1)).toBeLessThan(0.06);
    expect(Math.abs(told.hours / drawn[1500]! - 1)).toBeLessThan(0.04);
    expect(Math.abs(told.high / drawn[2925]! - 1)).toBeLessThan(0.08);
  });

  test('rooms count by their weight', () => {
    const rooms = [
      { y: log(1.2), weight: 0.03 },
      { y: 0, weight: 0.94 },
      { y: -log(1.2), weight: 0.03 },
    ];
    const hours = FROM - TO;
    const told = timeToCool(fitted(rooms, { leans: 0 }), 100)!;
    expect(told.low).toBeCloseTo(hours / 1.2, 9);
    expect(told.hours).toBeCloseTo(hours, 9);
    expect(told.high).toBeCloseTo(hours * 1.2, 9);
    const lean = rooms.map((room, i) => ({ ...room, weight: [0.02, 0.96, 0.02][i]! }));
    expect(timeToCool(fitted(lean, { leans: 0 }), 100)!.high).toBeCloseTo(hours, 9);
  });

  test('there already is none to wait; a room too warm for it is passed over while it is unlikely', () => {
    const there = { hours: 0, low: 0, high: 0 };
    expect(timeToCool(fitted([{}]), 420)).toEqual(there);
    expect(timeToCool(fitted([{}]), 419.9)!.hours).toBeGreaterThan(0);
    const warm = (weight: number, room: number) =>
      timeToCool(fitted([{ weight: 1 }, { weight, room }], { leans: 0 }, 60), 30);
    expect(warm(0.31, 27)).toBeNull();
    expect(warm(0.31, 26)).not.toBeNull();
    // Unlikely enough that the interval ends before it.
    expect(warm(0.02, 27)!.high).toBeCloseTo(log(4) * Math.E, 6);
    // Likely enough to be in it: nothing can be said.
    expect(warm(0.2, 27)).toBeNull();
  });

  test('an interval too wide to be of use is not said', () => {
    const wide = (share: number, celsius: number) =>
      timeToCool(
        fitted(
          [
            { y: share, weight: 0.1 },
            { y: 0, weight: 0.8 },
            { y: -share, weight: 0.1 },
          ],
          { leans: 0 },
        ),
        celsius,
      );
    const hours = (celsius: number): number => log(400 / (celsius - 20));
    // From 1/f to f times: said while f − 1/f is at most 1.3 and an hour and a half more.
    const least = (f: number, celsius: number): boolean =>
      (f - 1 / f) * hours(celsius) <= 1.3 * hours(celsius) + 1.5;
    for (const celsius of [300, 100, 30])
      for (const f of [1.2, 1.8, 2.4, 3, 4, 6, 8])
        expect([celsius, f, wide(log(f), celsius) !== null]).toEqual([celsius, f, least(f, celsius)]);
  });
});
