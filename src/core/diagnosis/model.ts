/**
 * From tables to probabilities: how often a cause is at work at all, how often it then brings a complaint
 * about, and how much more often a value of a fact is found with it than with its rivals.
 */
import { TOGETHER, type Cause, type Evidence } from './cause-types';
import { factOf } from './facts';
import type { Fact } from './fact-types';

/** How often a complaint is met at all; only how complaints stand to one another depends on it. */
const MET = 0.03;
/** A cause that is at work brings its commonest complaint about so often. */
const STRONGEST = 0.5;
/** In so many of 100 cases of a complaint it is something that is not on the list. */
export const SOMETHING_ELSE = 8;

export type Odds = {
  /** How often it is at work. */
  base: number;
  /** How often it then brings each complaint about. */
  strength: Readonly<Record<string, number>>;
};

/**
 * Base rate and strengths that give back the shares of the tables, for one complaint with nothing else known.
 * @param shares in 100 cases of each complaint.
 */
export function oddsOf(shares: Cause['shares']): Odds {
  const most = Math.max(...Object.values(shares));
  const base = ((most / 100) * MET) / STRONGEST;
  return {
    base,
    strength: Object.fromEntries(
      Object.entries(shares).map(([of, share]) => [of, ((share / 100) * MET) / base]),
    ),
  };
}

/** A complaint may come from nothing on the list. */
export const LEAK = (SOMETHING_ELSE / 100) * MET;

const MOST = 0.95;

/**
 * How often each value is found with a cause, given the weights of some of them: the others share what is
 * left.
 * @returns for each value its share with the cause over its share with rivals, as a decimal logarithm.
 */
export function ratiosOf(fact: Fact, weights: Evidence['weights']): Readonly<Record<string, number>> {
  const wanted = fact.values.map(({ id, usual }) => {
    const weight = weights[id];
    return weight === undefined ? null : Math.min(MOST, usual * 10 ** weight);
  });
  const given = wanted.reduce<number>((sum, one) => sum + (one ?? 0), 0);
  const left = fact.values.reduce((sum, { usual }, i) => sum + (wanted[i] === null ? usual : 0), 0);
  // What is given may be more than there is; a value that nobody spoke of stays possible.
  const most = left > 0 ? 1 - Math.min(0.02, left) : 1;
  const scale = given > most || left === 0 ? most / given : 1;
  const rest = left > 0 ? (1 - given * scale) / left : 0;
  return Object.fromEntries(
    fact.values.map(({ id, usual }, i) => {
      const one = wanted[i];
      return [id, Math.log10(one == null ? rest : (one * scale) / usual)];
    }),
  );
}

/** What one cause makes of the facts, each looked up by its value. */
export type Weighed = {
  cause: Cause;
  odds: Odds;
  /** By fact, then by value. */
  ratios: ReadonlyMap<string, Readonly<Record<string, number>>>;
};

/** Which values of a fact a group of evidence counts together. */
export const groupOf = (fact: string): string => TOGETHER[fact] ?? fact;

const OUTCOME = { for: 1.2, against: -1 };

/** A cause, ready for cases of these complaints. Tests that separate it are evidence like all else. */
export function weigh(cause: Cause, complaints: readonly string[], shares = cause.shares): Weighed {
  const ratios = new Map<string, Readonly<Record<string, number>>>();
  const add = (id: string, weights: Evidence['weights']): void => {
    const fact = factOf(id);
    if (fact === undefined) throw new Error(`${cause.id} speaks of a fact ${id}.`);
    const more = ratiosOf(fact, weights);
    const before = ratios.get(id);
    ratios.set(
      id,
      before === undefined
        ? more
        : Object.fromEntries(fact.values.map(({ id: v }) => [v, before[v]! + more[v]!])),
    );
  };
  for (const { fact, weights, of } of cause.evidence)
    if (of === undefined || of.some((one) => complaints.includes(one))) add(fact, weights);
  for (const { fact, says } of cause.tests) {
    const others = factOf(fact)?.values.filter(({ id }) => id !== says) ?? [];
    add(fact, {
      [says]: OUTCOME.for,
      ...Object.fromEntries(others.map(({ id }) => [id, OUTCOME.against])),
    });
  }
  return { cause, odds: oddsOf(shares), ratios };
}

/**
 * Weights are one bench's estimates, facts are sometimes wrong and often say the same twice: each counts for
 * less than it says. With all of it, what was said with 95 in 100 held in 76 to 95 of them in 2,000 cases,
 * depending on how wrong the tables are; with this, in 84 to 95 of 20,000 (docs/CLINIC.md).
 */
const CAUTION = 0.8;

/**
 * Evidence of one group together: no more than the strongest of it and a third, either way.
 * @returns decimal logarithm.
 */
export function together(weights: readonly number[]): number {
  const most = Math.max(0, ...weights.map(Math.abs)) * (4 / 3);
  const sum = weights.reduce((a, b) => a + b, 0);
  return CAUTION * Math.max(-most, Math.min(most, sum));
}

/** Causes that cannot both be at work at one place. */
const RIVALS: readonly (readonly string[])[] = [
  ['thick', 'thin'],
  ['sg-high', 'unstirred', 'gelled'],
  ['thirsty', 'tight-bisque'],
  ['hot', 'cold'],
  ['slow-cooling', 'fast-cooling'],
  ['misfit-high', 'misfit-low'],
  ['reduced-late', 'early-smoke', 'smoke-gas', 'smoked', 'reduced-core'],
  ['fluid', 'stiff'],
];

export const exclude = (a: string, b: string): boolean =>
  RIVALS.some((group) => group.includes(a) && group.includes(b));
