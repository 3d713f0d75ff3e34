/**
 * Bounds of what can be read. Absolute zero −273.15 °C: the definition of the Celsius scale; tungsten boils
 * at about 5930 °C: from memory of handbook tables.
 */
import { impossibleMoment, possibleCelsius } from './possible';

const day = 86_400_000;
const now = Date.UTC(2026, 5, 1);

test.each([
  [now, null, null],
  [now + day, null, null],
  [now + day + 1, null, 'too-late'],
  [9e15, null, 'too-late'],
  [0, null, 'too-early'],
  [now - 729 * day, null, null],
  [now - 731 * day, null, 'too-early'],
  [Number.NaN, null, 'no-time'],
  [Number.POSITIVE_INFINITY, now, 'no-time'],
  // An old firing that is caught up: its own years count, not today.
  [Date.UTC(2009, 2, 1), Date.UTC(2009, 2, 1, 8), null],
  [Date.UTC(2008, 1, 1), Date.UTC(2009, 2, 1, 8), 'too-early'],
  [Date.UTC(2009, 2, 2), Date.UTC(2009, 2, 1, 8), null],
] as const)('%d, lit at %p: %p', (at, lit, expected) => {
  expect(impossibleMoment(at, lit, now)).toBe(expected);
});

test.each([
  [20, 20],
  [-273.15, -273.15],
  [-273.16, null],
  [1e308, null],
  [5931, null],
  [null, null],
  [Number.NaN, null],
])('%p °C is kept as %p', (celsius, kept) => {
  expect(possibleCelsius(celsius)).toBe(kept);
});
