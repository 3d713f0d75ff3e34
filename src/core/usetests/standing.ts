/** What the tests of a piece say now. */
import { count } from '../units';
import { outcomeOfTest, testKind } from './kinds';

export type UseRecord = {
  id: string;
  kind: string;
  outcome: string;
  /** How many cycles or rounds, where it is counted. */
  rounds: number | null;
  dryG: number | null;
  wetG: number | null;
  /** ISO day. */
  doneOn: string;
};

/**
 * Water that the body takes up, % of its dry weight.
 * @throws RangeError where it weighs nothing, or less soaked than dry.
 * Source: ASTM C373.
 */
export function absorptionOf(dryG: number, wetG: number): number {
  if (!(dryG > 0) || wetG < dryG) throw new RangeError(`${wetG} g soaked and ${dryG} g dry.`);
  return (100 * (wetG - dryG)) / dryG;
}

const newestFirst = <T extends UseRecord>(records: readonly T[]): T[] =>
  [...records].sort((a, b) =>
    a.doneOn === b.doneOn ? (a.id < b.id ? 1 : -1) : a.doneOn < b.doneOn ? 1 : -1,
  );

/** The newest of each kind, newest first. */
export function latestOf<T extends UseRecord>(records: readonly T[]): T[] {
  const seen = new Set<string>();
  return newestFirst(records).filter(({ kind }) => !seen.has(kind) && seen.add(kind) !== undefined);
}

/** What it must not be used for: a test that failed once is not healed by one that was passed later. */
export function failures(records: readonly UseRecord[]): { kind: string; words: string }[] {
  const bad = newestFirst(records).flatMap(({ kind, outcome }) => {
    const found = outcomeOfTest(kind, outcome);
    return found?.bad === undefined
      ? []
      : [{ kind, words: `${testKind(kind)!.name}: ${found.words}. ${found.bad}` }];
  });
  return bad.filter(({ words }, i) => bad.findIndex((one) => one.words === words) === i);
}

/** What the newest tests answer of a fault, with their words. */
export const toldByTests = (
  records: readonly UseRecord[],
): { fact: string; value: string; words: string }[] =>
  latestOf(records).flatMap((one) => {
    const tells = outcomeOfTest(one.kind, one.outcome)?.tells;
    const words = `${testKind(one.kind)?.name ?? one.kind}: ${resultWords(one)}`;
    return tells === undefined ? [] : [{ fact: tells[0], value: tells[1], words }];
  });

/** Absorption as it was last weighed on the piece, %; null where it never was. */
export function weighedAbsorption(records: readonly UseRecord[]): number | null {
  const { dryG = null, wetG = null } = latestOf(records).find(({ kind }) => kind === 'absorption') ?? {};
  return dryG === null || wetG === null ? null : absorptionOf(dryG, wetG);
}

/** What of a test was found, in words: its outcome, how often, what was weighed. */
export function resultWords({ kind, outcome, rounds, dryG, wetG }: UseRecord): string {
  const test = testKind(kind);
  const words = outcomeOfTest(kind, outcome)?.words ?? outcome;
  if (dryG !== null && wetG !== null)
    return `${absorptionOf(dryG, wetG).toFixed(1)} % (${dryG} g dry, ${wetG} g soaked)`;
  return rounds === null ? words : `${words} after ${count(rounds, test?.counted ?? 'round')}`;
}
