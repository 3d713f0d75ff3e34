/** From a case to causes in order, what to ask next, and which test would tell most. */
import type { Case } from './case';
import type { Cause } from './cause-types';
import { complaintOf } from './complaints';
import { factOf } from './facts';
import { EFFORT, type Fact } from './fact-types';
import { CAUSES } from './knowledge';
import { exclude, groupOf, LEAK, together, weigh, type Weighed } from './model';

/** What a studio says of a cause: not here, or other shares. */
export type Here = Readonly<Record<string, { off?: boolean; shares?: Cause['shares'] }>>;

export type Spoken = {
  fact: string;
  value: string;
  words: string;
  /** Decimal logarithm, as it counted: its part of what its group was let count. */
  weight: number;
};

export type Ranked = {
  id: string;
  name: string;
  probability: number;
  for: Spoken[];
  against: Spoken[];
  /** The fact that rules it out. */
  ruledOut: string | null;
};

export type Asking = {
  fact: string;
  question: string;
  /** How much is expected to be learned. */
  bits: number;
  /** In looks. */
  effort: number;
};

export type Diagnosis = {
  causes: Ranked[];
  /** That it is nothing on the list. */
  other: number;
  /** What to find out next, the most for its trouble first; none when nothing more can separate them. */
  ask: Asking[];
  tests: Asking[];
  /** What can hurt, first. */
  cautions: string[];
};

/** A way in which the complaints may have come about: nothing on the list, one cause, or two. */
type Explanation = { causes: readonly number[]; weight: number };

type Sheet = {
  weighed: readonly Weighed[];
  facts: Readonly<Record<string, string>>;
  complaints: readonly string[];
  /** For each cause: its evidence by group. */
  groups: readonly ReadonlyMap<string, number[]>[];
  ruledOut: readonly (string | null)[];
};

const log = (weighed: Weighed, fact: string, value: string): number | undefined =>
  weighed.ratios.get(fact)?.[value];

const ruledOutBy = ({ cause }: Weighed, facts: Case['facts']): string | null =>
  Object.entries(cause.needs).find(
    ([fact, values]) => facts[fact] !== undefined && !values.includes(facts[fact]!),
  )?.[0] ?? null;

function layOut({ findings, facts }: Case, here: Here): Sheet {
  const complaints = findings.filter(({ wanted }) => wanted !== true).map(({ sign }) => sign);
  const weighed = CAUSES.filter(
    ({ id, shares }) =>
      here[id]?.off !== true && complaints.some((one) => ((here[id]?.shares ?? shares)[one] ?? 0) > 0),
  ).map((cause) => weigh(cause, complaints, here[cause.id]?.shares));
  const groups = weighed.map((one) => {
    const found = new Map<string, number[]>();
    for (const [fact, value] of Object.entries(facts)) {
      const weight = log(one, fact, value);
      if (weight === undefined) continue;
      const group = groupOf(fact);
      found.set(group, [...(found.get(group) ?? []), weight]);
    }
    return found;
  });
  return {
    weighed,
    facts,
    complaints,
    groups,
    ruledOut: weighed.map((one) => ruledOutBy(one, facts)),
  };
}

/** Every explanation by at most two causes, weighed; the first is that nothing on the list did it. */
function explain(sheet: Sheet): Explanation[] {
  const { weighed, complaints } = sheet;
  const odds = weighed.map(({ odds: { base } }, i) => {
    if (sheet.ruledOut[i] !== null) return 0;
    const evidence = [...sheet.groups[i]!.values()].reduce((sum, one) => sum + together(one), 0);
    return (base / (1 - base)) * 10 ** evidence;
  });
  const missed = weighed.map(({ odds: { strength } }) => complaints.map((one) => 1 - (strength[one] ?? 0)));
  const shown = (causes: readonly number[]): number =>
    complaints.reduce((all, _, s) => all * (1 - causes.reduce((no, i) => no * missed[i]![s]!, 1 - LEAK)), 1);
  const all: Explanation[] = [{ causes: [], weight: shown([]) }];
  for (let i = 0; i < weighed.length; i++) {
    if (odds[i] === 0) continue;
    all.push({ causes: [i], weight: odds[i]! * shown([i]) });
    for (let j = i + 1; j < weighed.length; j++) {
      if (odds[j] === 0 || exclude(weighed[i]!.cause.id, weighed[j]!.cause.id)) continue;
      all.push({ causes: [i, j], weight: odds[i]! * odds[j]! * shown([i, j]) });
    }
  }
  return all;
}

const sum = (all: readonly { weight: number }[]): number =>
  all.reduce((total, { weight }) => total + weight, 0);

/** Uncertainty about which explanation holds, in bits. */
function entropy(weights: Iterable<number>, total: number): number {
  let bits = 0;
  for (const weight of weights) if (weight > 0) bits -= (weight / total) * Math.log2(weight / total);
  return bits;
}

/**
 * By how much a further fact would change the evidence of a cause, its group considered; -Infinity rules it
 * out.
 */
function change(sheet: Sheet, i: number, fact: string, value: string): number {
  const one = sheet.weighed[i]!;
  const needed = one.cause.needs[fact];
  if (needed !== undefined && !needed.includes(value)) return -Infinity;
  const weight = log(one, fact, value);
  if (weight === undefined) return 0;
  const before = sheet.groups[i]!.get(groupOf(fact)) ?? [];
  return together([...before, weight]) - together(before);
}

