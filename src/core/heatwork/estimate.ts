/**
 * What a kiln's thermocouple is off by, from what its firings said of it one after another: the
 * offset may wander a little from firing to firing, single firings scatter about it, and which law
 * the bend of a cone follows is not known. All of that is weighed on a grid, and the answer carries it.
 */
import type { Bound, OffsetSighting } from './offset';

const { abs, exp, log: ln, max, min, sqrt } = Math;

export type OffsetEstimate = {
  /** °C to add to what is shown; null without evidence on both sides. */
  offset: number | null;
  /** 95 % interval. */
  low: number;
  high: number;
  /** 95 % interval of what a further firing will feel beyond what is shown. */
  nextLow: number;
  nextHigh: number;
  /** How much single firings scatter about it, °C. */
  scatter: number;
  firings: number;
};

/** Complementary error function, Abramowitz & Stegun (1964) 7.1.26: within 1.5·10⁻⁷. */
function normalCdf(x: number): number {
  if (x === Infinity) return 1;
  if (x === -Infinity) return 0;
  const z = abs(x) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * z);
  const tail =
    t *
    (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) *
    exp(-z * z);
  return x >= 0 ? 1 - tail / 2 : tail / 2;
}

/**
 * Most thermocouples of studio kilns are within this of the truth, °C (one sigma). Common practice, no
 * source.
 */
const PRIOR = 15;
/**
 * Firings of one kiln scatter by about this much before any has been seen, °C. Common practice, no source.
 */
const USUAL_SCATTER = 5;
const USUAL_SCATTER_WEIGHT = 4;
/** A firing that none of this explains (a wrong log, swapped cones) may not decide alone. */
const STRAY = 2e-3;

/** The grid: °C, how firings scatter, how an offset wanders a firing, and the laws of the bend. */
const REACH = 90;
const OFFSETS = Array.from({ length: 2 * REACH + 1 }, (_, i) => i - REACH);
const SCATTERS = [1.5, 2.2, 3.3, 4.8, 7, 10.3, 15];
const WANDERS: readonly { sd: number; prior: number }[] = [
  { sd: 0.5, prior: 0.35 },
  { sd: 1.4, prior: 0.4 },
  { sd: 3, prior: 0.25 },
];
const LAW_PRIORS = [0.7, 0.15, 0.15];

/** A bell of this spread on the grid, as far as it matters. */
function kernelOf(sd: number): number[] {
  const reach = Math.ceil(4 * sd) + 1;
  const weights = Array.from({ length: 2 * reach + 1 }, (_, i) => {
    const x = i - reach;
    return normalCdf((x + 0.5) / sd) - normalCdf((x - 0.5) / sd);
  });
  const all = weights.reduce((sum, one) => sum + one, 0);
  return weights.map((one) => one / all);
}

function spread(row: Float64Array, kernel: readonly number[]): Float64Array {
  const reach = (kernel.length - 1) / 2;
  const wide = new Float64Array(row.length);
  for (let i = 0; i < row.length; i++) {
    const here = row[i]!;
    if (here < 1e-15) continue;
    const [from, to] = [max(0, i - reach), min(row.length - 1, i + reach)];
    for (let j = from; j <= to; j++) wide[j]! += here * kernel[j - i + reach]!;
  }
  return wide;
}

/** How well each offset explains a bound, with firings that scatter so. */
function likelihood({ atLeast, atMost }: Bound, scatter: number): Float64Array {
  return Float64Array.from(OFFSETS, (offset) =>
    max(STRAY, normalCdf((atMost - offset) / scatter) - normalCdf((atLeast - offset) / scatter)),
  );
}

type Row = {
  law: number;
  scatter: number;
  wander: { sd: number; prior: number };
  at: Float64Array;
  evidence: number;
};

function startRows(): Row[] {
  const prior = Float64Array.from(OFFSETS, (offset) => exp(-((offset / PRIOR) ** 2) / 2));
  return LAW_PRIORS.flatMap((lawPrior, law) =>
    SCATTERS.flatMap((scatter) =>
      WANDERS.map((wander) => ({
        law,
        scatter,
        wander,
        at: prior.slice(),
        // Steps of the scatter grow with it; its prior is a scaled inverse chi-square.
        evidence:
          ln(lawPrior * wander.prior) -
          USUAL_SCATTER_WEIGHT * ln(scatter) -
          (USUAL_SCATTER_WEIGHT * USUAL_SCATTER ** 2) / (2 * scatter ** 2),
      })),
    ),
  );
}

