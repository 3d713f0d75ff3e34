/** A fact of a case: a named thing that is one of a few, or not known. */
export type Value = {
  id: string;
  words: string;
  /**
   * In what share of cases of a complaint it is found, whatever the cause. Judgement, within a factor of two.
   */
  usual: number;
};

/** How one comes to know it, dearer from left to right. */
export type Asked = 'record' | 'look' | 'ask' | 'lens' | 'break' | 'test';

/**
 * What it costs to find out, in looks. What records answer is read already: what they did not answer is asked
 * of people.
 */
export const EFFORT: Readonly<Record<Asked, number>> = {
  record: 1,
  look: 1,
  ask: 1,
  lens: 1.5,
  break: 4,
  test: 8,
};

export type Fact = {
  id: string;
  /** As it is asked of a person. */
  question: string;
  asked: Asked;
  values: readonly Value[];
  /** Where it may be given as a number: its unit, and the upper bounds of all values but the last. */
  number?: { unit: string; bounds: readonly number[] };
};

type Said = Record<string, readonly [usual: number, words: string]>;

/** A fact; shares are made to add up to one. */
export function fact(
  id: string,
  question: string,
  asked: Asked,
  values: Said,
  number?: Fact['number'],
): Fact {
  const all = Object.values(values).reduce((sum, [usual]) => sum + usual, 0);
  return {
    id,
    question,
    asked,
    values: Object.entries(values).map(([value, [usual, words]]) => ({
      id: value,
      words,
      usual: usual / all,
    })),
    ...(number ? { number } : {}),
  };
}
