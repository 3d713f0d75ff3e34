/** What can be a reading at all: beyond it nothing is kept, doubted or not. */

const DAY_MS = 86_400_000;
/**
 * Earlier than a year before the kiln was lit no reading is of that firing; where nobody says when, two years
 * back.
 */
const BEFORE_LIT_MS = 365 * DAY_MS;
const BEFORE_NOW_MS = 2 * 365 * DAY_MS;
/** A clock may run a little ahead, or stand in another zone. */
const AHEAD_MS = DAY_MS;

export const IMPOSSIBLE = ['no-time', 'too-early', 'too-late'] as const;
export type Impossible = (typeof IMPOSSIBLE)[number];
export const IMPOSSIBLE_WORDS: Record<Impossible, string> = {
  'no-time': 'no moment in time',
  'too-early': 'years before the firing; is the clock right?',
  'too-late': 'in days to come; is the clock right?',
};

/**
 * Why a moment cannot be a reading's; null when it can. All in milliseconds since 1970; `lit` is when
 * the kiln was lit, null when no firing is known.
 */
export function impossibleMoment(at: number, lit: number | null, now: number): Impossible | null {
  if (!Number.isFinite(at)) return 'no-time';
  if (at < (lit === null ? now - BEFORE_NOW_MS : lit - BEFORE_LIT_MS)) return 'too-early';
  return at > now + AHEAD_MS ? 'too-late' : null;
}

/**
 * From absolute zero to where tungsten boils a thermocouple may say what it likes, °C; beyond it nothing was
 * measured.
 */
const PHYSICS = [-273.15, 5930] as const;

/** A temperature that can be one; null for what only a broken instrument says. */
export const possibleCelsius = (celsius: number | null): number | null =>
  celsius !== null && celsius >= PHYSICS[0] && celsius <= PHYSICS[1] ? celsius : null;
