/**
 * The tree of pots with the fewest weighings, exactly. A pot that is only divided further holds what
 * all that comes of it has in common: a weighing put off until later is never fewer. So the pots are
 * the meets of sets of variants, and the best tree is found set by set, each divided in the best way
 * (dynamic programming over subsets after Dreyfus & Wagner, Networks 1 (1971) 195; the proof that meets
 * suffice is our own). Time grows as 4 to the power of the variants.
 */

/** What each variant holds, by material, as numbers in the same order. */
type Pot = readonly number[];

const EPS = 1e-9;

const meetOf = (a: Pot, b: Pot): Pot => a.map((one, i) => Math.min(one, b[i]!));
const steps = (from: Pot, to: Pot): number =>
  to.reduce((sum, one, i) => sum + (one - from[i]! > EPS ? 1 : 0), 0);

/** How the tree goes on at a pot: a set of variants made there as one, or divided in two. */
type Way = { cost: number; split: number };

/**
 * The pots between the plain base and these variants, each other than the rest, that make the
 * weighings fewest.
 */
export function potsBetween(variants: readonly Pot[]): Pot[] {
  const sets = 1 << variants.length;
  if (variants.length === 0) return [];
  const meets: Pot[] = new Array<Pot>(sets);
  for (let set = 1; set < sets; set++) {
    const first = Math.log2(set & -set);
    const rest = set & (set - 1);
    meets[set] = rest === 0 ? variants[first]! : meetOf(variants[first]!, meets[rest]!);
  }
  /** Weighings beneath the pot that holds what a set has in common, and how it divides it. */
  const own: Map<number, Way>[] = new Array<Map<number, Way>>(sets);
  const beneath = (set: number): number => own[set]!.get(set)!.cost;

  /** The ways down from a pot to every part of a set; the whole set itself only by dividing it. */
  const waysFrom = (pot: Pot, whole: number, mayJoin: boolean): Map<number, Way> => {
    const ways = new Map<number, Way>();
    for (let set = 1; set <= whole; set++) {
      if ((set & whole) !== set) continue;
      const joined = set === whole && !mayJoin ? Infinity : steps(pot, meets[set]!) + beneath(set);
      let best: Way = { cost: joined, split: 0 };
      const low = set & -set;
      // One half keeps the lowest variant, so that each division is tried once.
      for (let part = (set - 1) & set; part > 0; part = (part - 1) & set) {
        if ((part & low) === 0) continue;
        const cost = ways.get(part)!.cost + ways.get(set ^ part)!.cost;
        if (cost < best.cost) best = { cost, split: part };
      }
      ways.set(set, best);
    }
    return ways;
  };

  for (let set = 1; set < sets; set++)
    own[set] =
      (set & (set - 1)) === 0 ? new Map([[set, { cost: 0, split: 0 }]]) : waysFrom(meets[set]!, set, false);
  const plain = variants[0]!.map(() => 0);
  const pots: Pot[] = [];
  const follow = (ways: Map<number, Way>, set: number): void => {
    const { split } = ways.get(set)!;
    if (split !== 0) {
      follow(ways, split);
      follow(ways, set ^ split);
    } else if ((set & (set - 1)) !== 0) {
      pots.push(meets[set]!);
      follow(own[set]!, set);
    }
  };
  const all = sets - 1;
  follow(waysFrom(plain, all, true), all);
  return pots;
}
