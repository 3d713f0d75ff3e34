import { STRENGTH } from '../atmosphere';
import { factOf } from './facts';
import {
  readBisque,
  readBucket,
  readChrome,
  readHand,
  readOtherBisque,
  readReduction,
  type BucketRecord,
  type Twin,
} from './from-work';
import type { Told } from './told';

const day = (n: number): Date => new Date(Date.UTC(2026, 4, n));
const known = (one: Told | null): string | undefined => {
  // Whatever it says is something that the clinic knows.
  if (one !== null) expect(factOf(one.fact)?.values.map(({ id }) => id)).toContain(one.value);
  return one?.value;
};

describe('the bucket that day', () => {
  const bucket = (sg: number, seconds: number | null = 3, wantedSg: number | null = 1.48): BucketRecord => ({
    name: 'Tarn, blue lid',
    wantedSg,
    entries: [
      { at: day(1), kind: 'measured', sg: 1.48, seconds: 3 },
      { at: day(20), kind: 'measured', sg, seconds },
      { at: day(21), kind: 'stirred', sg: null, seconds: null },
    ],
  });

  test.each([
    ['thick', bucket(1.57), 'high'],
    ['thin', bucket(1.42), 'low'],
    ['as wanted', bucket(1.5), 'usual'],
    ['gelled: the right weight, and slow through the cup', bucket(1.48, 6), 'gelled'],
    ['against what it usually is, where nobody said how it should be', bucket(1.57, 3, null), 'high'],
  ])('%s', (_, one, expected) => {
    expect(known(readBucket([one], day(22)))).toBe(expected);
  });

  test('the nearest reading counts, with the day and both weights; one too far off says nothing', () => {
    const told = readBucket([bucket(1.57)], day(23))!;
    expect(told.words).toBe('Tarn, blue lid: 1.57 against 1.48, measured 3 days before');
    expect(readBucket([bucket(1.57)], day(2))!.words).toContain('1.48 against 1.48');
    expect(readBucket([bucket(1.57)], new Date(Date.UTC(2026, 8, 1)))).toBeNull();
    expect(readBucket([], day(2))).toBeNull();
    const only = {
      ...bucket(1.57, 3, null),
      entries: [{ at: day(20), kind: 'measured', sg: 1.57, seconds: 3 }],
    };
    expect(readBucket([only], day(20))).toBeNull();
  });
});

test('of two buckets of a coat the nearer speaks, but only where both were alike: else nobody knows out of which it came', () => {
  const one = (name: string, sg: number, on: number): BucketRecord => ({
    name,
    wantedSg: 1.48,
    entries: [{ at: day(on), kind: 'measured', sg, seconds: null }],
  });
  expect(readBucket([one('grey lid', 1.57, 18), one('blue lid', 1.58, 21)], day(22))!.words).toMatch(
    /^blue lid/,
  );
  expect(readBucket([one('grey lid', 1.48, 21), one('blue lid', 1.58, 18)], day(22))).toBeNull();
  // One that was not measured in those weeks says nothing either way.
  expect(
    readBucket([one('grey lid', 1.48, 21), { ...one('blue lid', 1.58, 18), entries: [] }], day(22))!.value,
  ).toBe('usual');
});

describe('the bisque', () => {
  const log = (rate: number) =>
    Array.from({ length: 60 }, (_, i) => ({ t: i * 900, c: Math.min(1000, 20 + (rate * i) / 4) }));
  const values = (told: readonly Told[]) => told.map((one) => [one.fact, known(one)]);

  test.each([
    [200, 'fast'],
    [110, 'usual'],
    [70, 'slow'],
  ])('at %i K/h it is %s', (rate, expected) => {
    expect(values(readBisque({ name: 'Pip 4', log: log(rate), cone: null, usual: [] }))).toEqual([
      ['bisque', expected],
    ]);
  });

  test('a gap in it, or an end below 900 °C, says nothing of its pace', () => {
    const gap = log(110).filter(({ t }) => t < 9000 || t > 20_000);
    expect(readBisque({ name: 'Pip 4', log: gap, cone: null, usual: [] })).toEqual([]);
    expect(readBisque({ name: 'Pip 4', log: log(50), cone: null, usual: [] })).toEqual([]);
  });

  test('its cone against the others of that kiln, where there are enough', () => {
    const at = (cone: number, usual: number[]) => values(readBisque({ name: 'Pip 4', log: [], cone, usual }));
    expect(at(10, [10, 10, 10, 10])).toEqual([['bisque-cone', 'usual']]);
    expect(at(8, [10, 10, 11])).toEqual([['bisque-cone', 'cooler']]);
    expect(at(12, [10, 10, 11])).toEqual([['bisque-cone', 'hotter']]);
    expect(at(12, [10, 10])).toEqual([]);
  });
});

