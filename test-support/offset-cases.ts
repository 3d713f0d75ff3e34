/** What firings may say of a thermocouple, and what an estimate that is made otherwise makes of it. */
import type { Bound, OffsetSighting } from '../src/core/heatwork';

export const said = (...bounds: [number, number][]): OffsetSighting => ({
  place: 'shelf',
  bounds: [0, 1, 2].map((law): Bound => {
    const [atLeast, atMost] = bounds[law] ?? bounds[0]!;
    return { atLeast, atMost };
  }),
});
export const floor = (atLeast: number, atMost: number): OffsetSighting => ({
  ...said([atLeast, atMost]),
  place: 'floor',
});

export const OFFSET_CASES: readonly [string, OffsetSighting[][]][] = [
  ['one firing, both sides', [[said([5, 15])]]],
  ['one firing, at least', [[said([20, Infinity])]]],
  ['one firing, at most', [[said([-Infinity, -12])]]],
  ['laws of the bend that differ', [[said([10, 14], [2, 6], [16, 24])], [said([11, 15], [3, 7], [15, 20])]]],
  ['four firings that agree', Array.from({ length: 4 }, () => [said([-3, 1])])],
  ['firings that scatter', [-20, 16, 2, -15].map((c) => [said([c - 2, c + 2])])],
  ['a drift', [0, 6, 12, 18].map((c) => [said([c - 2, c + 2])])],
  ['silent firings before, between and after', [[], [said([8, 12])], [], [], [said([6, 10])], [], []]],
  ['places of one firing that differ', [[said([2, 6]), floor(-9, -5)], [said([3, 7])]]],
  ['one gone astray', [[said([-2, 2])], [said([-2, 2])], [said([-2, 2])], [said([70, 74])]]],
];
