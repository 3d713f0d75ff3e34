/** What a log says of top, fall and cooling; gaps say nothing. */
import type { Reading } from '../heatwork';
import { factOf } from './facts';
import { readLog } from './from-log';

/** A log by stretches of [to °C, K/h] or holds of [°C, 0, minutes], read every so many minutes. */
function log(stretches: readonly (readonly [number, number, number?])[], every = 5): Reading[] {
  const found: Reading[] = [{ t: 0, c: 20 }];
  for (const [to, rate, minutes = 0] of stretches) {
    const { t, c } = found.at(-1)!;
    const seconds = rate === 0 ? minutes * 60 : (Math.abs(to - c) / rate) * 3600;
    const steps = Math.max(1, Math.round(seconds / (every * 60)));
    for (let i = 1; i <= steps; i++)
      found.push({ t: t + (seconds * i) / steps, c: c + ((to - c) * i) / steps });
  }
  return found;
}
const value = (readings: readonly Reading[], fact: string, openedAt: number | null = null) =>
  readLog(readings, openedAt).find((one) => one.fact === fact)?.value;

test.each([
  [
    [
      [1120, 150],
      [1222, 180],
      [400, 250],
    ],
    'fast',
  ],
  [
    [
      [1120, 150],
      [1222, 90],
      [400, 250],
    ],
    'usual',
  ],
  [
    [
      [1120, 150],
      [1222, 90],
      [1222, 0, 20],
      [400, 250],
    ],
    'held',
  ],
] as const)('the top of %j: %s', (stretches, expected) => {
  expect(value(log(stretches), 'top')).toBe(expected);
});

test.each([
  [
    [
      [1222, 100],
      [900, 400],
      [400, 200],
    ],
    'fast',
  ],
  [
    [
      [1222, 100],
      [900, 70],
      [400, 200],
    ],
    'slow',
  ],
  [
    [
      [1222, 100],
      [400, 180],
    ],
    'usual',
  ],
  [
    [
      [1222, 100],
      [1160, 250],
      [1160, 0, 25],
      [400, 200],
    ],
    'drop-hold',
  ],
] as const)('the fall of %j: %s', (stretches, expected) => {
  expect(value(log(stretches), 'fall')).toBe(expected);
});

test.each([
  [40, 'slower'],
  [100, 'usual'],
  [250, 'faster'],
])('at %d K/h through 1100 to 900 °C: %s', (pace, expected) => {
  expect(
    value(
      log([
        [1222, 100],
        [1100, 200],
        [900, pace],
        [300, 100],
      ]),
      'cooling',
    ),
  ).toBe(expected);
});

test('a bisque has no such cooling, a gap says nothing, and a few readings say nothing at all', () => {
  expect(
    value(
      log([
        [1000, 100],
        [300, 100],
      ]),
      'cooling',
    ),
  ).toBeUndefined();
  const gap = log([
    [1222, 100],
    [300, 100],
  ]).filter(({ t, c }) => !(t > 12 * 3600 && c < 1150 && c > 850));
  expect(value(gap, 'cooling')).toBeUndefined();
  expect(readLog(log([[1222, 100]]).slice(0, 4), null)).toEqual([]);
});

test('opened by the last reading, when that is of the time', () => {
  const readings = log([
    [1222, 100],
    [120, 200],
  ]);
  const end = readings.at(-1)!.t;
  expect(value(readings, 'opened', end + 600)).toBe('warm');
  expect(value(readings, 'opened', end + 9 * 3600)).toBeUndefined();
  expect(
    value(
      log([
        [1222, 100],
        [180, 200],
      ]),
      'opened',
      1e6,
    ),
  ).toBeUndefined();
  expect(value(readings, 'opened')).toBeUndefined();
});

test('it says only what the clinic knows', () => {
  const readings = log([
    [1222, 100],
    [60, 200],
  ]);
  const found = readLog(readings, readings.at(-1)!.t + 60);
  expect(found).toHaveLength(4);
  for (const { fact, value: is } of found)
    expect([fact, factOf(fact)?.values.some(({ id }) => id === is)]).toEqual([fact, true]);
});
