import { diagnose, factOf, hereOf, type Diagnosis, type Told } from '@/core/diagnosis';
import type { CaseView, Said } from './queries';

export type KnownFact = {
  fact: string;
  question: string;
  value: string | null;
  words: string;
  /** Where it is from: what the records say, or who said it. */
  from: string;
  /** What the records say where somebody says otherwise. */
  otherwise: string | null;
  /** Where the record of it stands. */
  href: string | null;
};

export type KnownFacts = {
  facts: Record<string, string>;
  list: KnownFact[];
  /** A fact in words, as evidence is told: as the records say it, or as it was asked and answered. */
  tell: (fact: string) => { words: string; href: string | null };
};

const wordsOf = (fact: string, value: string | null): string =>
  factOf(fact)?.values.find(({ id }) => id === value)?.words ?? 'nobody knows';

/**
 * What stands: what somebody said, else what the records say. What a person says comes before what was
 * reckoned.
 */
export function factsOf(told: readonly Told[], said: readonly Said[]): KnownFacts {
  const record = new Map(told.map((one) => [one.fact, one]));
  const people = new Map(said.map((one) => [one.fact, one]));
  const list = [...new Set([...people.keys(), ...record.keys()])].map((fact): KnownFact => {
    const [own, theirs] = [record.get(fact), people.get(fact)];
    const question = factOf(fact)?.question ?? fact;
    // That nobody knows leaves what the records say.
    if (theirs === undefined || (theirs.value === null && own !== undefined))
      return {
        fact,
        question,
        value: own!.value,
        words: wordsOf(fact, own!.value),
        from: own!.words,
        otherwise: null,
        href: own!.href ?? null,
      };
    return {
      fact,
      question,
      value: theirs.value,
      words: wordsOf(fact, theirs.value),
      from: theirs.by,
      otherwise:
        own !== undefined && own.value !== theirs.value ? `${wordsOf(fact, own.value)} (${own.words})` : null,
      href: own?.href ?? null,
    };
  });
  const facts = Object.fromEntries(
    list.flatMap(({ fact, value }) => (value === null ? [] : [[fact, value]])),
  );
  const tell: KnownFacts['tell'] = (fact) => {
    const known = list.find((one) => one.fact === fact);
    if (known === undefined) return { words: fact, href: null };
    // What a person said is on no record.
    return people.get(fact)?.value == null
      ? { words: known.from, href: known.href }
      : { words: `${known.question} ${known.words}`, href: null };
  };
  return { facts, list, tell };
}

/** What a case comes to: by what is known of it, and by what this studio has found and says. */
export const reckoned = (
  { confirmed, disagreed }: Pick<CaseView, 'confirmed' | 'disagreed'>,
  complaints: readonly string[],
  facts: KnownFacts['facts'],
): Diagnosis =>
  diagnose({ findings: complaints.map((sign) => ({ sign })), facts }, hereOf(confirmed, disagreed));
