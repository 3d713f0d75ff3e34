/**
 * The estimate of an offset held against the same model on a grid twice as fine, with jStat's
 * normal distribution, densities instead of steps, and one sum over all it does not know.
 */
import jStat from 'jstat';
import { OFFSET_CASES } from '../../../test-support/offset-cases';
import { RECKONED } from '../../../test-support/offset-reckoned';
import type { OffsetSighting } from './index';

const { exp, sqrt } = Math;
const cdf = (x: number, mean: number, sd: number): number =>
  x === Infinity ? 1 : x === -Infinity ? 0 : jStat.normal.cdf(x, mean, sd);

const STEP = 1 / 2;
const GRID = Array.from({ length: 361 }, (_, i) => -90 + i * STEP);
const total = (row: readonly number[]): number => row.reduce((a, b) => a + b, 0);

/** Every offset moves on by a bell of this spread. */
function moved(row: readonly number[], sd: number): number[] {
  const next = GRID.map(() => 0);
  const reach = Math.ceil((4.2 * sd) / STEP);
  const bell = Array.from({ length: reach + 1 }, (_, d) => exp(-((d * STEP) ** 2) / (2 * sd * sd)));
  const all = 2 * total(bell) - 1;
  row.forEach((weight, i) => {
    for (let d = -reach; d <= reach; d++)
      if (next[i + d] !== undefined) next[i + d]! += (weight * bell[Math.abs(d)]!) / all;
  });
  return next;
}

function reckoned(firings: readonly (readonly OffsetSighting[])[]) {
  const now = GRID.map(() => 0);
  const next = GRID.map(() => 0);
  let [scatterSum, weightSum] = [0, 0];
  for (const [law, lawPrior] of [0.7, 0.15, 0.15].entries())
    for (const scatter of [1.5, 2.2, 3.3, 4.8, 7, 10.3, 15])
      for (const [wander, wanderPrior] of [
        [0.5, 0.35],
        [1.4, 0.4],
        [3, 0.25],
      ] as const) {
        let row = GRID.map((offset) => exp(-(offset * offset) / 450));
        row = row.map((one) => one / total(row));
        // Scaled inverse chi-square with four degrees, about 5 °C; steps of the scatter grow with it.
        let weight = (lawPrior * wanderPrior * exp((-4 * 25) / (2 * scatter ** 2))) / scatter ** 4;
        let begun = false;
        for (const said of firings) {
          if (begun) row = moved(row, wander);
          begun ||= said.length > 0;
          if (said.length === 0) continue;
          row = row.map((one, i) =>
            said.reduce((product, { bounds }) => {
              const { atLeast, atMost } = bounds[law]!;
              const fits = cdf(atMost, GRID[i]!, scatter) - cdf(atLeast, GRID[i]!, scatter);
              return product * Math.max(0.002, fits) ** (1 / said.length);
            }, one),
          );
        }
        weight *= total(row);
        const share = total(row);
        const further = moved(row, sqrt(scatter ** 2 + wander ** 2));
        row.forEach((one, i) => {
          now[i]! += (weight * one) / share;
          next[i]! += (weight * further[i]!) / share;
        });
        scatterSum += weight * scatter;
        weightSum += weight;
      }
  const at = (row: readonly number[], share: number): number => {
    let sum = 0;
    const all = total(row);
    const i = row.findIndex((one) => (sum += one) >= share * all);
    return GRID[i]! - STEP / 2 + (STEP * (share * all - (sum - row[i]!))) / row[i]!;
  };
  return {
    mean: total(now.map((one, i) => one * GRID[i]!)) / total(now),
    low: at(now, 0.025),
    high: at(now, 0.975),
    nextLow: at(next, 0.025),
    nextHigh: at(next, 0.975),
    scatter: scatterSum / weightSum,
  };
}

test.each([...OFFSET_CASES])('%s: the figures on record are those it comes to', (name, firings) => {
  const found = reckoned(firings);
  for (const [figure, value] of Object.entries(found))
    expect(Math.abs(value - RECKONED[name]![figure as 'low'])).toBeLessThan(0.005);
});
