import fc from 'fast-check';
import { QUANTITIES, SI, formatDuration, formatMass, formatRate, formatSpan } from './index';

const F = { temperature: 'F' } as const;
const C = { temperature: 'C' } as const;

// Exact by definition of the scales: water boils at 212 °F, a degree Celsius is 1.8 °F.
test('points of the scale and differences are told apart', () => {
  expect(QUANTITIES.temperature.shown(100, F)).toBe(212);
  expect(QUANTITIES.temperature.kept(212, F)).toBeCloseTo(100, 12);
  expect(QUANTITIES.span.shown(100, F)).toBe(180);
  expect(QUANTITIES.span.kept(180, F)).toBe(100);
  expect(QUANTITIES.temperature.shown(1222, C)).toBe(1222);
});

test('what is shown and typed again is the same, whatever it measures', () => {
  const imperial = { temperature: 'F', length: 'in', mass: 'oz' } as const;
  for (const quantity of Object.values(QUANTITIES))
    for (const units of [SI, imperial])
      fc.assert(
        fc.property(fc.double({ min: -30, max: 1450, noNaN: true }), (value) => {
          expect(quantity.kept(quantity.shown(value, units), units)).toBeCloseTo(value, 9);
        }),
      );
});

test('what is weighed is said as finely as its scale shows, in whatever unit', () => {
  const ounces = { ...SI, mass: 'oz' } as const;
  const on = (grams: number, stepG: number, units: typeof SI | typeof ounces = SI): string =>
    formatMass(grams, units, stepG);
  expect([on(12.34, 1), on(12.34, 0.1), on(12.34, 0.01)]).toEqual(['12 g', '12.3 g', '12.34 g']);
  expect([on(1234.56, 1), on(1234.56, 0.01)]).toEqual(['1.235 kg', '1.23456 kg']);
  // A tenth of a gram is 0.0035 oz: three digits tell two such steps apart.
  expect(on(28.349523125, 0.1, ounces)).toBe('1 oz');
  expect(on(28.45, 0.1, ounces)).toBe('1.004 oz');
  expect(formatMass(12.34, SI)).toBe('12.3 g');
});

test('in words', () => {
  expect(formatRate(120, C)).toBe('+120 °C/h');
  expect(formatRate(-100, F)).toBe('−180 °F/h');
  expect(formatSpan(-15, C)).toBe('15 °C');
  expect(formatSpan(15, F)).toBe('27 °F');
  expect([5, 60, 130.4].map(formatDuration)).toEqual(['5 min', '1 h', '2 h 10 min']);
});
