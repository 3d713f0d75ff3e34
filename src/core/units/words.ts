import { QUANTITIES, figure, formatLength, formatMass, formatSpan, formatTemperature } from './quantities';
import type { Units } from './units';

/** The figures that words of the core may hold: a number, a blank, an SI unit. K is a difference. */
const FIGURES = /([−-]?\d+(?:[.,]\d+)*) (mm|kg|g|°C\/h|°C|K)(?![\w³/])/g;

const WRITTEN: Record<string, (value: number, units: Units) => string> = {
  mm: formatLength,
  g: formatMass,
  kg: (value, units) => formatMass(value * 1000, units),
  '°C': formatTemperature,
  '°C/h': (value, units) =>
    `${figure(QUANTITIES.rate.shown(value, units), 0)} ${QUANTITIES.rate.unit(units)}`,
  K: formatSpan,
};

/**
 * Words of the core, which speak SI, as a studio reads them: "At most 500 mm." becomes
 * "At most 19.69 in." where inches are chosen. What is no figure with a unit stays as it is.
 */
export const inUnits = (words: string, units: Units): string =>
  words.replace(FIGURES, (_, number: string, unit: string) =>
    WRITTEN[unit]!(Number(number.replace('−', '-').replace(/,/g, '')), units),
  );
