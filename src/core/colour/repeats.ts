/** How far repeats lie apart in this studio, and what a distance between two colours means against that. */
import { deltaE } from './difference';
import { middleOf } from './together';
import type { Lab } from './spaces';

/** One piece’s colour in a cell: repeats are pieces of the same cell. */
export type Repeat = { cellId: string; firingId: string; lab: Lab };

export type Scatter = {
  /** ΔE₀₀ between two repeats: half of them lie nearer than this. */
  usual: number;
  /** Between these the usual distance lies with 95 %. */
  low: number;
  high: number;
  /** Nine of ten repeats lie nearer than this. */
  most: number;
  /** Stacks (of one firing, or over several) that it is known from. */
  groups: number;
};

export type Repeats = {
  /** Between pieces of one stack in one firing. */
  within: Scatter | null;
  /** Between pieces of one stack in different firings. */
  between: Scatter | null;
};

/** From fewer stacks than this nothing is said. */
const FEWEST = 6;
/** So many pieces of a stack speak; further ones change little and cost their square. */
const MOST_OF_ONE = 12;
/**
 * Below this a camera and a card tell nothing apart: two pictures of one tile differ as much. From memory, no
 * source.
 */
export const CAMERA = 1.5;

/**
 * The interval of a median by order statistics: the widest pair of ranks that leaves out no more than 5 %.
 * Source: binomial; W. J. Conover, Practical Nonparametric Statistics (from memory).
 */
function medianBetween(sorted: readonly number[]): [low: number, high: number] {
  const n = sorted.length;
  let rank = 0;
  // How often no more than `rank` of n fall on one side of the middle, term by term in logarithms.
  let term = -n * Math.LN2;
  let below = Math.exp(term);
  while (rank + 1 < n / 2 && 2 * below <= 0.05) {
    rank++;
    term += Math.log((n - rank + 1) / rank);
    below += Math.exp(term);
  }
  // With five or fewer even the outermost leave out more than 5 %.
  const outer = Math.max(0, rank - 1);
  return [sorted[outer]!, sorted[n - 1 - outer]!];
}

function scatterOf(groups: readonly (readonly number[])[]): Scatter | null {
  if (groups.length < FEWEST) return null;
  // Each stack counts once, however many were made of it.
  const each = groups.map(middleOf).sort((a, b) => a - b);
  const pairs = groups
    .flatMap((list) => list.map((distance) => ({ distance, weight: 1 / list.length })))
    .sort((a, b) => a.distance - b.distance);
  const whole = groups.length;
  let passed = 0;
  const most = pairs.find(({ weight }) => (passed += weight) >= 0.9 * whole) ?? pairs.at(-1)!;
  const [low, high] = medianBetween(each);
  return { usual: middleOf(each), low, high, most: most.distance, groups: groups.length };
}

const grouped = <T>(list: readonly T[], key: (one: T) => string): T[][] => {
  const groups = new Map<string, T[]>();
  for (const one of list) {
    const held = groups.get(key(one));
    if (held === undefined) groups.set(key(one), [one]);
    else held.push(one);
  }
  return [...groups.values()];
};

/**
 * What repeats of a studio scatter, from the colours of all pieces that a grey told. Silent below six stacks.
 */
export function repeatsOf(colours: readonly Repeat[]): Repeats {
  const within: number[][] = [];
  const between: number[][] = [];
  for (const cell of grouped(colours, ({ cellId }) => cellId)) {
    const firings = grouped(cell, ({ firingId }) => firingId).map((list) => list.slice(0, MOST_OF_ONE));
    const across: number[] = [];
    firings.slice(0, MOST_OF_ONE).forEach((own, i) => {
      const inside = own.flatMap((one, k) => own.slice(k + 1).map((other) => deltaE(one.lab, other.lab)));
      if (inside.length > 0) within.push(inside);
      for (const others of firings.slice(i + 1, MOST_OF_ONE))
        for (const one of own) for (const other of others) across.push(deltaE(one.lab, other.lab));
    });
    if (across.length > 0) between.push(across);
  }
  return { within: scatterOf(within), between: scatterOf(between) };
}

/**
 * Repeats that lie further apart than this are of two colours: three times what they usually do, and never
 * little.
 */
export const apartIn = ({ between }: Repeats): number =>
  // In halves: what one picture more changes in it does not turn the chart over.
  Math.max(LEAST_APART, Math.round(2 * 3 * (between?.usual ?? UNKNOWN / 3)) / 2);
/** A difference that anybody sees, whatever the studio’s repeats do. Common practice, no source. */
const LEAST_APART = 6;
/** Where a studio has too few repeats to know. Common practice, no source. */
const UNKNOWN = 12;

/** A distance in the studio’s own terms; the number is said besides, by whoever shows it. */
export function distanceWords(distance: number, scatter: Scatter | null): string {
  if (distance < CAMERA) return 'no difference that a picture can show';
  if (scatter === null) return 'how far repeats lie apart is not known here yet';
  if (distance <= scatter.usual) return 'nearer than two repeats usually are';
  if (distance <= scatter.most) return 'as near as two repeats';
  const times = distance / Math.max(scatter.usual, CAMERA);
  return times < 2
    ? 'further apart than nine of ten repeats'
    : `${times < 3 ? times.toFixed(1).replace(/\.0$/, '') : times.toFixed(0)} times what repeats scatter`;
}
