/** How much of a spread goes with what something was grouped by. */
import jStat from 'jstat';
import type { Interval } from './shares';

/**
 * One measurement of one or several numbers (a colour has three), with its level and the unit it was made in.
 */
export type Measured = { level: string; unit: string; values: readonly number[] };

export type Components = {
  /** Variance between levels and within them, the sum over the numbers of a measurement; never below zero. */
  between: number;
  within: number;
};

type Group = { count: number; means: number[]; inside: number };

function grouped(list: readonly Measured[]): Group[] {
  const groups = new Map<string, (readonly number[])[]>();
  for (const { level, values } of list) {
    const held = groups.get(level);
    if (held === undefined) groups.set(level, [values]);
    else held.push(values);
  }
  return [...groups.values()].map((rows) => {
    const means = rows[0]!.map((_, c) => rows.reduce((sum, row) => sum + row[c]!, 0) / rows.length);
    const inside = rows.reduce((sum, row) => sum + row.reduce((s, v, c) => s + (v - means[c]!) ** 2, 0), 0);
    return { count: rows.length, means, inside };
  });
}

/**
 * Variance between levels and within them, by the analysis of variance for a random effect, levels of unequal
 * size. Null where there are fewer than two levels, or nothing is repeated within any. O(n).
 * Source: S. R. Searle, G. Casella, C. E. McCulloch, Variance Components (1992), section 3.6 (from memory).
 */
export function varianceComponents(list: readonly Measured[]): Components | null {
  const groups = grouped(list);
  const n = list.length;
  const free = n - groups.length;
  if (groups.length < 2 || free < 1) return null;
  const grand = groups[0]!.means.map((_, c) => groups.reduce((sum, g) => sum + g.count * g.means[c]!, 0) / n);
  const across = groups.reduce(
    (sum, g) => sum + g.count * g.means.reduce((s, m, c) => s + (m - grand[c]!) ** 2, 0),
    0,
  );
  const within = groups.reduce((sum, g) => sum + g.inside, 0) / free;
  const size = (n - groups.reduce((sum, g) => sum + g.count ** 2, 0) / n) / (groups.length - 1);
  return { between: Math.max(0, (across / (groups.length - 1) - within) / size), within };
}

export type Share = {
  /** Share of the variance that goes with the levels, 0 to 1, and what holds it with 95 %. */
  share: number;
  interval: Interval;
  levels: number;
  units: number;
  /**
   * The usual difference between two levels, in the measurement's own unit (a distance, for several numbers).
   */
  apart: number;
};

const FEWEST_LEVELS = 3;
const FEWEST_UNITS = 6;
const DRAWS = 400;

/** Repeatable chance (a linear congruence): the same data say the same every time. */
function chance(seed: number): (below: number) => number {
  let state = seed >>> 0;
  return (below) => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return Math.floor((state / 2 ** 32) * below);
  };
}

const shareOf = ({ between, within }: Components): number =>
  between + within === 0 ? 0 : between / (between + within);

/**
 * The share of a spread that goes with a factor. The unit is what chance deals: a firing. The interval is
 * from drawing whole units anew; what is the same for a whole unit (`ofUnit`) is first averaged in it, so
 * that its pieces are not counted as if each had been fired by itself. Null below three levels, six units, or
 * where nothing is repeated, or nothing differs.
 * @param list measurements with the factor known. O(n × 400).
 */
export function factorShare(list: readonly Measured[], ofUnit: boolean): Share | null {
  const rows = ofUnit ? averaged(list) : list;
  const levels = new Set(rows.map(({ level }) => level)).size;
  const units = [...new Set(rows.map(({ unit }) => unit))].sort();
  const whole = varianceComponents(rows);
  if (levels < FEWEST_LEVELS || units.length < FEWEST_UNITS || whole === null) return null;
  // All came out the same: there is no spread to divide.
  if (whole.between + whole.within === 0) return null;
  const byUnit = new Map(units.map((unit) => [unit, rows.filter((row) => row.unit === unit)]));
  const next = chance(17);
  const drawn: number[] = [];
  for (let i = 0; i < DRAWS; i++) {
    const again = varianceComponents(units.flatMap(() => byUnit.get(units[next(units.length)]!)!));
    if (again !== null) drawn.push(shareOf(again));
  }
  drawn.sort((a, b) => a - b);
  const at = (share: number): number =>
    drawn[Math.min(drawn.length - 1, Math.max(0, Math.round(share * (drawn.length - 1))))] ?? 0;
  const share = shareOf(whole);
  const wide = widened(units.length);
  return {
    share,
    interval: {
      low: Math.max(0, Math.min(share, share - wide * (share - at(0.025)))),
      high: Math.min(1, Math.max(share, share + wide * (at(0.975) - share))),
    },
    levels,
    units: units.length,
    // Two draws from the levels: the usual distance is √2 times their deviation.
    apart: Math.sqrt(2 * whole.between),
  };
}

/**
 * Drawing few units anew shows too little of what chance does: the interval is made wider as a t is wider
 * than a bell, and by what a deviation of so few is too small, until it holds in made studios also with heavy
 * tails.
 */
const widened = (units: number): number =>
  1.1 * (jStat.studentt.inv(0.975, units - 1) / 1.96) * Math.sqrt(units / (units - 1));

/** A unit’s mean at its level: one row for each. */
function averaged(list: readonly Measured[]): Measured[] {
  const by = new Map<string, Measured[]>();
  for (const row of list) {
    const key = JSON.stringify([row.unit, row.level]);
    const held = by.get(key);
    if (held === undefined) by.set(key, [row]);
    else held.push(row);
  }
  return [...by.values()].map((rows) => ({
    level: rows[0]!.level,
    unit: rows[0]!.unit,
    values: rows[0]!.values.map((_, c) => rows.reduce((sum, row) => sum + row.values[c]!, 0) / rows.length),
  }));
}
