/**
 * Reading and writing quantities. The record stores SI (mm, g, ml, °C); a studio
 * chooses what it sees and types. Conversion factors are exact by definition:
 * inch 25.4 mm, pound 453.59237 g, US gallon 3785.411784 ml, imperial gallon 4546.09 ml.
 * Source: NIST Handbook 44, appendix C; UK Weights and Measures Act 1985.
 */

export type Units = { temperature: 'C' | 'F'; length: 'mm' | 'in'; mass: 'g' | 'oz' };

export const SI: Units = { temperature: 'C', length: 'mm', mass: 'g' };

export const MM_PER_INCH = 25.4;
export const GRAMS_PER_OUNCE = 28.349523125;

/** A point on the temperature scale, °C → °F. */
export const celsiusToFahrenheit = (celsius: number): number => (celsius * 9) / 5 + 32;
/** A point on the temperature scale, °F → °C. */
export const fahrenheitToCelsius = (fahrenheit: number): number => ((fahrenheit - 32) * 5) / 9;

export type Quantity = { ok: true; value: number } | { ok: false; message: string };

/** Reads a plain number with point or decimal comma, "1 1/2", "½". */
export function parseNumber(input: string): Quantity {
  const text = input
    .trim()
    .replace(/−/g, '-')
    .replace(/½/g, ' 1/2')
    .replace(/¼/g, ' 1/4')
    .replace(/¾/g, ' 3/4')
    .trim();
  const fraction = /^(?:(\d+)\s+)?(\d+)\/([1-9]\d*)$/.exec(text);
  if (fraction) {
    return {
      ok: true,
      value: Number(fraction[1] ?? 0) + Number(fraction[2]) / Number(fraction[3]),
    };
  }
  if (/^-?\d{1,3}(,\d{3})+\.\d+$/.test(text)) return { ok: true, value: Number(text.replace(/,/g, '')) };
  if (/^-?(\d+([.,]\d*)?|[.,]\d+)$/.test(text)) {
    return { ok: true, value: Number(text.replace(',', '.')) };
  }
  return { ok: false, message: `“${input.trim()}” is not a number.` };
}

const LENGTH_UNITS: Record<string, number> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  inches: MM_PER_INCH,
  '"': MM_PER_INCH,
  '″': MM_PER_INCH,
};

/** Reads "12", "1.2 cm", "1 1/2 in" into millimetres; a bare number is in the studio's unit. */
export function parseLength(input: string, units: Units): Quantity {
  const match = /^(.*?[\d½¼¾])\s*([a-z"″]+)?$/i.exec(input.trim());
  if (!match) return { ok: false, message: `“${input.trim()}” is not a length.` };
  const number = parseNumber(match[1] as string);
  if (!number.ok) return number;
  const factor = LENGTH_UNITS[(match[2] ?? units.length).toLowerCase()];
  if (factor === undefined) return { ok: false, message: `“${match[2]}” is not a unit of length here.` };
  if (number.value < 0) return { ok: false, message: 'A length cannot be negative.' };
  return { ok: true, value: number.value * factor };
}

/** What a field holds: its number, null when it is empty, NaN when it is no number. */
export function fieldNumber(text: string): number | null {
  if (text.trim() === '') return null;
  const read = parseNumber(text);
  return read.ok ? read.value : Number.NaN;
}
