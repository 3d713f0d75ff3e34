/**
 * A second world for the clinic: cases drawn from probabilities that are not its own. Every base rate,
 * strength and likelihood is drawn afresh within a factor; facts are missing, some are wrong, and some come
 * in copies of one another.
 */
import {
  CAUSES,
  COMPLAINTS,
  diagnose,
  EFFORT,
  factOf,
  type Case,
  type Cause,
  type Fact,
} from '../../src/core/diagnosis';
import { LEAK, weigh, groupOf, type Weighed } from '../../src/core/diagnosis/model';

export type World = {
  name: string;
  /** Every probability is off by up to this factor, either way. */
  jitter: number;
  /** Share of facts that are known, and of those that are wrong. */
  known: number;
  wrong: number;
  /** How often it is something that is not on the list. */
  unlisted: number;
  /** Do facts of one group follow one another, as when one look gives them all? */
  copies: boolean;
};

export const WORLDS: readonly World[] = [
  { name: 'off by up to two', jitter: 2, known: 0.35, wrong: 0.05, unlisted: 1, copies: false },
  {
    name: 'off by up to four, a sixth wrong',
    jitter: 4,
    known: 0.35,
    wrong: 0.16,
    unlisted: 1,
    copies: false,
  },
  { name: 'facts that follow one another', jitter: 2, known: 0.6, wrong: 0.05, unlisted: 1, copies: true },
  {
    name: 'three times as much that is not on the list',
    jitter: 2,
    known: 0.35,
    wrong: 0.05,
    unlisted: 3,
    copies: false,
  },
];

export type Drawn = { of: Case; truth: ReadonlySet<string> };
type Random = () => number;

const between = (random: Random, factor: number): number => factor ** (2 * random() - 1);

function pick<T>(random: Random, list: readonly T[], weight: (one: T) => number): T {
  const all = list.reduce((sum, one) => sum + weight(one), 0);
  let at = random() * all;
  for (const one of list) if ((at -= weight(one)) <= 0) return one;
  return list.at(-1)!;
}

/** Draws cases of one complaint from a world whose probabilities are drawn for this batch. */
function batch(world: World, complaint: string, count: number, random: Random): Drawn[] {
  const weighed = CAUSES.filter(({ shares }) => (shares[complaint] ?? 0) > 0).map((cause) =>
    weigh(cause, [complaint]),
  );
  const base = new Map(
    weighed.map(({ cause, odds }) => [cause.id, odds.base * between(random, world.jitter)]),
  );
  const strength = new Map(
    weighed.map(({ cause, odds }) => [
      cause.id,
      Math.min(0.95, odds.strength[complaint]! * between(random, world.jitter)),
    ]),
  );
  const facts = [...new Set(weighed.flatMap(({ ratios }) => [...ratios.keys()]))].map((id) => factOf(id)!);
  // Tests are seldom made before somebody asks why.
  const asked = facts.filter((fact) => EFFORT[fact.asked] < 8 || random() < 0.15);
  const jittered = new Map(
    asked.map((fact) => [fact.id, fact.values.map(() => between(random, world.jitter))]),
  );
  const own = new Map(
    weighed.map(({ cause }) => [
      cause.id,
      new Map(asked.map((fact) => [fact.id, fact.values.map(() => between(random, world.jitter))])),
    ]),
  );
  const leak = LEAK * world.unlisted;
  return Array.from({ length: count }, () => {
    const main = pick<Weighed | null>(random, [...weighed, null], (one) =>
      one === null ? leak : base.get(one.cause.id)! * strength.get(one.cause.id)!,
    );
    const active = weighed.filter((one) => one === main || random() < base.get(one.cause.id)!);
    return {
      of: {
        findings: [{ sign: complaint }],
        facts: told(world, active, asked, jittered, own, random),
      },
      truth: new Set(active.map(({ cause }) => cause.id)),
    };
  });
}

type Jitters = ReadonlyMap<string, readonly number[]>;

