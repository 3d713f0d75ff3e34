import { ELECTRIC, fire, type Kiln } from '../../../stand-ins/kiln';
import { gaussian } from '../../../stand-ins/noise';
import { nextWholeCone, previousWholeCone, type WitnessCone } from '../cones';
import {
  bendDegreesOf,
  climbTo,
  estimateByPlace,
  estimateOffset,
  expectedBends,
  predictedOrdinal,
  predictedRange,
  sightOffsets,
  thinned,
  withHoldFor,
  workOf,
  type OffsetSighting,
  type Reading,
  type Segment,
} from './index';

const TO_SIX: Segment[] = [
  { rate: 160, target: 1080, holdMinutes: 0 },
  { rate: 65, target: 1200, holdMinutes: 12 },
];

/** Witness cones as they would be found, read by eye to within a few degrees. */
function pack(
  target: string,
  truth: readonly Reading[],
  place: string,
  felt: number,
  noise: () => number,
): WitnessCone[] {
  return [previousWholeCone(target)!, target, nextWholeCone(target)!].map((cone) => {
    const bend = bendDegreesOf(cone, workOf(cone, truth, felt));
    const read = bend <= 0 || bend >= 90 ? bend : Math.round((bend + 2 * noise()) / 5) * 5;
    return { cone, place, bendDegrees: Math.max(0, Math.min(90, read)) };
  });
}

const sighting = (firing: string, atLeast: number, atMost: number): OffsetSighting => ({
  firing,
  place: 'shelf',
  atLeast,
  atMost,
});

test('cones that felt just what was shown say: no offset', () => {
  const log = climbTo(1222, 60);
  const said = sightOffsets(
    'a',
    log,
    pack('6', log, 'shelf', 0, () => 0),
  );
  expect(said).toHaveLength(1);
  expect(said[0]!.atLeast).toBeLessThan(2);
  expect(said[0]!.atMost).toBeGreaterThan(-2);
  expect(said[0]!.atMost - said[0]!.atLeast).toBeLessThan(20);
});

test('cones all down say at least, cones all standing at most, none say nothing', () => {
  const log = climbTo(1222, 60);
  const down = sightOffsets('a', log, [{ cone: '5', place: 's', bendDegrees: 90 }]);
  expect(down[0]).toMatchObject({ atMost: Infinity });
  expect(down[0]!.atLeast).toBeLessThan(-20);
  const up = sightOffsets('a', log, [{ cone: '7', place: 's', bendDegrees: 0 }]);
  expect(up[0]).toMatchObject({ atLeast: -Infinity });
  expect(up[0]!.atMost).toBeGreaterThan(-15);
  expect(sightOffsets('a', log, [])).toEqual([]);
  // A log that never came near the cones cannot speak of them.
  expect(sightOffsets('a', climbTo(700, 60), [{ cone: '6', place: 's', bendDegrees: 90 }])).toEqual(
    [],
  );
});

test('nothing is estimated from nothing; one firing leaves room, six leave less', () => {
  expect(estimateOffset([])).toBeNull();
  const one = estimateOffset([sighting('a', 13, 17)])!;
  const six = estimateOffset(['a', 'b', 'c', 'd', 'e', 'f'].map((f) => sighting(f, 13, 17)))!;
  expect(one.offset).toBeCloseTo(15, 0);
  expect(six.offset).toBeCloseTo(15, 0);
  expect(six.high - six.low).toBeLessThan(0.6 * (one.high - one.low));
  expect(six.firings).toBe(6);
});

test('one-sided firings pull only one way', () => {
  const exact = ['a', 'b', 'c'].map((f) => sighting(f, -2, 2));
  const lower = estimateOffset([...exact, sighting('d', -40, Infinity)])!;
  const plain = estimateOffset(exact)!;
  expect(Math.abs(lower.offset - plain.offset)).toBeLessThan(0.5);
  const pulled = estimateOffset([...exact, sighting('d', 12, Infinity)])!;
  expect(pulled.offset).toBeGreaterThan(plain.offset + 1);
});

test('two packs of one firing count as one firing', () => {
  const twice = estimateOffset([
    sighting('a', 9, 11),
    { ...sighting('a', 9, 11), place: 'floor' },
  ])!;
  const once = estimateOffset([sighting('a', 9, 11)])!;
  expect(twice.high - twice.low).toBeCloseTo(once.high - once.low, 0);
});

