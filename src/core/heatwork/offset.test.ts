import { ELECTRIC, fire, type Kiln } from '../../../stand-ins/kiln';
import { gaussian } from '../../../stand-ins/noise';
import { nextWholeCone, previousWholeCone, type WitnessCone } from '../cones';
import {
  bendDegreesOf,
  climbTo,
  expectedBends,
  predictedOrdinal,
  predictedRange,
  readSchedule,
  sightOffsets,
  thinned,
  withHoldFor,
  workOf,
  type Reading,
  type Segment,
} from './index';

const TO_SIX: Segment[] = [
  { rate: 160, target: 1080, holdMinutes: 0 },
  { rate: 65, target: 1200, holdMinutes: 12 },
];

/** Witness cones as this history would leave them. */
const pack = (target: string, truth: readonly Reading[], place = 'shelf'): WitnessCone[] =>
  [previousWholeCone(target)!, target, nextWholeCone(target)!].map((cone) => ({
    cone,
    place,
    bendDegrees: Math.min(90, Math.max(0, bendDegreesOf(cone, workOf(cone, truth)))),
  }));

test('cones that felt just what was shown say: no offset, under the model’s own law', () => {
  const log = climbTo(1216, 60);
  const said = sightOffsets(log, pack('6', log));
  expect(said).toHaveLength(1);
  const [own, , even] = said[0]!.bounds;
  expect(own!.atLeast).toBeLessThan(1);
  expect(own!.atMost).toBeGreaterThan(-1);
  expect(own!.atMost - own!.atLeast).toBeLessThan(20);
  // Were the bend even with the work, half a bend would have taken less of it.
  expect(even!.atMost).toBeLessThan(own!.atMost);
});

test('a small cone in the shut-off teaches nothing of the thermocouple', () => {
  const log = climbTo(1216, 60);
  const shelves = pack('6', log);
  const off = [{ cone: '8', place: 'shut-off', bendDegrees: 90 }];
  expect(sightOffsets(log, [...shelves, ...off])).toEqual(sightOffsets(log, shelves));
  expect(sightOffsets(log, off)).toEqual([]);
});

test('cones all down say at least, cones all standing at most, none say nothing', () => {
  const log = climbTo(1222, 60);
  const [down] = sightOffsets(log, [{ cone: '5', place: 's', bendDegrees: 90 }]);
  for (const { atLeast, atMost } of down!.bounds) {
    expect(atMost).toBe(Infinity);
    expect(atLeast).toBeLessThan(-20);
  }
  const [up] = sightOffsets(log, [{ cone: '7', place: 's', bendDegrees: 0 }]);
  for (const { atLeast, atMost } of up!.bounds) {
    expect(atLeast).toBe(-Infinity);
    expect(atMost).toBeGreaterThan(-15);
  }
  expect(sightOffsets(log, [])).toEqual([]);
  // A log that never came near the cones cannot speak of them.
  expect(sightOffsets(climbTo(700, 60), [{ cone: '6', place: 's', bendDegrees: 90 }])).toEqual([]);
});

test('swapped cones do not break what is said', () => {
  const [said] = sightOffsets(climbTo(1222, 60), [
    { cone: '5', place: 's', bendDegrees: 0 },
    { cone: '7', place: 's', bendDegrees: 90 },
  ]);
  for (const { atLeast, atMost } of said!.bounds) expect(atLeast).toBeLessThanOrEqual(atMost);
});

test('a dense log thinned to a reading a minute does the same work', () => {
  const dense = Array.from({ length: 20_000 }, (_, i) => ({ t: 2 * i, c: 300 + i * 0.046 }));
  expect(thinned(dense).length).toBeLessThan(700);
  expect(workOf('6', thinned(dense)) / workOf('6', dense)).toBeCloseTo(1, 3);
});

test('with the offset known the predicted cone is within 0.2 of what the cones show', () => {
  const noise = gaussian(77);
  for (let k = 0; k < 30; k++) {
    const offset = 15 * noise();
    const kiln: Kiln = { ...ELECTRIC, readsLow: offset };
    const aim = TO_SIX.map((one) => ({ ...one, target: one.target - offset + 12 * noise() }));
    const fired = fire(kiln, aim, noise, { every: 60 });
    const predicted = predictedOrdinal(fired.shown, offset);
    expect(Math.abs(predicted - predictedOrdinal(fired.truth))).toBeLessThan(0.2);
  }
});

test('a schedule made with the learned offset brings its cone down where the program alone would not', () => {
  const noise = gaussian(5);
  const kiln: Kiln = { ...ELECTRIC, readsLow: 15 };
  const plain = withHoldFor(TO_SIX, '6')!;
  const learned = withHoldFor(TO_SIX, '6', 15)!;
  const reached = (segments: readonly Segment[]): number =>
    predictedOrdinal(fire(kiln, segments, noise).truth);
  expect(reached(plain)).toBeGreaterThan(6.3);
  expect(Math.abs(reached(learned) - 6)).toBeLessThan(0.3);
});

describe('what is foretold', () => {
  const known = { low: 0, high: 10, nextLow: -6, nextHigh: 16 };
  const log = climbTo(1222, 60);

  test('a range reaches as far as a further firing may, not only as the offset is known', () => {
    const range = predictedRange(log, { ...known, offset: 5 });
    expect(range.ordinal).toBeCloseTo(predictedOrdinal(log, 5), 6);
    expect(range.low).toBeCloseTo(predictedOrdinal(log, -6), 6);
    expect(range.high).toBeCloseTo(predictedOrdinal(log, 16), 6);
  });

  test('without a point value the thermocouple is taken at its word, as far as its bounds allow', () => {
    expect(predictedRange(log, { ...known, offset: null }).ordinal).toBeCloseTo(predictedOrdinal(log, 0), 6);
    const above = { offset: null, low: 12, high: 40, nextLow: 5, nextHigh: 45 };
    expect(predictedRange(log, above).ordinal).toBeCloseTo(predictedOrdinal(log, 12), 6);
  });

  test('an unknown kiln has no range; a schedule has one where its kiln has', () => {
    const plain = predictedRange(log, null);
    expect(plain.low).toBe(plain.high);
    const read = readSchedule(TO_SIX, { offset: 5, next: { low: -6, high: 16 } });
    expect(read.low).toBeLessThan(read.ordinal);
    expect(read.high).toBeGreaterThan(read.ordinal);
    const alone = readSchedule(TO_SIX, {});
    expect([alone.low, alone.high]).toEqual([alone.ordinal, alone.ordinal]);
  });

  test('the cones of a pack, as they would stand', () => {
    expect(expectedBends('6', log).map(({ cone }) => cone)).toEqual(['5', '6', '7']);
  });
});
