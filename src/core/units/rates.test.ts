import fc from 'fast-check';
import {
  formatDuration,
  formatRate,
  formatSpan,
  fromStudio,
  spanFromStudio,
  spanToStudio,
  toStudio,
} from './index';

const F = { temperature: 'F' } as const;
const C = { temperature: 'C' } as const;

// Exact by definition of the scales: water boils at 212 °F, a degree Celsius is 1.8 °F.
test('points of the scale and differences are told apart', () => {
  expect(toStudio(100, F)).toBe(212);
  expect(fromStudio(212, F)).toBeCloseTo(100, 12);
  expect(spanToStudio(100, F)).toBe(180);
  expect(spanFromStudio(180, F)).toBe(100);
  expect(toStudio(1222, C)).toBe(1222);
});

test('what is shown and typed again is the same', () => {
  fc.assert(
    fc.property(fc.double({ min: -30, max: 1450, noNaN: true }), (celsius) => {
      expect(fromStudio(toStudio(celsius, F), F)).toBeCloseTo(celsius, 9);
      expect(spanFromStudio(spanToStudio(celsius, F), F)).toBeCloseTo(celsius, 9);
    }),
  );
});

test('in words', () => {
  expect(formatRate(120, C)).toBe('+120 °C/h');
  expect(formatRate(-100, F)).toBe('−180 °F/h');
  expect(formatSpan(-15, C)).toBe('15 °C');
  expect(formatSpan(15, F)).toBe('27 °F');
  expect([5, 60, 130.4].map(formatDuration)).toEqual(['5 min', '1 h', '2 h 10 min']);
});