/** What a fact is expected to tell of which explanation holds, in bits. */
export function expectedBits(explanations: readonly Explanation[], sheet: Sheet, fact: Fact): number {
  const total = sum(explanations);
  let [left, known] = [0, 0];
  for (const { id, usual } of fact.values) {
    const factors = sheet.weighed.map((_, i) => 10 ** change(sheet, i, fact.id, id));
    const weights = explanations.map(({ causes, weight }) =>
      causes.reduce((all, i) => all * factors[i]!, weight),
    );
    const all = weights.reduce((a, b) => a + b, 0);
    const share = (usual * all) / total;
    known += share;
    if (all > 0) left += share * entropy(weights, all);
  }
  // Capped groups make the shares not quite add up.
  return Math.max(
    0,
    entropy(
      explanations.map(({ weight }) => weight),
      total,
    ) -
      left / known,
  );
}

/** What is left to find out: facts that are not known and that some cause on the sheet cares about. */
function open(sheet: Sheet): Fact[] {
  const cared = new Set(
    sheet.weighed.flatMap((one, i) =>
      sheet.ruledOut[i] === null ? [...one.ratios.keys(), ...Object.keys(one.cause.needs)] : [],
    ),
  );
  return [...cared].filter((id) => sheet.facts[id] === undefined).map((id) => factOf(id)!);
}

/** A cause leads clearly from here on; what tells less than that is not worth a look. */
const CLEAR = 0.85;
const LEAST_BITS = 0.04;

function spoken(sheet: Sheet, i: number): { for: Spoken[]; against: Spoken[] } {
  const one = sheet.weighed[i]!;
  const said = Object.entries(sheet.facts).flatMap(([fact, value]): Spoken[] => {
    const weight = log(one, fact, value);
    if (weight === undefined || Math.abs(weight) < 0.05) return [];
    const group = sheet.groups[i]!.get(groupOf(fact))!;
    const whole = group.reduce((a, b) => a + b, 0);
    // Where a group counted for less, each of it did.
    const counted = whole === 0 ? weight : (weight * together(group)) / whole;
    const words = factOf(fact)!.values.find(({ id }) => id === value)!.words;
    return [{ fact, value, words, weight: counted }];
  });
  const order = (a: Spoken, b: Spoken): number => Math.abs(b.weight) - Math.abs(a.weight);
  return {
    for: said.filter(({ weight }) => weight > 0).sort(order),
    against: said.filter(({ weight }) => weight < 0).sort(order),
  };
}

/**
 * Ranks the causes of a case.
 * @param of the case, read and checked; findings that were wanted are no complaint.
 * @param here what this studio says of causes.
 * @returns causes with probabilities below 1, each with what spoke for and against it. Rivals never sum above
 * 1. Source: noisy-or with a leak, J. Pearl, Probabilistic Reasoning in Intelligent Systems (1988), ch. 4;
 * explained by at most two causes. Expected information: D. V. Lindley, Ann. Math. Statist. 27 (1956) 986.
 */
export function diagnose(of: Case, here: Here = {}): Diagnosis {
  const sheet = layOut(of, here);
  const cautions = [...new Set(of.findings.flatMap(({ sign }) => complaintOf(sign)?.caution ?? []))];
  if (sheet.complaints.length === 0) return { causes: [], other: 1, ask: [], tests: [], cautions };
  const explanations = explain(sheet);
  const total = sum(explanations);
  const share = sheet.weighed.map(() => 0);
  for (const { causes, weight } of explanations) for (const i of causes) share[i]! += weight / total;
  const causes = sheet.weighed
    .map(({ cause }, i): Ranked => ({
      id: cause.id,
      name: cause.name,
      probability: share[i]!,
      ...spoken(sheet, i),
      ruledOut: sheet.ruledOut[i]!,
    }))
    .sort((a, b) => b.probability - a.probability || (a.id < b.id ? -1 : 1));
  const clear = (causes[0]?.probability ?? 0) > CLEAR;
  const worth = clear
    ? []
    : open(sheet)
        .map((fact) => ({
          fact: fact.id,
          question: fact.question,
          bits: expectedBits(explanations, sheet, fact),
          effort: EFFORT[fact.asked],
          test: fact.asked === 'test',
        }))
        .filter(({ bits }) => bits >= LEAST_BITS)
        .sort((a, b) => b.bits / b.effort - a.bits / a.effort || (a.fact < b.fact ? -1 : 1));
  const asking = (test: boolean): Asking[] =>
    worth
      .filter((one) => one.test === test)
      .map(({ fact, question, bits, effort }) => ({ fact, question, bits, effort }));
  for (const { id, probability } of causes) {
    const caution = CAUSES.find((one) => one.id === id)?.caution;
    if (caution !== undefined && probability > 0.2 && !cautions.includes(caution)) cautions.push(caution);
  }
  return {
    causes,
    other: explanations[0]!.weight / total,
    ask: asking(false),
    tests: asking(true),
    cautions,
  };
}

/** The explanations of a case with their shares: for whoever wants to follow the sums by hand. */
export function explanationsOf(of: Case, here: Here = {}): { causes: string[]; share: number }[] {
  const sheet = layOut(of, here);
  const all = explain(sheet);
  const total = sum(all);
  return all.map(({ causes, weight }) => ({
    causes: causes.map((i) => sheet.weighed[i]!.cause.id),
    share: weight / total,
  }));
}
