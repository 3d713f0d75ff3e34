/**
 * Facts that cannot both hold: one of them was read or said wrongly, and whoever stands there says which. The
 * reckoning takes both as they are meanwhile. Judgement.
 */
import { factOf } from './facts';

type Side = readonly [fact: string, ...values: string[]];

const PAIRS: readonly (readonly [Side, Side])[] = [
  [
    ['thickness', 'only-thick', 'worse-thick'],
    ['t-thin-thick', 'thick'],
  ],
  [
    ['thickness', 'only-thin'],
    ['t-thin-thick', 'thin'],
  ],
  [
    ['thickness', 'alike'],
    ['t-thin-thick', 'thin', 'thick'],
  ],
  [
    ['body', 'only'],
    ['t-two-bodies', 'no'],
  ],
  [
    ['body', 'every'],
    ['t-two-bodies', 'yes'],
  ],
  [
    ['body', 'only'],
    ['recipe', 'everywhere'],
  ],
  [
    ['stack', 'single'],
    ['order', 'one-order', 'both'],
  ],
  [
    ['stack', 'single'],
    ['where', 'overlap'],
  ],
  [
    ['stack', 'single'],
    ['t-order', 'yes'],
  ],
  [
    ['stack', 'alone'],
    ['t-order', 'yes'],
  ],
  [
    ['stack', 'together', 'together-thick'],
    ['t-order', 'no'],
  ],
  [
    ['stack', 'together', 'together-thick'],
    ['recipe', 'everywhere'],
  ],
  [
    ['air', 'oxidation'],
    ['reduction', 'late', 'early', 'end'],
  ],
  [
    ['generation', 'first'],
    ['refire-climb', 'fast', 'slow'],
  ],
  [
    ['raw-coat', 'whole'],
    ['first-seen', 'raw'],
  ],
  [
    ['red-body', 'yes'],
    ['ground', 'white'],
  ],
  [
    ['moved', 'still'],
    ['scar', 'run-line'],
  ],
  [
    ['bisque', 'slow'],
    ['t-slow-bisque', 'yes'],
  ],
  [
    ['fall', 'drop-hold'],
    ['t-drop-hold', 'yes'],
  ],
];

export type Contradiction = readonly [
  { fact: string; value: string; words: string },
  { fact: string; value: string; words: string },
];

const said = (facts: Readonly<Record<string, string>>, [fact, ...values]: Side) => {
  const value = facts[fact];
  if (value === undefined || !values.includes(value)) return null;
  const known = factOf(fact)!;
  return {
    fact,
    value,
    words: `${known.question} ${known.values.find(({ id }) => id === value)!.words}`,
  };
};

/** Which of the facts contradict each other. O(pairs). */
export const contradictionsIn = (facts: Readonly<Record<string, string>>): Contradiction[] =>
  PAIRS.flatMap(([a, b]): Contradiction[] => {
    const [one, other] = [said(facts, a), said(facts, b)];
    return one === null || other === null ? [] : [[one, other]];
  });

/** Every pair, for whoever checks that all of it is known. */
export const CONTRADICTIONS = PAIRS;
