/** A line of a recipe in percent: the base sums to 100, additions come on top of it. */
export type RecipeLine = { name: string; percent: number; addition: boolean };

/** Parts of any sum to percent: the base to 100, additions in percent of the base. */
export function percentOf(
  parts: readonly { name: string; amount: number; addition: boolean }[],
): RecipeLine[] {
  const base = parts.reduce((sum, part) => sum + (part.addition ? 0 : part.amount), 0);
  if (parts.some((part) => !(part.amount >= 0))) throw new RangeError('An amount cannot be below 0.');
  if (!(base > 0)) throw new RangeError('The recipe sums to nothing: give its base some amounts.');
  return parts.map(({ name, amount, addition }) => ({
    name,
    addition,
    percent: (100 * amount) / base,
  }));
}

export type WeighLine = {
  name: string;
  addition: boolean;
  /** Grams as they should be, and as the scale can show them. */
  exact: number;
  grams: number;
};
export type Batch = {
  lines: WeighLine[];
  /** What the rounded lines weigh together, and what the exact ones do. */
  grams: number;
  exact: number;
  /** The largest relative error that rounding made in one line, 0 … */
  worst: number;
};

/**
 * Grams for a batch in which base and additions weigh `dryGrams` together, or in which the
 * base alone does (`of: 'base'`), rounded to the resolution of the scale. Throws a
 * RangeError when there is nothing to weigh.
 */
export function batch(
  recipe: readonly RecipeLine[],
  dryGrams: number,
  resolution: number,
  of: 'base' | 'total' = 'base',
): Batch {
  if (!(dryGrams > 0)) throw new RangeError('Give a dry weight above 0 g.');
  if (!(resolution > 0)) throw new RangeError('Give the scale’s resolution above 0 g.');
  const all = recipe.reduce((sum, line) => sum + line.percent, 0);
  const base = recipe.reduce((sum, line) => sum + (line.addition ? 0 : line.percent), 0);
  const whole = of === 'base' ? base : all;
  if (!(whole > 0)) throw new RangeError('The recipe sums to nothing: give its base some amounts.');
  const lines = recipe.map(({ name, addition, percent }) => {
    const exact = (dryGrams * percent) / whole;
    return { name, addition, exact, grams: roundTo(exact, resolution) };
  });
  return {
    lines,
    exact: lines.reduce((sum, line) => sum + line.exact, 0),
    grams: lines.reduce((sum, line) => sum + line.grams, 0),
    worst: lines.reduce(
      (worst, { exact, grams }) => (exact > 0 ? Math.max(worst, Math.abs(grams - exact) / exact) : worst),
      0,
    ),
  };
}

/** To the nearest step of a scale, free of the binary dust of the division. */
export const roundTo = (value: number, step: number): number =>
  Number((Math.round(value / step) * step).toPrecision(12));

/** A base line's amount in percent of a recipe whose base is made to sum to 100 again. */
export function retotal(recipe: readonly RecipeLine[]): RecipeLine[] {
  return percentOf(recipe.map(({ name, percent, addition }) => ({ name, amount: percent, addition })));
}
