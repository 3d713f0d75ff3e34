/** The air in the kiln: what an oxygen probe says, and periods as a diary keeps them. */
import type { Atmosphere } from '../signs';

/** Gas constant J/(mol·K) and Faraday constant C/mol: CODATA 2018, exact. */
const R = 8.314462618;
const F = 96485.33212;
/** Oxygen in dry air, by volume. */
const AIR = 0.2095;

/** EMF of a zirconia probe in mV at `celsius` with `oxygen` atm in the kiln (Nernst equation). */
export function probeMillivolts(celsius: number, oxygen: number): number {
  return ((1000 * R * (celsius + 273.15)) / (4 * F)) * Math.log(AIR / oxygen);
}

/** Partial pressure of oxygen, atm, from a zirconia probe's mV: the same equation turned round. */
export function oxygenOf(celsius: number, millivolts: number): number {
  return AIR * Math.exp((-4 * F * millivolts) / (1000 * R * (celsius + 273.15)));
}

/** A zirconia probe does not conduct below this, °C. Common practice, no source. */
export const PROBE_FROM = 650;

/**
 * ΔG° = H − S·T of CO + ½ O₂ → CO₂, J/mol: −282 400 + 86.85 T (a usual linear fit for 500–1700 K; from
 * memory).
 */
const BURNING = { enthalpy: -282_400, entropy: 86.85 };

/**
 * CO for each CO₂ in gas that is in balance at `celsius` with the oxygen a probe shows, by the law of
 * mass action: CO/CO₂ = 1 / (K·√pO₂). How strongly air reduces is this ratio, at any temperature; the
 * same millivolts are another air at another heat.
 */
export function carbonRatio(celsius: number, millivolts: number): number {
  const kelvin = celsius + 273.15;
  const balance = Math.exp(-(BURNING.enthalpy + BURNING.entropy * kelvin) / (R * kelvin));
  return 1 / (balance * Math.sqrt(oxygenOf(celsius, millivolts)));
}

/** "1 part of CO to 8 of CO₂". */
export function ratioWords(ratio: number): string {
  if (ratio < 0.0005) return 'next to no CO';
  const figure = (value: number): string => String(Number(value.toPrecision(value < 10 ? 2 : 1)));
  return ratio < 1
    ? `1 part of CO to ${figure(1 / ratio)} of CO₂`
    : `${figure(ratio)} parts of CO to 1 of CO₂`;
}

/**
 * Where words change, as CO for each CO₂: studios draw these lines where their glazes do (common practice, no
 * source).
 */
const WORDS_FROM: readonly (readonly [ratio: number, word: Atmosphere])[] = [
  [0.35, 'heavy reduction'],
  [0.12, 'moderate reduction'],
  [0.02, 'light reduction'],
  [0.001, 'neutral'],
];

/**
 * What a probe's reading is usually called: by the CO/CO₂ it stands for at that heat, never by its volts
 * alone.
 */
export function probeWords(celsius: number, millivolts: number): Atmosphere {
  if (celsius < PROBE_FROM) return 'unknown';
  const ratio = carbonRatio(celsius, millivolts);
  return WORDS_FROM.find(([from]) => ratio >= from)?.[1] ?? 'oxidation';
}

/** The air where a piece stood: what was said of its shelf, else of the whole firing. */
export const airAt = (
  firing: { atmosphere: Atmosphere; shelfAir: Readonly<Record<string, Atmosphere>> },
  shelf: number | null,
): Atmosphere => (shelf === null ? undefined : firing.shelfAir[shelf]) ?? firing.atmosphere;

/** "moderate reduction; shelf 1 light reduction". */
export function airWords({
  atmosphere,
  shelfAir,
}: {
  atmosphere: Atmosphere;
  shelfAir: Readonly<Record<string, Atmosphere>>;
}): string {
  const others = Object.entries(shelfAir).filter(([, air]) => air !== atmosphere);
  return [atmosphere, ...others.map(([shelf, air]) => `shelf ${shelf} ${air}`)].join('; ');
}

/** A stretch of the diary: from when (seconds into the firing) the air was so, judged how. */
export type Period = { t: number; atmosphere: Atmosphere; judgedBy: string };
export type Band = { from: number; to: number; atmosphere: Atmosphere; judgedBy: string };

/** The diary as bands: each period lasts until the next; the last until `end`. */
export function bandsOf(periods: readonly Period[], end: number): Band[] {
  const sorted = [...periods].sort((a, b) => a.t - b.t);
  return sorted.flatMap((period, i) => {
    const to = sorted[i + 1]?.t ?? end;
    return to > period.t
      ? [{ from: period.t, to, atmosphere: period.atmosphere, judgedBy: period.judgedBy }]
      : [];
  });
}

/** How strongly it reduces, to put airs in order; reduction of unknown degree is at least light. */
export const STRENGTH: Readonly<Record<Atmosphere, number>> = {
  unknown: -1,
  oxidation: 0,
  neutral: 1,
  reduction: 2,
  'light reduction': 2,
  'moderate reduction': 3,
  'heavy reduction': 4,
};

/** Minutes for which the diary has reduction of at least this strength. */
export function minutesOf(bands: readonly Band[], least: Atmosphere): number {
  return bands
    .filter(({ atmosphere }) => STRENGTH[atmosphere] >= STRENGTH[least])
    .reduce((sum, { from, to }) => sum + (to - from) / 60, 0);
}

/**
 * How a firing's diary compares with what was meant: null when it agrees or nothing is known.
 * A firing meant to be reduced that had less than half an hour of it came out under-reduced.
 */
export function fellShort(bands: readonly Band[], meant: Atmosphere): string | null {
  if (bands.length === 0 || STRENGTH[meant] < STRENGTH['light reduction']) return null;
  const minutes = Math.round(minutesOf(bands, meant));
  if (minutes >= 30) return null;
  const any = Math.round(minutesOf(bands, 'light reduction'));
  return `${minutes} minutes of ${meant} on record${any > minutes ? `, ${any} of any reduction` : ''}: celadons may be yellow-green, iron bodies pale, copper reds green or clear.`;
}
