/** The 97.5 % point of the normal distribution. */
const Z = 1.959963984540054;

export type Interval = { low: number; high: number };

/**
 * A share of `k` in `n` with the interval that holds it with 95 %.
 * @returns bounds between 0 and 1; [0, 1] when nothing was counted.
 * @throws RangeError when k is not among n.
 * Source: E. B. Wilson, J. Am. Stat. Assoc. 22 (1927) 209.
 */
export function wilson(k: number, n: number): Interval {
  if (!(k >= 0 && k <= n)) throw new RangeError(`${k} of ${n} is no share.`);
  if (n === 0) return { low: 0, high: 1 };
  const share = k / n;
  const square = (Z * Z) / n;
  const middle = share + square / 2;
  const half = Z * Math.sqrt((share * (1 - share)) / n + square / (4 * n));
  return {
    low: Math.max(0, (middle - half) / (1 + square)),
    high: Math.min(1, (middle + half) / (1 + square)),
  };
}

/** Counts of two sides (rows) with and without something (columns). */
export type Table = readonly [readonly [number, number], readonly [number, number]];

/**
 * Exact two-sided p of a table of two by two: how often chance alone parts the sides at least as
 * oddly, the margins given. O(smallest margin).
 * @throws RangeError for counts that are negative or no whole numbers.
 * Source: R. A. Fisher, The Design of Experiments (1935); two-sided as the sum of all tables that
 * are no likelier than the one seen.
 */
export function fisherExact([[a, b], [c, d]]: Table): number {
  if ([a, b, c, d].some((count) => !Number.isInteger(count) || count < 0))
    throw new RangeError('Counts are whole numbers from 0 on.');
  const [row, column, all] = [a + b, a + c, a + b + c + d];
  const [first, last] = [Math.max(0, row + column - all), Math.min(row, column)];
  // Weights against the likeliest table, each from its neighbour: nothing overflows, and the far
  // ends fade to nought.
  const likeliest = Math.floor(((row + 1) * (column + 1)) / (all + 2));
  const middle = Math.min(last, Math.max(first, likeliest));
  const weights = new Map<number, number>([[middle, 1]]);
  const up = (k: number): number => ((column - k) * (row - k)) / ((k + 1) * (all - column - row + k + 1));
  for (let k = middle, w = 1; k < last && w > 0; k++) weights.set(k + 1, (w *= up(k)));
  for (let k = middle, w = 1; k > first && w > 0; k--) weights.set(k - 1, (w /= up(k - 1)));
  const seen = weights.get(a) ?? 0;
  let [p, whole] = [0, 0];
  for (const weight of weights.values()) {
    whole += weight;
    // A hair of room: equally likely tables differ in their last digits.
    if (weight <= seen * (1 + 1e-7)) p += weight;
  }
  return Math.min(1, p / whole);
}
