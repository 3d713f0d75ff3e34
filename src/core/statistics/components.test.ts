import { factorShare, varianceComponents, type Measured } from './components';

const rows = (levels: Record<string, number[]>, unit = (level: string) => level): Measured[] =>
  Object.entries(levels).flatMap(([level, list]) =>
    list.map((value, i) => ({ level, unit: unit(`${level}${i}`), values: [value] })),
  );

test('dyestuff: yields of five preparations from each of six batches', () => {
  // O. L. Davies, P. L. Goldsmith, Statistical Methods in Research and Production (1972), table 6.1; the
  // estimates as published with it: 1764 between batches, 2451 within. From memory.
  const found = varianceComponents(
    rows({
      A: [1545, 1440, 1440, 1520, 1580],
      B: [1540, 1555, 1490, 1560, 1495],
      C: [1595, 1550, 1605, 1510, 1560],
      D: [1445, 1440, 1595, 1465, 1545],
      E: [1595, 1630, 1515, 1635, 1625],
      F: [1520, 1455, 1450, 1480, 1445],
    }),
  )!;
  expect(found.between).toBeCloseTo(1764.05, 2);
  expect(found.within).toBeCloseTo(2451.25, 2);
});

test('calcium in turnip leaves: twice determined in each of three leaves of a plant', () => {
  // G. W. Snedecor, W. G. Cochran, Statistical Methods: mean square of determinations 0.0067 (from memory);
  // the leaves of one plant by hand: mean square 0.21795 (2 degrees), within 0.00735 (3 degrees) → 0.1053
  // between.
  const found = varianceComponents(rows({ one: [3.28, 3.09], two: [3.52, 3.48], three: [2.88, 2.8] }))!;
  expect(found.within).toBeCloseTo(0.00735, 5);
  expect(found.between).toBeCloseTo(0.1053, 6);
});

test('levels that differ less than chance are nothing, never less; one level or no repeats say nothing', () => {
  expect(varianceComponents(rows({ a: [1, 9], b: [1, 9], c: [2, 8] }))!.between).toBe(0);
  expect(varianceComponents(rows({ a: [1, 9] }))).toBeNull();
  expect(varianceComponents(rows({ a: [1], b: [2], c: [3] }))).toBeNull();
});

test('of several numbers the variances are summed: turning the colour space changes nothing', () => {
  const list = rows({ a: [1, 2, 1.5], b: [4, 5, 4.4], c: [8, 7, 7.7] });
  const along = varianceComponents(list)!;
  const turned = varianceComponents(
    list.map((row) => ({ ...row, values: [row.values[0]! * 0.6, row.values[0]! * 0.8, 0] })),
  )!;
  expect(turned.between).toBeCloseTo(along.between, 9);
  expect(turned.within).toBeCloseTo(along.within, 9);
});

/** A made studio: a factor's levels with their own deviation, firings with theirs, pieces with theirs. */
function made(
  seed: number,
  of: {
    level: number;
    firing: number;
    piece: number;
    levels?: number;
    firings?: number;
    tail?: boolean;
  },
): Measured[] {
  let state = seed * 7919 + 1;
  const uniform = (): number => {
    state = (Math.imul(state, 1103515245) + 12345) >>> 0;
    return (state + 0.5) / 2 ** 32;
  };
  // Another physics: heavy tails instead of a bell.
  const noise = (): number => {
    const bell = Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
    return of.tail ? bell / Math.sqrt(0.4 + uniform()) : bell;
  };
  const levels = Array.from({ length: of.levels ?? 4 }, () => of.level * noise());
  return Array.from({ length: of.firings ?? 12 }, (_, f) => {
    const shift = of.firing * noise();
    return levels.map((own, l) => ({
      level: `l${l}`,
      unit: `f${f}`,
      values: [own + shift + of.piece * noise()],
    }));
  }).flat();
}

test('a factor that does nothing has a small share, one that does all a large one', () => {
  expect(factorShare(made(3, { level: 0, firing: 0, piece: 1 }), false)!.share).toBeLessThan(0.15);
  const strong = factorShare(made(4, { level: 6, firing: 0.5, piece: 0.5 }), false)!;
  expect(strong.share).toBeGreaterThan(0.8);
  expect(strong.interval.low).toBeGreaterThan(0.6);
  expect(strong.apart).toBeGreaterThan(3);
});

test.each([
  ['fourteen firings, as reckoned', 14, false, 93],
  ['fourteen firings in a world with heavy tails', 14, true, 92],
  ['six firings, as reckoned', 6, false, 90],
  ['six firings in a world with heavy tails', 6, true, 82],
])(
  'the interval holds the share that these levels have, in most of 100 studios: %s',
  (_, firings, tail, least) => {
    let held = 0;
    for (let seed = 1; seed <= 100; seed++) {
      const of = { level: 1.5, firing: 0.7, piece: 1, firings, tail };
      // The truth of these very levels: the same studio with a thousand firings.
      const truth = varianceComponents(made(seed, { ...of, firings: 1000 }))!;
      const share = truth.between / (truth.between + truth.within);
      const found = factorShare(made(seed, of), false)!;
      if (found.interval.low - 0.02 <= share && share <= found.interval.high + 0.02) held++;
    }
    expect(held).toBeGreaterThanOrEqual(least);
  },
  60_000,
);

test('what is the same for a whole firing counts firings: many pieces of one do not make it surer', () => {
  // Six firings, two of each air, forty pieces in each; only the firings differ.
  const list = ['f1', 'f2', 'f3', 'f4', 'f5', 'f6'].flatMap((unit, f) =>
    Array.from({ length: 40 }, (_, i): Measured => ({
      level: ['a', 'b', 'c'][f % 3]!,
      unit,
      values: [[0, 5, 9, 8, 1, 4][f]! + (i % 2)],
    })),
  );
  const byPieces = factorShare(list, false)!;
  const byFirings = factorShare(list, true)!;
  expect(byFirings.interval.high - byFirings.interval.low).toBeGreaterThan(0);
  expect(byFirings.share).toBeLessThanOrEqual(byPieces.share + 1e-9);
  expect(byFirings.units).toBe(6);
});

test('where all came out the same there is no spread to divide', () => {
  expect(factorShare(made(2, { level: 0, firing: 0, piece: 0 }), false)).toBeNull();
});

test('silent below three levels or six firings', () => {
  expect(factorShare(made(1, { level: 1, firing: 0, piece: 1, levels: 2 }), false)).toBeNull();
  expect(factorShare(made(1, { level: 1, firing: 0, piece: 1, firings: 5 }), false)).toBeNull();
  expect(factorShare([], false)).toBeNull();
});
