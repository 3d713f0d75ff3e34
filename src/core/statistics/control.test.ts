import { controlLimits } from './control';

// NIST/SEMATECH e-Handbook of Statistical Methods, section 6.3.2.2 (from memory): batches of a flow rate, its
// mean 50.81, mean moving range 1.8778, limits 55.8041 and 45.8159.
const FLOW = [49.6, 47.6, 49.9, 51.3, 47.8, 51.2, 52.6, 52.4, 53.6, 52.1];

test('the limits of a published chart of single values', () => {
  const { centre, low, high, step, signals } = controlLimits(FLOW)!;
  expect(centre).toBeCloseTo(50.81, 3);
  expect(step).toBeCloseTo(1.8778, 4);
  // With 3 / 1.128 instead of the tabled 2.66 it is 55.8041: the table is rounded.
  expect(high).toBeCloseTo(55.804, 2);
  expect(low).toBeCloseTo(45.816, 2);
  expect(signals).toEqual([]);
});

test('a value beyond, a jump inside the limits, and a drift stand out, each at its place', () => {
  const calm = [10, 11, 10, 11, 10, 11, 10, 11, 10, 11];
  expect(controlLimits([...calm, 20], calm.length)!.signals).toEqual([{ at: 10, is: 'beyond' }]);
  const drift = [...calm, ...Array.from({ length: 8 }, () => 11.2)];
  expect(controlLimits(drift, calm.length)!.signals.at(-1)).toEqual({ at: 17, is: 'drift' });
  const wide = [0, 3, 0, 3, 0, 3, 0, 3, 0, 3];
  expect(controlLimits([...wide, -5, 8], wide.length)!.signals).toEqual([{ at: 11, is: 'jump' }]);
});

test('eight values at least; a base of fewer sets no limits', () => {
  expect(controlLimits(FLOW.slice(0, 7))).toBeNull();
  expect(controlLimits(FLOW, 6)).toBeNull();
  expect(controlLimits(FLOW.slice(0, 8))).not.toBeNull();
});

test('of calm values by chance few are called out', () => {
  let state = 5;
  const uniform = (): number => ((state = (Math.imul(state, 1664525) + 1013904223) >>> 0) + 0.5) / 2 ** 32;
  const bell = (): number => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
  let called = 0;
  for (let i = 0; i < 200; i++) called += controlLimits(Array.from({ length: 20 }, bell))!.signals.length;
  // Three deviations, a jump, and eight in a row together: below 3 in 100 values.
  expect(called / (200 * 20)).toBeLessThan(0.03);
});
