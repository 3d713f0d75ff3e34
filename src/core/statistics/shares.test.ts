import fc from 'fast-check';
import jStat from 'jstat';
import { fisherExact, wilson } from './index';

describe('Wilson’s interval', () => {
  // From memory: Newcombe, Statistics in Medicine 17 (1998) 857, table I, method 3: 81/263, 15/148, 0/20,
  // 1/29.
  test.each([
    [81, 263, 0.2553, 0.3662],
    [15, 148, 0.0624, 0.1605],
    [0, 20, 0, 0.1611],
    [1, 29, 0.0061, 0.1718],
  ])('of %i in %i is %f to %f', (k, n, low, high) => {
    expect(wilson(k, n).low).toBeCloseTo(low, 4);
    expect(wilson(k, n).high).toBeCloseTo(high, 4);
  });

  test('is that of a reference package', () => {
    // prop.test without continuity, R 4.2.
    expect(wilson(15, 148).low).toBeCloseTo(0.0623864, 7);
    expect(wilson(15, 148).high).toBeCloseTo(0.16048724, 7);
    expect(wilson(3, 7).low).toBeCloseTo(0.15821986, 7);
    expect(wilson(3, 7).high).toBeCloseTo(0.74954164, 7);
  });

  test('of nothing is everything, and what is no share is refused', () => {
    expect(wilson(0, 0)).toEqual({ low: 0, high: 1 });
    expect(() => wilson(3, 2)).toThrow(RangeError);
    expect(() => wilson(-1, 2)).toThrow(RangeError);
  });
});

describe('Fisher’s exact test', () => {
  test('the lady tasting tea: three right of four and four, both ways', () => {
    // Fisher 1935: one-sided 17/70; the other end mirrors it.
    expect(
      fisherExact([
        [3, 1],
        [1, 3],
      ]),
    ).toBeCloseTo(34 / 70, 10);
    expect(
      fisherExact([
        [4, 0],
        [0, 4],
      ]),
    ).toBeCloseTo(2 / 70, 10);
  });

  test('a table of a handbook', () => {
    // From memory: Agresti, Categorical Data Analysis (1990), criminal convictions of twins: 2/13 and 10/17.
    expect(
      fisherExact([
        [2, 15],
        [10, 3],
      ]),
    ).toBeCloseTo(0.0005367, 6);
  });

  test('an empty row tells nothing; turned or mirrored a table says the same', () => {
    expect(
      fisherExact([
        [0, 0],
        [3, 4],
      ]),
    ).toBeCloseTo(1, 10);
    const n = fc.integer({ min: 0, max: 30 });
    fc.assert(
      fc.property(n, n, n, n, (a, b, c, d) => {
        const p = fisherExact([
          [a, b],
          [c, d],
        ]);
        expect(p).toBeGreaterThan(0);
        expect(p).toBeLessThanOrEqual(1);
        expect(
          fisherExact([
            [c, d],
            [a, b],
          ]),
        ).toBeCloseTo(p, 9);
        expect(
          fisherExact([
            [a, c],
            [b, d],
          ]),
        ).toBeCloseTo(p, 9);
      }),
    );
  });

  test('under chance alone it is below 5 % at most in one case of twenty', () => {
    // Exhaustive over margins 8 and 8 of 16: the size of the test itself.
    const choose = (n: number, k: number): number => (k === 0 ? 1 : (choose(n - 1, k - 1) * n) / k);
    let size = 0;
    for (let a = 0; a <= 8; a++)
      if (
        fisherExact([
          [a, 8 - a],
          [8 - a, a],
        ]) < 0.05
      )
        size += (choose(8, a) * choose(8, 8 - a)) / choose(16, 8);
    expect(size).toBeGreaterThan(0);
    expect(size).toBeLessThan(0.05);
  });

  test('large tables are as a library reckons them, and the far end is nought, not an error', () => {
    // Held against the library's own logarithms of binomials, term by term.
    const [a, b, c, d] = [60, 940, 30, 970];
    const log = (k: number): number => jStat.combinationln(a + c, k) + jStat.combinationln(b + d, a + b - k);
    const all = Array.from({ length: a + c + 1 }, (_, k) => log(k));
    const top = Math.max(...all);
    const sum = (logs: readonly number[]): number =>
      logs.reduce((total, one) => total + Math.exp(one - top), 0);
    const p = sum(all.filter((one) => one <= log(a) + 1e-7)) / sum(all);
    expect(
      fisherExact([
        [a, b],
        [c, d],
      ]),
    ).toBeCloseTo(p, 9);
    expect(p).toBeLessThan(0.01);
    expect(
      fisherExact([
        [5000, 0],
        [0, 5000],
      ]),
    ).toBeLessThan(1e-300);
  });

  test('counts that are none are refused', () => {
    expect(() =>
      fisherExact([
        [0.5, 1],
        [1, 1],
      ]),
    ).toThrow(RangeError);
    expect(() =>
      fisherExact([
        [-1, 1],
        [1, 1],
      ]),
    ).toThrow(RangeError);
  });
});