describe('pieces of the same stack in the load', () => {
  const twins = (n: number, rest: Partial<Twin>): Twin[] =>
    Array.from({ length: n }, () => ({ bisque: 'a', person: 'p', has: false, ...rest }));

  test('of another bisque: clean, alike, or too few to say', () => {
    const own = twins(4, { has: true });
    expect(known(readOtherBisque('a', [...own, ...twins(3, { bisque: 'b' })]))).toBe('clean');
    expect(known(readOtherBisque('a', [...own, ...twins(3, { bisque: 'b', has: true })]))).toBe('alike');
    expect(readOtherBisque('a', [...own, ...twins(2, { bisque: 'b' })])).toBeNull();
    expect(readOtherBisque(null, own)).toBeNull();
  });

  test('of one person, or of others too', () => {
    const own = twins(3, { has: true });
    expect(known(readHand([...own, ...twins(3, { person: 'q' })]))).toBe('one');
    expect(known(readHand([...own, ...twins(1, { person: 'q', has: true })]))).toBe('all');
    expect(readHand([...own, ...twins(2, { person: 'q' })])).toBeNull();
    expect(readHand([...own, ...twins(5, { person: null })])).toBeNull();
  });
});

test('chrome: within a hand, somewhere in the load, or nowhere where all of the load is known', () => {
  const near = { shelf: 2, apartMm: 90 };
  expect(known(readChrome([{ shelf: 1, apartMm: null }, near], 2, true))).toBe('near');
  expect(readChrome([near], 2, true)!.words).toBe('it stood 9 cm off');
  expect(known(readChrome([{ shelf: 2, apartMm: 260 }], 2, true))).toBe('load');
  expect(known(readChrome([{ shelf: 1, apartMm: null }], 2, false))).toBe('load');
  expect(known(readChrome([], 2, true))).toBe('none');
  expect(readChrome([], 2, false)).toBeNull();
});

describe('the diary of the air', () => {
  const log = Array.from({ length: 90 }, (_, i) => ({
    t: i * 600,
    c: Math.min(1280, 20 + i * 20),
  }));
  /** Seconds at which it passes a temperature. */
  const at = (c: number): number => ((c - 20) / 20) * 600;
  const heavy = STRENGTH['heavy reduction'];
  const read = (...marks: [c: number, strength: number][]) =>
    readReduction(
      marks.map(([c, strength]) => ({ t: at(c), strength })),
      log,
      null,
    );

  test.each([
    [
      'from 920 °C, light at the end',
      [
        [920, heavy],
        [1250, STRENGTH['light reduction']],
      ],
      'usual',
    ],
    ['from 1040 °C', [[1040, heavy]], 'late'],
    ['heavy from 780 °C', [[780, heavy]], 'early'],
    ['light from 780 °C', [[780, STRENGTH['light reduction']]], 'usual'],
    [
      'heavy again at the end',
      [
        [920, STRENGTH['light reduction']],
        [1260, heavy],
      ],
      'end',
    ],
  ] as [string, [number, number][], string][])('%s', (_, marks, expected) => {
    expect(known(read(...marks))).toBe(expected);
  });

  test('what came out under-reduced was late or weak, whatever it began with; without marks nothing is said', () => {
    expect(known(readReduction([{ t: at(920), strength: heavy }], log, '12 minutes of it'))).toBe('late');
    expect(read([600, STRENGTH.oxidation])).toBeNull();
    expect(readReduction([], log, null)).toBeNull();
  });
});
