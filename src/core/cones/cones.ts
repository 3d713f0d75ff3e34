/**
 * The pyrometric cone scale: order, parsing, ranges and rounding. Cones are
 * names, never degrees; `coneOrdinal` gives them a place on a line only so that
 * they can be compared and read between.
 */

const LOW = ['022', '021', '020', '019', '018', '017', '016', '015', '014', '013', '012', '011'];
const MIDDLE = ['010', '09', '08', '07', '06', '05.5', '05', '04', '03', '02', '01'];
const HIGH = ['1', '2', '3', '4', '5', '5.5', '6', '7', '8', '9', '10', '11', '12', '13', '14'];

/** Every cone of the scale from coolest to hottest, in canonical spelling. */
export const CONES: readonly string[] = [...LOW, ...MIDDLE, ...HIGH];

const KNOWN = new Set(CONES);

export type ConeResult = { ok: true; cone: string } | { ok: false; message: string };

const SCALE_IN_WORDS = 'Cones run 022 … 01, then 1 … 14, with 05½ between 06 and 05 and 5½ between 5 and 6.';

/** Is this the canonical spelling of a cone on the scale? */
export function isCone(text: string): boolean {
  return KNOWN.has(text);
}

/**
 * Place of a cone on the line: 022 → −21 … 05½ → −4.5 … 01 → 0, 1 → 1, 5½ → 5.5, 14 → 14.
 * @throws RangeError for a spelling that is not canonical; parse first.
 */
export function coneOrdinal(cone: string): number {
  if (!KNOWN.has(cone)) throw new RangeError(`Not a cone: ${cone}`);
  return cone.startsWith('0') ? 1 - Number(cone) : Number(cone);
}

/** Negative when a is cooler than b, as Array.sort wants it. */
export function compareCones(a: string, b: string): number {
  return coneOrdinal(a) - coneOrdinal(b);
}

/**
 * Reads what people write: "06", "^6", "cone 10", "Δ04", "c/6", "5 1/2", "5½", "5.5".
 * "6" and "06" are different cones, so a leading zero is never dropped or added.
 */
export function parseCone(input: string): ConeResult {
  const bare = input
    .trim()
    .toLowerCase()
    .replace(/^(cone|co\.?|c\s*\/|\^|Δ|δ|▲|△)\s*/u, '')
    .replace(/\s*½|\s+1\/2/u, '.5')
    .replace(',', '.')
    .trim();
  if (bare === '') return { ok: false, message: `No cone given. ${SCALE_IN_WORDS}` };
  if (KNOWN.has(bare)) return { ok: true, cone: bare };
  if (/°|deg|\d\s*[cf]$/.test(bare) || Number(bare) > 100) {
    return {
      ok: false,
      message: `“${input.trim()}” reads like a temperature; give the cone, such as 6 or 04.`,
    };
  }
  return { ok: false, message: `There is no cone “${input.trim()}”. ${SCALE_IN_WORDS}` };
}

/** As it stands on the page: "5½" for 5.5, "05½" for 05.5, otherwise the canonical spelling. */
export function formatCone(cone: string | null): string {
  if (cone === null) return 'unknown';
  return cone.replace('.5', '½');
}

export type ConeRange = { low: string; high: string };

/** Reads "5–6", "06-04", "5 to 6" or a single cone; refuses a range that runs backwards. */
export function parseConeRange(
  input: string,
): { ok: true; range: ConeRange } | { ok: false; message: string } {
  const parts = input.split(/\s*(?:–|—|-|\bto\b|\.\.\.?|…)\s*/u).filter((part) => part.trim() !== '');
  if (parts.length === 0 || parts.length > 2) {
    return { ok: false, message: 'Give one cone or two, such as 6 or 5–6.' };
  }
  const low = parseCone(parts[0] ?? '');
  if (!low.ok) return low;
  const high = parts[1] === undefined ? low : parseCone(parts[1]);
  if (!high.ok) return high;
  if (compareCones(low.cone, high.cone) > 0) {
    return {
      ok: false,
      message: `Cone ${formatCone(low.cone)} is hotter than cone ${formatCone(high.cone)}: put the cooler one first.`,
    };
  }
  return { ok: true, range: { low: low.cone, high: high.cone } };
}

/** "6" or "5–6". */
export function formatConeRange(range: ConeRange): string {
  return range.low === range.high
    ? formatCone(range.low)
    : `${formatCone(range.low)}–${formatCone(range.high)}`;
}

/** Does the range hold this cone, ends included? */
export function inConeRange(cone: string, range: ConeRange): boolean {
  return compareCones(range.low, cone) <= 0 && compareCones(cone, range.high) <= 0;
}

/** The cone next hotter on the scale, or null at its top. */
export function nextCone(cone: string): string | null {
  return CONES[CONES.indexOf(cone) + 1] ?? null;
}

/** The cone next cooler on the scale, or null at its foot. */
export function previousCone(cone: string): string | null {
  return CONES[CONES.indexOf(cone) - 1] ?? null;
}

/** Half cones: 05½ and 5½. */
export const isHalfCone = (cone: string): boolean => cone.endsWith('.5');
export const WHOLE_CONES = CONES.filter((cone) => !isHalfCone(cone));
const HALF_CONES = CONES.filter(isHalfCone);

/** The next hotter cone that is no half cone, or null at the top. */
export function nextWholeCone(cone: string): string | null {
  return WHOLE_CONES.find((one) => compareCones(one, cone) > 0) ?? null;
}

/** The next cooler cone that is no half cone, or null at the foot. */
export function previousWholeCone(cone: string): string | null {
  return WHOLE_CONES.findLast((one) => compareCones(one, cone) < 0) ?? null;
}

/**
 * The whole cone nearest to a place on the line, as the chart groups firings.
 * A half cone is a band of its own only when hit exactly (a target of 5½); a reading
 * between cones rounds to whole ones. Half way rounds to the hotter cone.
 */
export function coneBand(ordinal: number): string {
  const half = HALF_CONES.find((cone) => coneOrdinal(cone) === ordinal);
  if (half !== undefined) return half;
  let best = WHOLE_CONES[0] as string;
  for (const cone of WHOLE_CONES) {
    if (Math.abs(coneOrdinal(cone) - ordinal) <= Math.abs(coneOrdinal(best) - ordinal)) best = cone;
  }
  return best;
}
