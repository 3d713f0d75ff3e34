import { deltaE } from './difference';
import { apartIn, distanceWords, repeatsOf, type Repeat, type Scatter } from './repeats';
import { together, type PieceColour } from './together';
import type { Lab } from './spaces';

/** A repeatable chance: the same figures every time. */
function chance(seed: number): () => number {
  let state = seed;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}
const normal = (next: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());

/**
 * Stacks of a studio: each a colour, each firing a shift of it, each piece a little of its own; lightness
 * only.
 */
function studio(cells: number, of: { piece: number; firing: number; odd?: number }, seed = 3): Repeat[] {
  const next = chance(seed);
  return Array.from({ length: cells }, (_, i) => {
    const base = 35 + 40 * next();
    return [0, 1].flatMap((firing) => {
      const shift = of.firing * normal(next) + (i < (of.odd ?? 0) && firing === 1 ? 30 : 0);
      return [0, 1].map((): Repeat => ({
        cellId: `c${i}`,
        firingId: `f${firing}`,
        lab: [base + shift + of.piece * normal(next), 0, 0],
      }));
    });
  }).flat();
}

test('what repeats scatter is found as it was made, within a firing and between', () => {
  const { within, between } = repeatsOf(studio(300, { piece: 1, firing: 3 }));
  // The difference of two normals: half lie within 0.674 √2 σ; lightness counts a little less in ΔE₀₀ away
  // from 50.
  expect(within!.usual).toBeGreaterThan(0.75);
  expect(within!.usual).toBeLessThan(1.05);
  // Of the firing’s shift and the pieces’: √(9 + 1) instead of 1.
  expect(between!.usual / within!.usual).toBeGreaterThan(2.5);
  expect(between!.usual / within!.usual).toBeLessThan(4);
  expect(within!.low).toBeLessThan(within!.usual);
  expect(within!.high).toBeGreaterThan(within!.usual);
  expect(within!.most).toBeGreaterThan(within!.high);
});

test('the interval of the usual distance holds it in about 95 of 100 studios', () => {
  // The middle of |N(0, √2 · 1)| in L* near 50, where one L* is about one ΔE₀₀: asked of a very large studio.
  const truth = repeatsOf(studio(6000, { piece: 1, firing: 0 }, 99)).within!.usual;
  let held = 0;
  for (let seed = 0; seed < 200; seed++) {
    const { low, high } = repeatsOf(studio(15, { piece: 1, firing: 0 }, seed)).within!;
    if (low <= truth && truth <= high) held++;
  }
  expect(held / 200).toBeGreaterThan(0.92);
});

test('a few stacks that come out as two colours do not make everything a repeat', () => {
  const clean = repeatsOf(studio(60, { piece: 1, firing: 1 })).between!;
  const odd = repeatsOf(studio(60, { piece: 1, firing: 1, odd: 12 })).between!;
  expect(odd.usual).toBeLessThan(1.5 * clean.usual);
});

test('below six stacks nothing is said, and one piece of a stack says nothing', () => {
  expect(repeatsOf(studio(2, { piece: 1, firing: 1 }))).toEqual({ within: null, between: null });
  const alone = Array.from({ length: 40 }, (_, i): Repeat => ({
    cellId: `c${i}`,
    firingId: 'f',
    lab: [i, 0, 0],
  }));
  expect(repeatsOf(alone)).toEqual({ within: null, between: null });
});

test('a stack with a hundred pieces counts as one', () => {
  const few = studio(12, { piece: 1, firing: 0 });
  const many = Array.from({ length: 100 }, (_, i): Repeat => ({
    cellId: 'big',
    firingId: 'f0',
    lab: [i % 2 ? 90 : 20, 0, 0],
  }));
  expect(repeatsOf([...few, ...many]).within!.groups).toBe(repeatsOf(few).within!.groups + 1);
  expect(repeatsOf([...few, ...many]).within!.usual).toBeLessThan(2 * repeatsOf(few).within!.usual + 1);
});

test('apart is three times what repeats do, never little, and moves in halves', () => {
  const of = (usual: number): Scatter => ({ usual, low: usual, high: usual, most: 2 * usual, groups: 9 });
  expect(apartIn({ within: null, between: null })).toBe(12);
  expect(apartIn({ within: null, between: of(0.4) })).toBe(6);
  expect(apartIn({ within: null, between: of(3.1) })).toBe(9.5);
});

test.each([
  [1, 'no difference that a picture can show'],
  [1.9, 'nearer than two repeats usually are'],
  [4, 'as near as two repeats'],
  [5.5, '2.8 times what repeats scatter'],
  [3.9, 'as near as two repeats'],
  [8, '4 times what repeats scatter'],
])('%p is said as: %s', (distance, words) => {
  expect(distanceWords(distance, { usual: 2, low: 1.5, high: 2.5, most: 4, groups: 20 })).toBe(words);
});
test('where repeats are unknown nothing is said of them', () => {
  expect(distanceWords(5, null)).toBe('how far repeats lie apart is not known here yet');
  expect(distanceWords(5, { usual: 3, low: 2, high: 4, most: 4.5, groups: 9 })).toBe(
    'further apart than nine of ten repeats',
  );
});

describe('pieces together', () => {
  const piece = (no: number, lab: Lab): PieceColour => ({
    pieceId: `p${no}`,
    firingId: `f${no % 2}`,
    lab,
    parts: [{ lab, share: 1 }],
  });
  test('are in the middle, and look like the one that is nearest to it', () => {
    const all = together([piece(1, [40, 0, 0]), piece(2, [50, 2, 0]), piece(3, [90, 4, 0])])!;
    expect(all.lab).toEqual([50, 2, 0]);
    expect(all.parts).toEqual([{ lab: [50, 2, 0], share: 1 }]);
    expect(all).toMatchObject({ pieces: 3, firings: 2 });
    expect(all.furthest).toBeCloseTo(deltaE([90, 4, 0], [40, 0, 0]), 9);
    expect(all.scatter).toBeCloseTo(deltaE([90, 4, 0], [50, 2, 0]), 9);
  });
  test('one alone scatters by nothing that is known; none is nothing', () => {
    expect(together([piece(1, [40, 0, 0])])).toMatchObject({ scatter: null, furthest: null });
    expect(together([])).toBeNull();
  });
});
