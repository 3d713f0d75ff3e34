/** Tables of several strata taken together, and many tests looked at together. */
import jStat from 'jstat';
import { fisherExact, type Interval, type Table } from './shares';

export type Pooled = {
  /** How much more often it is found on the first side than on the second; null where nothing can be said. */
  ratio: number | null;
  /** Holds the ratio with 95 %; null with it. */
  interval: Interval | null;
  /** How often chance alone parts the sides as oddly, either way. */
  p: number;
};

type Sum = { r: number; s: number; variance: number; excess: number; spread: number };

function add(sum: Sum, [[a, b], [c, d]]: Table): Sum {
  const [n1, n0, m1, m0] = [a + b, c + d, a + c, b + d];
  const n = n1 + n0;
  if (n1 === 0 || n0 === 0) return sum;
  return {
    r: sum.r + (a * n0) / n,
    s: sum.s + (c * n1) / n,
    variance: sum.variance + (m1 * n1 * n0 - a * c * n) / n ** 2,
    excess: sum.excess + a - (n1 * m1) / n,
    spread: sum.spread + (n > 1 ? (n1 * n0 * m1 * m0) / (n ** 2 * (n - 1)) : 0),
  };
}

/**
 * Risk ratio of the first side against the second, each stratum compared within itself. O(strata).
 * @param strata counts with and without something on two sides; a stratum with one side tells nothing.
 * @throws RangeError for counts that are negative or no whole numbers.
 * Source: ratio N. Mantel, W. Haenszel, J. Natl. Cancer Inst. 22 (1959) 719; its variance S. Greenland, J. M.
 * Robins, Biometrics 41 (1985) 55; p of one stratum exact after Fisher, of several with the half of Yates.
 */
export function mantelHaenszel(strata: readonly Table[]): Pooled {
  if (strata.flat(2).some((count) => !Number.isInteger(count) || count < 0))
    throw new RangeError('Counts are whole numbers from 0 on.');
  const telling = strata.filter(([[a, b], [c, d]]) => a + b > 0 && c + d > 0);
  const { r, s, variance, excess, spread } = telling.reduce(add, {
    r: 0,
    s: 0,
    variance: 0,
    excess: 0,
    spread: 0,
  });
  const p =
    telling.length === 1
      ? fisherExact(telling[0]!)
      : spread === 0
        ? 1
        : 1 - jStat.chisquare.cdf(Math.max(0, Math.abs(excess) - 0.5) ** 2 / spread, 1);
  // With nothing on one side there is a ratio of nought or of any size: the p alone speaks.
  if (r === 0 || s === 0) return { ratio: null, interval: null, p };
  const ratio = r / s;
  const half = jStat.normal.inv(0.975, 0, 1) * Math.sqrt(variance / (r * s));
  return { ratio, interval: { low: ratio * Math.exp(-half), high: ratio * Math.exp(half) }, p };
}

/**
 * For each p the share of false alarms that would have to be borne to believe it, of all that were looked at;
 * in the order given. O(n log n).
 * @throws RangeError for what is no probability.
 * Source: Y. Benjamini, Y. Hochberg, J. R. Stat. Soc. B 57 (1995) 289.
 */
export function falseDiscovery(ps: readonly number[]): number[] {
  if (ps.some((p) => !(p >= 0 && p <= 1))) throw new RangeError('A p lies between 0 and 1.');
  const order = ps.map((_, i) => i).sort((a, b) => ps[b]! - ps[a]!);
  const found = ps.map(() => 1);
  let least = 1;
  order.forEach((i, k) => {
    least = Math.min(least, (ps[i]! * ps.length) / (ps.length - k));
    found[i] = least;
  });
  return found;
}
