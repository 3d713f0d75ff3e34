import { decimated, doubtOf, judgeReadings, looksFahrenheit, rateNow, stretchesOf, profileOf } from './index';

const steady = (rate: number, hours: number, from = 20) =>
  Array.from({ length: hours * 60 + 1 }, (_, i) => ({ t: i * 60, c: from + (rate * i) / 60 }));

describe('which readings are believed', () => {
  const last = { t: 36_000, c: 661 };
  test.each([
    [665, 36_060, null],
    [640, 36_120, null],
    [Number.NaN, 36_060, 'broken'],
    [0, 36_060, 'broken'],
    [2000, 36_060, 'broken'],
    [-200, 36_060, 'broken'],
    // 661 °C is 1222 °F.
    [1222, 36_060, 'unit'],
    [900, 36_060, 'jump'],
    [665, 99_999, 'future'],
  ])('%d °C at %d s: %s', (celsius, t, doubt) => {
    expect(doubtOf(celsius, t, last, 36_060)).toBe(doubt);
  });

  test('the first reading may be anything a kiln can be; a hot start is no fault', () => {
    expect(doubtOf(18, 0, null, 0)).toBeNull();
    expect(doubtOf(1, 0, null, 0)).toBeNull();
    expect(doubtOf(900, 0, null, 0)).toBeNull();
    expect(doubtOf(2000, 0, null, 0)).toBe('broken');
  });

  test('after an hour without readings a kiln may be far away', () => {
    expect(doubtOf(900, 36_000 + 3600, last, 99_999)).toBeNull();
  });
});

describe('a log wholly in °F', () => {
  const inF = (c: number): number => (c * 9) / 5 + 32;
  const climb = (to: number) => [
    { t: 0, c: 20 },
    { t: 3600, c: 120 },
    { t: 5 * 3600, c: 700 },
    { t: 9 * 3600, c: to },
  ];
  const asF = (to: number) => climb(to).map(({ t, c }) => ({ t, c: inF(c) }));

  test.each([
    ['cone 6', 1222],
    ['cone 06', 998],
    ['cone 018', 715],
  ])('%s is noticed, and the same in °C is not', (_, top) => {
    expect(looksFahrenheit(asF(top), top)).toBe(true);
    expect(looksFahrenheit(climb(top), top)).toBe(false);
    expect(looksFahrenheit(climb(top + 40), top)).toBe(false);
  });
  test('while it climbs, by its program', () => {
    const wanted = (t: number): number => 20 + (100 * t) / 3600;
    const log = [0, 1, 2, 3, 4, 5].map((h) => ({ t: h * 3600, c: inF(wanted(h * 3600) - 5) }));
    expect(looksFahrenheit(log, 1222, wanted)).toBe(true);
    const plain = log.map(({ t }) => ({ t, c: wanted(t) - 5 }));
    expect(looksFahrenheit(plain, 1222, wanted)).toBe(false);
  });
  test('a kiln lit warm and ahead of its program is no question; three readings are too few', () => {
    const wanted = (t: number): number => 20 + (100 * t) / 3600;
    const ahead = [0, 1, 2, 3, 4].map((h) => ({ t: h * 3600, c: 60 + 130 * h }));
    expect(looksFahrenheit(ahead, 1222, wanted)).toBe(false);
    expect(looksFahrenheit(asF(1222).slice(0, 3), 1222)).toBe(false);
  });
});

describe('a log judged reading by reading', () => {
  const minute = (from: number, values: readonly number[]) => values.map((c, i) => ({ t: from + 60 * i, c }));
  const last = { t: 0, c: 900 };

  test('a single leap is not believed, and what follows is', () => {
    expect(judgeReadings(minute(60, [902, 400, 905, 908]), last, [], 1e9)).toEqual([
      null,
      'jump',
      null,
      null,
    ]);
  });

  test('a door opened on a hot kiln: believed from the third reading that agrees', () => {
    expect(judgeReadings(minute(60, [620, 600, 590, 585]), last, [], 1e9)).toEqual([
      'jump',
      'jump',
      null,
      null,
    ]);
    // The same, sent one at a time.
    expect(judgeReadings(minute(180, [590]), last, minute(60, [620, 600]), 1e9)).toEqual([null]);
    expect(judgeReadings(minute(180, [300]), last, minute(60, [620, 600]), 1e9)).toEqual(['jump']);
  });

  test('a broken thermocouple is not believed however long it lasts', () => {
    expect(judgeReadings(minute(60, [0, 0, 0, 0, 2000, 2000]), last, [], 1e9)).toEqual(
      Array(6).fill('broken'),
    );
  });
});

test('the rate now is over the last quarter of an hour; too short a log has none', () => {
  expect(rateNow(steady(120, 3))).toBeCloseTo(120, 6);
  expect(rateNow([{ t: 0, c: 20 }])).toBeNull();
  expect(rateNow([])).toBeNull();
});

test('a log is cut into climbs, holds and drops', () => {
  const log = profileOf([
    { rate: 100, target: 520, holdMinutes: 60 },
    { rate: 200, target: 920, holdMinutes: 0 },
    { rate: 100, target: 820, holdMinutes: 0 },
  ]);
  const dense = [];
  for (let t = 0; t <= log.at(-1)!.t; t += 300) {
    const at = log.findIndex((one) => one.t >= t);
    const [a, b] = [log[Math.max(0, at - 1)]!, log[at]!];
    dense.push({ t, c: a.c + ((b.c - a.c) * (t - a.t)) / (b.t - a.t || 1) });
  }
  const kinds = stretchesOf(dense).filter(({ from, to }) => to.t - from.t > 1800);
  expect(kinds.map(({ kind }) => kind)).toEqual(['climb', 'hold', 'climb', 'drop']);
  expect(kinds[0]!.rate).toBeCloseTo(100, 0);
});

test('a thinned drawing keeps its ends and its extremes', () => {
  const log = Array.from({ length: 100_000 }, (_, i) => ({
    t: i,
    c: Math.sin(i / 9000) * 500 + 600,
  }));
  log[54_321] = { t: 54_321, c: 1399 };
  const drawn = decimated(log, 1500);
  expect(drawn.length).toBeLessThanOrEqual(1502);
  expect(drawn[0]).toEqual(log[0]);
  expect(drawn.at(-1)).toEqual(log.at(-1));
  expect(drawn).toContainEqual({ t: 54_321, c: 1399 });
  expect(drawn.every((one, i) => i === 0 || one.t >= drawn[i - 1]!.t)).toBe(true);
});
