import fc from 'fast-check';
import {
  SI,
  celsiusToFahrenheit,
  count,
  fahrenheitToCelsius,
  figure,
  formatLength,
  formatMass,
  formatTemperature,
  parseLength,
  parseNumber,
} from './index';

const IMPERIAL = { temperature: 'F', length: 'in', mass: 'oz' } as const;

test('temperatures convert both ways', () => {
  // Published fixed points: water boils at 212 °F; −40 is the same on both scales.
  expect(celsiusToFahrenheit(100)).toBe(212);
  expect(fahrenheitToCelsius(-40)).toBe(-40);
  // Cone 5 at 60 °C/h: 1186 °C is 2167 °F in the cone maker's table (from memory).
  expect(formatTemperature(1186, IMPERIAL)).toBe('2167 °F');
  fc.assert(
    fc.property(fc.double({ min: -200, max: 2000, noNaN: true }), (t) => {
      expect(fahrenheitToCelsius(celsiusToFahrenheit(t))).toBeCloseTo(t, 8);
    }),
  );
});

test.each([
  ['12', 12],
  ['12.5', 12.5],
  ['12,5', 12.5],
  ['1 1/2', 1.5],
  ['½', 0.5],
  ['3¼', 3.25],
  ['-4', -4],
  ['−4', -4],
  ['1,234.5', 1234.5],
])('reads the number %j', (text, value) => {
  expect(parseNumber(text)).toEqual({ ok: true, value });
});

test.each(['', 'abc', '1.2.3', '1/0', '1e5', 'NaN'])('refuses %j as a number', (text) => {
  expect(parseNumber(text).ok).toBe(false);
});

test('lengths are read in the unit written, else in the studio’s', () => {
  expect(parseLength('1 1/2 in', SI)).toEqual({ ok: true, value: 38.099999999999994 });
  expect(parseLength('2,5 cm', SI)).toEqual({ ok: true, value: 25 });
  expect(parseLength('2', IMPERIAL)).toEqual({ ok: true, value: 50.8 });
  expect(parseLength('2 furlongs', SI).ok).toBe(false);
  expect(parseLength('-2', SI).ok).toBe(false);
});

test('quantities are written with their unit', () => {
  expect(formatLength(38.1, IMPERIAL)).toBe('1.5 in');
  expect(formatLength(4, SI)).toBe('4 mm');
  expect(formatMass(2500, SI)).toBe('2.5 kg');
  expect(formatMass(453.59237, IMPERIAL)).toBe('16 oz');
  expect(formatMass(4535.9237, IMPERIAL)).toBe('10 lb');
  expect([2.345, 12.345, 999.96].map((grams) => formatMass(grams, SI))).toEqual([
    '2.35 g',
    '12.3 g',
    '1000 g',
  ]);
});

test('numbers and plurals', () => {
  expect([1.005, -2.5, -0.001, 12_345.678].map((value) => figure(value, 1))).toEqual([
    '1',
    '−2.5',
    '0',
    '12345.7',
  ]);
  expect([0, 1, 2].map((n) => count(n, 'tile'))).toEqual(['0 tiles', '1 tile', '2 tiles']);
  expect(count(3, 'body', 'bodies')).toBe('3 bodies');
});
