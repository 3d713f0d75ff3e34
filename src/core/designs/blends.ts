/** A point of a blend: how much of each corner goes in, summing to 1, and where it stands on the board. */
export type BlendPoint = { row: number; column: number; weights: number[] };

const whole = (value: number, least: number, what: string): void => {
  if (!Number.isInteger(value) || value < least)
    throw new RangeError(`${what}: a whole number from ${least} on.`);
};

/** Two corners in `points` even steps, both ends pure. */
export function lineBlend(points: number): BlendPoint[] {
  whole(points, 2, 'A line blend has points');
  return Array.from({ length: points }, (_, i) => ({
    row: 0,
    column: i,
    weights: [1 - i / (points - 1), i / (points - 1)],
  }));
}

/** Three corners with `steps` per side: (steps + 1)(steps + 2)/2 points, row by row from the first corner. */
export function triaxial(steps: number): BlendPoint[] {
  whole(steps, 1, 'A triaxial has steps');
  const points: BlendPoint[] = [];
  for (let row = 0; row <= steps; row++)
    for (let column = 0; column <= row; column++)
      points.push({
        row,
        column,
        weights: [(steps - row) / steps, (row - column) / steps, column / steps],
      });
  return points;
}

/** Four corners (upper left, upper right, lower left, lower right), weights bilinear. */
export function grid(rows: number, columns: number): BlendPoint[] {
  whole(rows, 2, 'A grid has rows');
  whole(columns, 2, 'A grid has columns');
  const points: BlendPoint[] = [];
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const [down, right] = [row / (rows - 1), column / (columns - 1)];
      points.push({
        row,
        column,
        weights: [(1 - down) * (1 - right), (1 - down) * right, down * (1 - right), down * right],
      });
    }
  return points;
}

export type Cup = { point: number; ml: number[] };
export type CupPlan = {
  cups: Cup[];
  /** Slurry to have ready of each corner, with the reserve, ml. */
  needed: number[];
  /** Cups in which a share came below what can be measured, and was rounded to nothing or to the least. */
  doubtful: { point: number; corner: number; ml: number }[];
  /** Cups whose blend rounding shifts, and by how much of the cup at most. */
  shifted: { point: number; by: number }[];
};

/** Rounding that shifts a blend by more than this is said: less no eye tells (common practice, no source). */
export const SHIFT = 0.02;

/**
 * Millilitres of each corner slurry for every cup. Shares are rounded to what can be measured; the
 * largest fills the cup up to its volume, so that every cup holds what was wanted. It holds only for
 * slurries of equal dry solids per litre. Throws a RangeError on volumes that cannot be.
 */
export function cups(
  points: readonly BlendPoint[],
  cupMl: number,
  measureMl: number,
  reserve = 0.1,
): CupPlan {
  if (!(cupMl > 0)) throw new RangeError('Give a cup’s volume above 0 ml.');
  if (!(measureMl > 0 && measureMl <= cupMl))
    throw new RangeError('The smallest measure is above 0 ml and at most a cup.');
  const doubtful: CupPlan['doubtful'] = [];
  const shifted: CupPlan['shifted'] = [];
  const filled = points.map(({ weights }, point): Cup => {
    const largest = weights.indexOf(Math.max(...weights));
    const plain = (ml: number): number => Number(ml.toPrecision(12));
    const ml = weights.map((weight) => plain(Math.round((weight * cupMl) / measureMl) * measureMl));
    const others = ml.reduce((sum, one, corner) => (corner === largest ? sum : sum + one), 0);
    ml[largest] = plain(cupMl - others);
    weights.forEach((weight, corner) => {
      const wanted = weight * cupMl;
      if (wanted > 0 && wanted < measureMl) doubtful.push({ point, corner, ml: wanted });
    });
    const by = Math.max(...weights.map((weight, corner) => Math.abs(ml[corner]! / cupMl - weight)));
    if (by > SHIFT) shifted.push({ point, by });
    return { point, ml };
  });
  const corners = points[0]?.weights.length ?? 0;
  return {
    cups: filled,
    doubtful,
    shifted,
    needed: Array.from(
      { length: corners },
      (_, corner) => (1 + reserve) * filled.reduce((sum, cup) => sum + (cup.ml[corner] ?? 0), 0),
    ),
  };
}