/** Takes in one firing: each of its places has its part of one vote. */
function weigh(rows: readonly Row[], said: readonly OffsetSighting[]): void {
  const known = new Map<string, Float64Array>();
  for (const row of rows) {
    const key = `${row.law}/${row.scatter}`;
    let joint = known.get(key);
    if (joint === undefined) {
      joint = new Float64Array(OFFSETS.length).fill(1);
      for (const { bounds } of said) {
        const one = likelihood(bounds[row.law] ?? bounds[0]!, row.scatter);
        for (let i = 0; i < joint.length; i++) joint[i]! *= one[i]! ** (1 / said.length);
      }
      known.set(key, joint);
    }
    let sum = 0;
    for (let i = 0; i < joint.length; i++) sum += row.at[i]! *= joint[i]!;
    for (let i = 0; i < joint.length; i++) row.at[i]! /= sum;
    row.evidence += ln(sum);
  }
}

/** The value below which this share of a spread on the grid lies. */
function quantile(spreadOut: Float64Array, share: number): number {
  let sum = 0;
  for (let i = 0; i < spreadOut.length; i++) {
    const before = sum;
    sum += spreadOut[i]!;
    if (sum >= share) return OFFSETS[i]! - 0.5 + (share - before) / spreadOut[i]!;
  }
  return REACH;
}

/** Is there a firing that says "at least" and one that says "at most"? */
const bothSides = (firings: readonly (readonly OffsetSighting[])[]): boolean => {
  const all = firings.flat().flatMap(({ bounds }) => bounds.slice(0, 1));
  return all.some(({ atLeast }) => atLeast > -Infinity) && all.some(({ atMost }) => atMost < Infinity);
};

/**
 * Estimates the offset from what a kiln's firings said, oldest first, the silent ones empty. Null
 * when none said anything.
 */
export function estimateOffset(firings: readonly (readonly OffsetSighting[])[]): OffsetEstimate | null {
  const speaking = firings.filter((said) => said.length > 0).length;
  if (speaking === 0) return null;
  const rows = startRows();
  for (const row of rows) normalise(row.at);
  const kernels = new Map(WANDERS.map(({ sd }) => [sd, kernelOf(sd)]));
  const first = firings.findIndex((said) => said.length > 0);
  for (const [i, said] of firings.slice(first).entries()) {
    if (i > 0) for (const row of rows) row.at = spread(row.at, kernels.get(row.wander.sd)!);
    if (said.length > 0) weigh(rows, said);
  }
  const top = max(...rows.map(({ evidence }) => evidence));
  const weights = rows.map(({ evidence }) => exp(evidence - top));
  const all = weights.reduce((sum, one) => sum + one, 0);
  const [now, next] = [new Float64Array(OFFSETS.length), new Float64Array(OFFSETS.length)];
  let scatter = 0;
  for (const [i, row] of rows.entries()) {
    const weight = weights[i]! / all;
    if (weight < 1e-9) continue;
    scatter += weight * row.scatter;
    const further = spread(row.at, kernelOf(sqrt(row.scatter ** 2 + row.wander.sd ** 2)));
    for (let j = 0; j < now.length; j++) {
      now[j]! += weight * row.at[j]!;
      next[j]! += weight * further[j]!;
    }
  }
  normalise(now);
  normalise(next);
  return {
    offset: bothSides(firings) ? OFFSETS.reduce((sum, offset, i) => sum + offset * now[i]!, 0) : null,
    low: quantile(now, 0.025),
    high: quantile(now, 0.975),
    nextLow: quantile(next, 0.025),
    nextHigh: quantile(next, 0.975),
    scatter,
    firings: speaking,
  };
}

function normalise(row: Float64Array): void {
  let sum = 0;
  for (const one of row) sum += one;
  for (let i = 0; i < row.length; i++) row[i]! /= sum;
}

export type PlaceOffset = { place: string } & OffsetEstimate;

/** The offset at each place of the kiln, hottest first: its hot and cold corners. */
export function estimateByPlace(firings: readonly (readonly OffsetSighting[])[]): PlaceOffset[] {
  const places = [...new Set(firings.flat().map(({ place }) => place))];
  const middle = ({ offset, low, high }: OffsetEstimate): number => offset ?? (low + high) / 2;
  return places
    .flatMap((place) => {
      const found = estimateOffset(firings.map((said) => said.filter((one) => one.place === place)));
      return found === null ? [] : [{ place, ...found }];
    })
    .sort((a, b) => middle(b) - middle(a));
}