/** What is known of such a case. */
function told(
  world: World,
  active: readonly Weighed[],
  asked: readonly Fact[],
  jittered: Jitters,
  own: ReadonlyMap<string, Jitters>,
  random: Random,
): Record<string, string> {
  const facts: Record<string, string> = {};
  const turn = new Map<string, number>();
  for (const fact of asked) {
    if (random() > world.known) continue;
    if (random() < world.wrong) {
      facts[fact.id] = fact.values[Math.floor(random() * fact.values.length)]!.id;
      continue;
    }
    const needed = active.flatMap(({ cause }: { cause: Cause }) => cause.needs[fact.id] ?? []);
    const values = fact.values
      .filter(({ id }) => needed.length === 0 || needed.includes(id))
      .map(({ id, usual }) => {
        const at = fact.values.findIndex((one) => one.id === id);
        const factor = active.reduce(
          (all, { cause, ratios }) =>
            all * 10 ** (ratios.get(fact.id)?.[id] ?? 0) * own.get(cause.id)!.get(fact.id)![at]!,
          jittered.get(fact.id)![at]!,
        );
        return { id, weight: usual * factor };
      });
    const group = groupOf(fact.id);
    const place = world.copies ? (turn.get(group) ?? random()) : random();
    turn.set(group, place);
    // Values from what speaks most for what is at work to what speaks least: one look decides for all of a
    // group.
    const ordered = [...values].sort((a, b) => speaks(active, fact, b.id) - speaks(active, fact, a.id));
    const all = ordered.reduce((sum, { weight }) => sum + weight, 0);
    let at = place * all;
    facts[fact.id] = (ordered.find(({ weight }) => (at -= weight) <= 0) ?? ordered.at(-1)!).id;
  }
  return facts;
}

const speaks = (active: readonly Weighed[], fact: Fact, value: string): number =>
  active.reduce((sum, { ratios }) => sum + (ratios.get(fact.id)?.[value] ?? 0), 0);

/** Draws many cases, over all complaints. */
export function drawCases(world: World, count: number, random: Random): Drawn[] {
  const each = 20;
  return Array.from({ length: Math.ceil(count / each) }, () => {
    const complaint = COMPLAINTS[Math.floor(random() * COMPLAINTS.length)]!.id;
    return batch(world, complaint, each, random);
  }).flat();
}

/**
 * One cause at a time, every fact by itself: what is done where nobody thinks of groups or of two at once.
 */
function naive({ findings, facts }: Case): Map<string, number> {
  const [sign] = findings.map((one) => one.sign);
  const weighed = CAUSES.filter(({ shares }) => (shares[sign!] ?? 0) > 0).map((one) => weigh(one, [sign!]));
  const weights = weighed.map(({ cause, ratios }) => {
    const evidence = Object.entries(facts).reduce((sum, [fact, v]) => sum + (ratios.get(fact)?.[v] ?? 0), 0);
    return [cause.id, cause.shares[sign!]! * 10 ** evidence] as const;
  });
  const all = weights.reduce((sum, [, weight]) => sum + weight, 8);
  return new Map(weights.map(([id, weight]) => [id, weight / all]));
}

export type Calibration = {
  world: string;
  cases: number;
  /** In ten bins: how many statements, what they said, how often it was so. */
  bins: { count: number; said: number; true: number }[];
  brier: { ours: number; prior: number; naive: number };
  /** How often the first named was at work, and one of the first three. */
  first: number;
  three: number;
};

/** Holds stated probabilities against what was at work. */
export function calibrate(world: World, drawn: readonly Drawn[]): Calibration {
  const bins = Array.from({ length: 10 }, () => ({ count: 0, said: 0, true: 0 }));
  const brier = { ours: 0, prior: 0, naive: 0 };
  let [said, first, three] = [0, 0, 0];
  for (const { of, truth } of drawn) {
    const found = diagnose(of);
    const prior = new Map(diagnose({ ...of, facts: {} }).causes.map((one) => [one.id, one.probability]));
    const simple = naive(of);
    found.causes.forEach(({ id, probability }, rank) => {
      const is = truth.has(id) ? 1 : 0;
      const bin = bins[Math.min(9, Math.floor(probability * 10))]!;
      bin.count++;
      bin.said += probability;
      bin.true += is;
      said++;
      brier.ours += (probability - is) ** 2;
      brier.prior += (prior.get(id)! - is) ** 2;
      brier.naive += (simple.get(id)! - is) ** 2;
      if (rank === 0) first += is;
    });
    if (found.causes.slice(0, 3).some(({ id }) => truth.has(id))) three++;
  }
  return {
    world: world.name,
    cases: drawn.length,
    bins: bins.map((bin) => ({
      count: bin.count,
      said: bin.count && bin.said / bin.count,
      true: bin.count && bin.true / bin.count,
    })),
    brier: { ours: brier.ours / said, prior: brier.prior / said, naive: brier.naive / said },
    first: first / drawn.length,
    three: three / drawn.length,
  };
}