test('hot and cold places are told apart, hottest first', () => {
  const log = climbTo(1222, 60);
  const noise = gaussian(4);
  const said = ['a', 'b', 'c', 'd'].flatMap((firing) =>
    sightOffsets(firing, log, [
      ...pack('6', log, 'top shelf', 5, noise),
      ...pack('6', log, 'floor', -9, noise),
    ]),
  );
  const places = estimateByPlace(said);
  expect(places.map(({ place }) => place)).toEqual(['top shelf', 'floor']);
  expect(places[0]!.offset - places[1]!.offset).toBeGreaterThan(9);
  expect(places[0]!.offset - places[1]!.offset).toBeLessThan(19);
});

test('a dense log thinned to a reading a minute does the same work', () => {
  const dense = Array.from({ length: 20_000 }, (_, i) => ({ t: 2 * i, c: 300 + i * 0.046 }));
  expect(thinned(dense).length).toBeLessThan(700);
  expect(workOf('6', thinned(dense)) / workOf('6', dense)).toBeCloseTo(1, 3);
});

test('swapped cones do not break the estimate', () => {
  const log = climbTo(1222, 60);
  const said = sightOffsets('a', log, [
    { cone: '5', place: 's', bendDegrees: 0 },
    { cone: '7', place: 's', bendDegrees: 90 },
  ]);
  expect(said[0]!.atLeast).toBeLessThanOrEqual(said[0]!.atMost);
});

describe('against the simulated kiln, whose truth is known', () => {
  const KILNS = 200;
  const FIRINGS = 6;

  test('the true offset lies in the stated 95 % interval in 90 to 99 % of 200 kilns', () => {
    const noise = gaussian(20_261);
    let inside = 0;
    let miss = 0;
    for (let k = 0; k < KILNS; k++) {
      const offset = 12 * noise();
      const kiln: Kiln = {
        ...ELECTRIC,
        readsLow: offset,
        elements: 0.85 + 0.15 * Math.abs(noise()),
      };
      // A studio sees about where it stands and asks for a little more or less; what is in the
      // kiln, and the weather, move what the cones feel from firing to firing.
      const said = Array.from({ length: FIRINGS }, (_, f) => {
        const aim = TO_SIX.map((one) => ({
          ...one,
          target: Math.round(one.target - offset + 6 * noise()),
        }));
        const fired = fire(kiln, aim, noise, { every: 120 });
        const felt = 4 * noise();
        return sightOffsets(`${k}/${f}`, fired.shown, pack('6', fired.truth, 'shelf', felt, noise));
      }).flat();
      const found = estimateOffset(said)!;
      if (found.low <= offset && offset <= found.high) inside++;
      miss += Math.abs(found.offset - offset);
    }
    expect(inside / KILNS).toBeGreaterThanOrEqual(0.9);
    expect(inside / KILNS).toBeLessThanOrEqual(0.99);
    expect(miss / KILNS).toBeLessThan(4);
  });

  test('with the offset known the predicted cone is within 0.2 of what the cones show', () => {
    const noise = gaussian(77);
    for (let k = 0; k < 40; k++) {
      const offset = 15 * noise();
      const kiln: Kiln = { ...ELECTRIC, readsLow: offset };
      const aim = TO_SIX.map((one) => ({ ...one, target: one.target - offset + 12 * noise() }));
      const fired = fire(kiln, aim, noise, { every: 60 });
      const predicted = predictedOrdinal(fired.shown, offset);
      const truth = predictedOrdinal(fired.truth);
      expect(Math.abs(predicted - truth)).toBeLessThan(0.2);
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

  test('a range follows from the interval, and an unknown kiln has none', () => {
    const log = climbTo(1222, 60);
    const range = predictedRange(log, { offset: 5, low: 0, high: 10 });
    expect(range.low).toBeLessThan(range.ordinal);
    expect(range.high).toBeGreaterThan(range.ordinal);
    const plain = predictedRange(log, null);
    expect(plain.low).toBe(plain.high);
    expect(expectedBends('6', log).map(({ cone }) => cone)).toEqual(
      ['5.5', '6', '7'].map((c) => (c === '5.5' ? '5' : c)),
    );
  });
});
