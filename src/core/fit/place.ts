/**
 * Above which computed expansion glazes craze on a body, from what the studio has seen craze and stay
 * sound there. Computed expansions are off, each recipe by its own error, and all together by a common
 * one; so the place is reckoned in the same computed figures that glazes are compared in, and the
 * pieces of one glaze, which share its error, count as one witness who is heard the better the more
 * pieces there are.
 */

/** One piece with one glaze on the bare body, and how it was found. Expansion in 10⁻⁶/K as computed. */
export type Examined = {
  glaze: string;
  expansion: number;
  found: 'crazed at once' | 'crazed later' | 'sound';
  /** Days between the opening and the last look. */
  days: number;
  coats: number;
};

/** Why crazed or sound pieces are not counted, or count for less. */
export type Apart = {
  /** Crazed only with so many coats or more, where fewer of the same glaze are sound. */
  thick: { glaze: string; coats: number; pieces: number }[];
  /** Crazed weeks later on a body that takes up water: it may have swollen. */
  moisture: number;
  /** Sound when they came out, and not looked at since. */
  early: number;
};

export type Placed = {
  /** 10⁻⁶/K, the middle and a 95 % interval. */
  at: number;
  low: number;
  high: number;
  glazes: number;
  pieces: number;
  /** Whether glazes were seen on both sides of it. */
  sides: 'both' | 'crazed' | 'sound';
  apart: Apart;
};

/**
 * A body that takes up more than this may swell with water and craze a glaze that fits, % (common practice,
 * no source).
 */
export const TAKES_UP = 3;
/** A glaze that is sound after so many days mostly stays so (common practice, no source). */
export const SETTLED_DAYS = 14;

/**
 * Spread of one recipe's computed figure, of a piece's own place, and of the common error: 10⁻⁶/K (estimates,
 * no source).
 */
const RECIPE_OFF = 0.55;
const PIECE_OFF = 0.3;
const MEASURED_OFF = 1;
/** Where bodies lie of which nothing was measured (common practice, no source). */
const USUAL = { at: 6.5, spread: 1.6 };
/** So many are crazed or sound for reasons that nothing here knows. */
const STRAY = 0.03;

const [FROM, TO, STEP] = [1, 13, 0.05];
const GRID = Array.from({ length: Math.round((TO - FROM) / STEP) + 1 }, (_, i) => FROM + i * STEP);
/** A bell in nineteen points, from −2.7 to 2.7. */
const BELL = Array.from({ length: 19 }, (_, i) => {
  const z = (i - 9) * 0.3;
  return { z, weight: Math.exp((-z * z) / 2) };
});

/** Logistic in place of the normal's integral: within 0.01 of it (Johnson & Kotz 1970, 22.2). */
const above = (z: number): number => 1 / (1 + Math.exp(-1.702 * z));

/** Leaves out what says nothing of the fit, and names it. */
export function setApart(
  pieces: readonly Examined[],
  absorption: number | null,
): { counted: Examined[]; apart: Apart } {
  const thick: Apart['thick'] = [];
  let moisture = 0;
  const counted: Examined[] = [];
  for (const glaze of [...new Set(pieces.map((one) => one.glaze))].sort()) {
    const own = pieces.filter((one) => one.glaze === glaze);
    const crazed = own.filter(({ found }) => found !== 'sound');
    const least = Math.min(Infinity, ...crazed.map(({ coats }) => coats));
    const thinner = own.filter(({ coats, found }) => found === 'sound' && coats < least);
    const onlyThick = crazed.length > 0 && thinner.length >= 2;
    if (onlyThick) thick.push({ glaze, coats: least, pieces: crazed.length });
    for (const one of own) {
      const swollen = one.found === 'crazed later' && absorption !== null && absorption > TAKES_UP;
      if (swollen) moisture++;
      else if (!(onlyThick && one.coats >= least)) counted.push(one);
    }
  }
  const early = counted.filter(({ found, days }) => found === 'sound' && days < SETTLED_DAYS).length;
  return { counted, apart: { thick, moisture, early } };
}

/**
 * Places a body: above which computed expansion glazes craze on it. `measured` is its own expansion
 * where somebody measured one. Null when nothing counts.
 */
export function placeBody(
  pieces: readonly Examined[],
  body: { measured: number | null; absorption: number | null },
): Placed | null {
  const { counted, apart } = setApart(pieces, body.absorption);
  if (counted.length === 0) return null;
  const prior = body.measured === null ? USUAL : { at: body.measured, spread: MEASURED_OFF };
  const glazes = new Map<string, Examined[]>();
  for (const one of counted) glazes.set(one.glaze, [...(glazes.get(one.glaze) ?? []), one]);
  const posterior = GRID.map((place) => {
    let ln = -(((place - prior.at) / prior.spread) ** 2) / 2;
    for (const own of glazes.values()) ln += Math.log(heard(own, place));
    return ln;
  });
  const top = Math.max(...posterior);
  const weights = posterior.map((ln) => Math.exp(ln - top));
  const all = weights.reduce((sum, one) => sum + one, 0);
  const quantile = (share: number): number => {
    let sum = 0;
    return GRID[weights.findIndex((one) => (sum += one) >= share * all)]!;
  };
  const crazes = counted.some(({ found }) => found !== 'sound');
  const holds = counted.some(({ found }) => found === 'sound');
  return {
    at: quantile(0.5),
    low: quantile(0.025),
    high: quantile(0.975),
    glazes: glazes.size,
    pieces: counted.length,
    sides: crazes && holds ? 'both' : crazes ? 'crazed' : 'sound',
    apart,
  };
}

/** How well a place explains the pieces of one glaze, over what its computed figure may be off. */
function heard(own: readonly Examined[], place: number): number {
  const { expansion } = own[0]!;
  const crazed = own.filter(({ found }) => found !== 'sound').length;
  // Looked at only when it came out, a sound one may yet craze: it says half as much.
  const sound = own.reduce(
    (sum, { found, days }) => sum + (found !== 'sound' ? 0 : days < SETTLED_DAYS ? 0.5 : 1),
    0,
  );
  let sum = 0;
  for (const { z, weight } of BELL) {
    const p = STRAY + (1 - 2 * STRAY) * above((expansion + z * RECIPE_OFF - place) / PIECE_OFF);
    sum += weight * p ** crazed * (1 - p) ** sound;
  }
  return sum;
}
