import { coneBand, coneOrdinal, formatCone, isCone, isHalfCone } from '../cones';

/** How it is known which cone a firing reached, the surest first. */
export const CONE_KNOWN = ['read', 'by log', 'intended', 'unknown'] as const;
export type ConeKnown = (typeof CONE_KNOWN)[number];

/** What a log comes to with what its kiln's thermocouple is known to be off by, on the cone line. */
export type ConeByLog = { ordinal: number; low: number; high: number };

/** What is on record of the cone of a firing. */
export type ConeRecord = {
  reachedOrdinal: number | null;
  reachedBound: 'exact' | 'at least' | 'less than' | null;
  byLog: ConeByLog | null;
  targetCone: string | null;
};

/**
 * A log says "about" a cone when all that a further firing may be lies within three quarters of a cone of it.
 */
const WIDEST = 1.5;

const INTENDED = '?';

/** The heading of what was meant for a cone of which nobody knows whether it was reached. */
export const intendedBand = (cone: string): string => `${INTENDED}${cone}`;

/** The cone that a heading was intended for; null when it is no such heading. */
export const intendedOf = (band: string): string | null =>
  band.startsWith(INTENDED) && isCone(band.slice(1)) ? band.slice(1) : null;

/** A reading within a quarter of a half-cone target stays with it; others go to the nearest whole cone. */
function bandOf(ordinal: number, target: string | null): string {
  if (target !== null && isHalfCone(target) && Math.abs(ordinal - coneOrdinal(target)) <= 0.25) return target;
  return coneBand(ordinal);
}

/**
 * Under which cone a firing stands on the chart, and how that is known. Cones that came down say
 * it; a guide that stood says only that it was less. Without them the log says "about", where
 * its kiln is known well enough; else nothing is known but what was intended.
 */
export function coneOf(firing: ConeRecord): { known: ConeKnown; band: string } {
  const { reachedOrdinal, reachedBound, byLog, targetCone } = firing;
  if (reachedOrdinal !== null && reachedBound !== 'less than')
    return { known: 'read', band: bandOf(reachedOrdinal, targetCone) };
  if (byLog !== null && byLog.high - byLog.low <= WIDEST)
    return { known: 'by log', band: bandOf(byLog.ordinal, targetCone) };
  return targetCone === null
    ? { known: 'unknown', band: 'unknown' }
    : { known: 'intended', band: intendedBand(targetCone) };
}

/** A heading of the chart in words: "cone 6", "cone unknown, 6 intended", "cone unknown". */
export function bandWords(band: string): string {
  const intended = intendedOf(band);
  if (intended !== null) return `cone unknown, ${formatCone(intended)} intended`;
  return isCone(band) ? `cone ${formatCone(band)}` : 'cone unknown';
}

/** The same for one firing: "cone 6", "about cone 6, by its log", "cone unknown, 6 intended". */
export const coneWords = ({ known, band }: { known: ConeKnown; band: string }): string =>
  known === 'by log' ? `about ${bandWords(band)}, by its log` : bandWords(band);
