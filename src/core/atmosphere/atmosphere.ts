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
 * What a probe's reading is usually called. Tendencies, common practice, no source: studios
 * draw the lines between light and heavy where their glazes do.
 */
export function probeWords(celsius: number, millivolts: number): Atmosphere {
  if (celsius < PROBE_FROM) return 'unknown';
  if (millivolts < 60) return 'oxidation';
  if (millivolts < 350) return 'neutral';
  if (millivolts < 550) return 'light reduction';
  return millivolts < 680 ? 'moderate reduction' : 'heavy reduction';
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

const STRENGTH: Record<Atmosphere, number> = {
  unknown: -1,
  oxidation: 0,
  neutral: 1,
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
