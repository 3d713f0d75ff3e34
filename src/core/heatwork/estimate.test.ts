import {
  climbTo,
  estimateByPlace,
  estimateOffset,
  sightOffsets,
  type OffsetEstimate,
  type OffsetSighting,
} from './index';

const between = (atLeast: number, atMost: number, place = 'shelf'): OffsetSighting => ({
  place,
  bounds: Array(3).fill({ atLeast, atMost }),
});
const firings = (count: number, atLeast: number, atMost: number): OffsetSighting[][] =>
  Array.from({ length: count }, () => [between(atLeast, atMost)]);
const width = ({ low, high }: OffsetEstimate): number => high - low;

test('nothing is estimated from nothing; one firing leaves room, six leave less', () => {
  expect(estimateOffset([])).toBeNull();
  expect(estimateOffset([[], []])).toBeNull();
  const one = estimateOffset(firings(1, 13, 17))!;
  const six = estimateOffset(firings(6, 13, 17))!;
  expect(six.offset).toBeCloseTo(15, 0);
  expect(width(six)).toBeLessThan(0.7 * width(one));
  expect([one.firings, six.firings]).toEqual([1, 6]);
  // A firing that said nothing is no evidence, but the kiln has gone on.
  const later = estimateOffset([...firings(6, 13, 17), [], [], [], []])!;
  expect(later.firings).toBe(6);
  expect(width(later)).toBeGreaterThan(width(six));
});

describe('evidence on one side gives bounds and no value', () => {
  const climb = climbTo(1222, 60);
  const only = (cones: readonly [string, number][]): OffsetEstimate =>
    estimateOffset([
      sightOffsets(
        climb,
        cones.map(([cone, bendDegrees]) => ({ cone, place: 'shelf', bendDegrees })),
      ),
    ])!;

  test('only cone 5 set, and down: about nothing, wide', () => {
    const { offset, low, high } = only([['5', 90]]);
    expect(offset).toBeNull();
    expect(Math.abs(low + high) / 2).toBeLessThan(6);
    expect(high - low).toBeGreaterThan(45);
  });
  test('cones 5, 6 and 7 all down', () => {
    const { offset, low, high } = only([
      ['5', 90],
      ['6', 90],
      ['7', 90],
    ]);
    expect(offset).toBeNull();
    expect(low).toBeGreaterThan(0);
    expect(high).toBeLessThan(50);
  });
  test('only cone 7, and standing', () => {
    const { offset, low } = only([['7', 0]]);
    expect(offset).toBeNull();
    expect(low).toBeGreaterThan(-40);
  });
  test('ten firings that say “at least −25” do not make it 52', () => {
    const ten = estimateOffset(firings(10, -25, Infinity))!;
    expect(ten.offset).toBeNull();
    expect((ten.low + ten.high) / 2).toBeLessThan(15);
  });
  test('one that stands beside ones that are down is a value', () => {
    expect(
      estimateOffset([...firings(2, -25, Infinity), ...firings(1, -Infinity, 20)])!.offset,
    ).not.toBeNull();
  });
});

test('one-sided firings pull only one way', () => {
  const exact = firings(3, -2, 2);
  const plain = estimateOffset(exact)!;
  const lower = estimateOffset([...exact, ...firings(1, -40, Infinity)])!;
  expect(Math.abs(lower.offset! - plain.offset!)).toBeLessThan(0.5);
  const pulled = estimateOffset([...exact, ...firings(1, 12, Infinity)])!;
  expect(pulled.offset!).toBeGreaterThan(plain.offset! + 1);
});

test('two packs of one firing count as one firing', () => {
  const twice = estimateOffset([[between(9, 11), between(9, 11, 'floor')]])!;
  const once = estimateOffset([[between(9, 11)]])!;
  expect(width(twice)).toBeCloseTo(width(once), 0);
});

test('recent firings weigh more', () => {
  const old = estimateOffset([...firings(6, 18, 22), ...firings(6, -2, 2)])!;
  const young = estimateOffset([...firings(6, -2, 2), ...firings(6, 18, 22)])!;
  expect(young.offset!).toBeGreaterThan(old.offset! + 10);
});

test('one firing gone astray does not decide', () => {
  const with_ = estimateOffset([...firings(5, -2, 2), ...firings(1, 70, 74)])!;
  expect(with_.offset!).toBeLessThan(12);
});

test('hot and cold places are told apart, hottest first', () => {
  const places = estimateByPlace(
    Array.from({ length: 4 }, () => [between(3, 7, 'top shelf'), between(-11, -7, 'floor')]),
  );
  expect(places.map(({ place }) => place)).toEqual(['top shelf', 'floor']);
  expect(places[0]!.offset! - places[1]!.offset!).toBeGreaterThan(9);
});
