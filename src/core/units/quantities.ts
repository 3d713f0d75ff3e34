import { GRAMS_PER_OUNCE, MM_PER_INCH, celsiusToFahrenheit, fahrenheitToCelsius, type Units } from './units';

/** What a figure measures. Records hold it in SI; a studio sees and types it in its own unit. */
type Quantity<U> = {
  /** The unit as it is written, such as "mm". */
  unit(units: U): string;
  /** From SI to the studio's unit, exact. */
  shown(value: number, units: U): number;
  /** From the studio's unit to SI, exact. */
  kept(value: number, units: U): number;
  /** Digits behind the point when it is read, not typed. */
  digits(units: U): number;
};
type Degrees = Pick<Units, 'temperature'>;

const scaled = <U>(pick: (units: U) => { unit: string; factor: number; digits: number }): Quantity<U> => ({
  unit: (units) => pick(units).unit,
  shown: (value, units) => value / pick(units).factor,
  kept: (value, units) => value * pick(units).factor,
  digits: (units) => pick(units).digits,
});

const LENGTHS = {
  mm: { unit: 'mm', factor: 1, digits: 1 },
  in: { unit: 'in', factor: MM_PER_INCH, digits: 2 },
};
const MASSES = {
  g: { unit: 'g', factor: 1, digits: 1 },
  oz: { unit: 'oz', factor: GRAMS_PER_OUNCE, digits: 2 },
};
const LARGE_MASSES = {
  g: { unit: 'kg', factor: 1000, digits: 2 },
  oz: { unit: 'lb', factor: GRAMS_PER_OUNCE * 16, digits: 2 },
};
const degrees = ({ temperature }: Degrees) => ({
  unit: `°${temperature}`,
  factor: temperature === 'C' ? 1 : 5 / 9,
  digits: 0,
});

/**
 * Every quantity a studio chooses a unit for. Factors are exact by definition (units.ts names
 * their source); a point of the temperature scale and a difference on it are two quantities.
 */
export const QUANTITIES = {
  length: scaled(({ length }: Pick<Units, 'length'>) => LENGTHS[length]),
  mass: scaled(({ mass }: Pick<Units, 'mass'>) => MASSES[mass]),
  largeMass: scaled(({ mass }: Pick<Units, 'mass'>) => LARGE_MASSES[mass]),
  span: scaled(degrees),
  rate: scaled((units: Degrees) => ({ ...degrees(units), unit: `°${units.temperature}/h` })),
  /** A part of 1, shown in percent. */
  share: scaled(() => ({ unit: '%', factor: 0.01, digits: 1 })),
  temperature: {
    unit: ({ temperature }: Degrees) => `°${temperature}`,
    shown: (value: number, { temperature }: Degrees) =>
      temperature === 'C' ? value : celsiusToFahrenheit(value),
    kept: (value: number, { temperature }: Degrees) =>
      temperature === 'C' ? value : fahrenheitToCelsius(value),
    digits: () => 0,
  },
} satisfies Record<string, Quantity<Units>>;

export type QuantityKind = keyof typeof QUANTITIES;

/** A number as a person reads it: rounded to so many digits, without trailing noughts. */
export const figure = (value: number, digits: number): string => {
  const text = new Intl.NumberFormat('en', {
    maximumFractionDigits: digits,
    useGrouping: false,
  }).format(value);
  return text.replace('-', '−').replace(/^−0$/, '0');
};

const RULES = new Intl.PluralRules('en');

/** "1 tile", "4 tiles", "0 tiles"; an irregular plural is given. */
export const count = (number: number, one: string, many = `${one}s`): string =>
  `${figure(number, 2)} ${RULES.select(number) === 'one' ? one : many}`;

const written = <U>(quantity: Quantity<U>, value: number, units: U, digits?: number): string =>
  `${figure(quantity.shown(value, units), digits ?? quantity.digits(units))} ${quantity.unit(units)}`;

/** "12 mm" or "0.5 in". */
export const formatLength = (mm: number, units: Pick<Units, 'length'>): string =>
  written(QUANTITIES.length, mm, units);

/**
 * "450 g", "2.5 kg", "14 oz": from a kilogram on in the larger unit, below 10 g to a hundredth.
 * What is weighed is said as finely as its scale shows: `stepG`, grams.
 */
export function formatMass(grams: number, units: Pick<Units, 'mass'>, stepG?: number): string {
  const large = Math.abs(grams) >= 1000;
  const quantity = large ? QUANTITIES.largeMass : QUANTITIES.mass;
  const usual = large ? 3 : Math.abs(grams) < 10 ? 2 : quantity.digits(units);
  const fine =
    stepG === undefined || !(stepG > 0)
      ? usual
      : Math.max(0, Math.ceil(-Math.log10(quantity.shown(stepG, units)) - 1e-9));
  return written(quantity, grams, units, Math.min(fine, 6));
}

/** "1222 °C" or "2232 °F", whole degrees. */
export const formatTemperature = (celsius: number, units: Degrees): string =>
  written(QUANTITIES.temperature, celsius, units);

/** "+120 °C/h", "−85 °F/h". */
export const formatRate = (rate: number, units: Degrees): string =>
  (rate < 0 ? '' : '+') + written(QUANTITIES.rate, rate, units);

/** "15 °C" or "27 °F": a difference of temperatures, its sign in words elsewhere. */
export const formatSpan = (span: number, units: Degrees): string =>
  written(QUANTITIES.span, Math.abs(span), units);
