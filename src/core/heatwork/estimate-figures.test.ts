/**
 * The estimate of an offset held against the same model reckoned otherwise
 * (estimate-reckoned-worlds.test.ts).
 */
import { floor, OFFSET_CASES, said } from '../../../test-support/offset-cases';
import { RECKONED } from '../../../test-support/offset-reckoned';
import { estimateByPlace, estimateOffset, type OffsetSighting } from './index';

test.each([...OFFSET_CASES])('%s: as it is reckoned otherwise', (name, firings) => {
  const found = estimateOffset(firings)!;
  const truth = RECKONED[name]!;
  for (const figure of ['low', 'high', 'nextLow', 'nextHigh'] as const)
    expect([figure, Math.abs(found[figure] - truth[figure]) < 0.25]).toEqual([figure, true]);
  expect(found.scatter).toBeCloseTo(truth.scatter, 1);
  if (found.offset !== null) expect(Math.abs(found.offset - truth.mean)).toBeLessThan(0.1);
  expect(found.firings).toBe(firings.filter((one) => one.length > 0).length);
});

test('there is a value once something was said from each side', () => {
  const value = (...firings: OffsetSighting[][]): boolean => estimateOffset(firings)!.offset !== null;
  expect(value([said([3, Infinity])], [said([5, Infinity])])).toBe(false);
  expect(value([said([-Infinity, 3])])).toBe(false);
  expect(value([said([3, Infinity])], [said([-Infinity, 9])])).toBe(true);
  expect(value([said([3, 9])])).toBe(true);
  // It is the first law that is asked: the others are doubts about it.
  expect(value([said([3, Infinity], [3, 9], [3, 9])])).toBe(false);
});

test('places are estimated each by itself, hottest first, the middle of the interval where there is no value', () => {
  const found = estimateByPlace([[said([-12, -8]), floor(14, Infinity)], [said([-12, -8])]]);
  expect(found.map(({ place, offset }) => [place, offset === null])).toEqual([
    ['floor', true],
    ['shelf', false],
  ]);
  const { place: _, ...shelf } = found[1]!;
  expect(shelf).toEqual(estimateOffset([[said([-12, -8])], [said([-12, -8])]]));
  const turned = estimateByPlace([[said([14, 18]), floor(-Infinity, -10)]]);
  expect(turned.map(({ place }) => place)).toEqual(['shelf', 'floor']);
  expect(estimateByPlace([[]])).toEqual([]);
});
