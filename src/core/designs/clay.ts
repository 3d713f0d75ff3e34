import jStat from 'jstat';

/** Density of plastic clay, g/cm³ (common practice, no source). */
export const WET_CLAY = 1.9;

const positive = (value: number, what: string): void => {
  if (!(value > 0)) throw new RangeError(`${what}: a size above 0.`);
};
const shrinkProblem = 'Shrinkage lies between 0 and 30 %: as a fraction, 0.12 for 12 %.';

/** Wet size of what shall have a fired size, by total linear shrinkage as a fraction. */
export function wetSize(fired: number, shrinkage: number): number {
  if (!(shrinkage >= 0 && shrinkage < 0.3)) throw new RangeError(shrinkProblem);
  return fired / (1 - shrinkage);
}
export function firedSize(wet: number, shrinkage: number): number {
  if (!(shrinkage >= 0 && shrinkage < 0.3)) throw new RangeError(shrinkProblem);
  return wet * (1 - shrinkage);
}

/** A thrown ring of an inverted T in section, all in mm, wet. */
export type RingTile = {
  baseWidth: number;
  wallHeight: number;
  thickness: number;
  diameter: number;
  tileWidth: number;
};

/** Clay in g for one ring, and how many tiles it is cut into. */
export function ringTiles(ring: RingTile): { grams: number; tiles: number } {
  for (const [name, value] of Object.entries(ring)) positive(value, name);
  const section = ring.baseWidth * ring.thickness + ring.wallHeight * ring.thickness;
  const round = Math.PI * ring.diameter;
  return {
    grams: (section * round * WET_CLAY) / 1000,
    tiles: Math.floor(round / ring.tileWidth),
  };
}

/** Tiles that can be slab-cut or extruded from so much clay; L tiles count both legs as their length. */
export function tilesFromClay(
  clayGrams: number,
  tile: { length: number; width: number; thickness: number },
  waste = 0.1,
): { gramsEach: number; tiles: number } {
  positive(clayGrams, 'Clay');
  const gramsEach = (tile.length * tile.width * tile.thickness * WET_CLAY) / 1000;
  positive(gramsEach, 'Tile');
  return { gramsEach, tiles: Math.floor((clayGrams * (1 - waste)) / gramsEach) };
}

/** Water absorption in % from dry and boiled weight (the method of ASTM C373). */
export function absorption(dry: number, boiled: number): number {
  positive(dry, 'Dry weight');
  if (boiled < dry) throw new RangeError('The boiled piece weighs less than the dry one: weigh again.');
  return (100 * (boiled - dry)) / dry;
}

/** The fewest to make so that, at the studio's yield, at least `good` come out with this confidence. */
export function howManyToMake(good: number, yieldShare: number, confidence: number): number {
  if (!Number.isInteger(good) || good < 1) throw new RangeError('At least one piece.');
  if (!(yieldShare > 0 && yieldShare <= 1)) throw new RangeError('A yield lies above 0 and at most 1.');
  if (!(confidence > 0 && confidence < 1)) throw new RangeError('A confidence lies between 0 and 1.');
  for (let n = good; ; n++)
    if (1 - jStat.binomial.cdf(good - 1, n, yieldShare) >= confidence || yieldShare === 1) return n;
}

/** How a slip will sit on a body as both dry and fire, by their total shrinkages as fractions. */
export function slipFit(slip: number, body: number): { difference: number; words: string } {
  const difference = slip - body;
  const words =
    difference > 0.01
      ? 'The slip shrinks more than the body: it will crack or peel. Put it on wetter clay, or take some plastic clay out of it.'
      : difference < -0.01
        ? 'The slip shrinks less than the body: it may flake off at edges. Add plastic clay, or put it on drier clay.'
        : 'Slip and body shrink alike.';
  return { difference, words };
}

/** Days until stock runs out at the rate of the last `days`; null when none was used. */
export function daysLeft(stock: number, used: number, days: number): number | null {
  return used > 0 ? (stock * days) / used : null;
}
