/** Additions in percent of the base, by material. */
export type Additions = Record<string, number>;
export type Variant = { name: string; baseGrams: number; additions: Additions };

/** A pot of slurry on the way: what it holds, what is poured off from it, and what goes in next. */
export type MixNode = {
  /** The variant this pot is, or null for a pot that is only divided further. */
  variant: string | null;
  additions: Additions;
  /** Base in this pot when it is made, its own variant's and all that is poured off from it. */
  baseGrams: number;
  /** What is weighed into it, after it was poured off its parent. */
  weigh: { name: string; grams: number }[];
  children: MixNode[];
};

export type MixOrder = { root: MixNode; weighings: number };

const EPS = 1e-9;
const materials = (variants: readonly { additions: Additions }[]): string[] =>
  [...new Set(variants.flatMap((one) => Object.keys(one.additions)))].sort();
const of = (additions: Additions, name: string): number => additions[name] ?? 0;

/** Does b hold at least all of a? */
const within = (a: Additions, b: Additions, names: readonly string[]): boolean =>
  names.every((name) => of(a, name) <= of(b, name) + EPS);
const differing = (a: Additions, b: Additions, names: readonly string[]): number =>
  names.filter((name) => of(b, name) - of(a, name) > EPS).length;
const keyOf = (additions: Additions, names: readonly string[]): string =>
  names.map((name) => of(additions, name).toFixed(6)).join('/');

/** Pots that could stand between: what two or more variants have in common. */
function meets(variants: readonly Variant[], names: readonly string[]): Additions[] {
  const found = new Map<string, Additions>();
  let fresh: Additions[] = variants.map((one) => one.additions);
  const known = new Set(fresh.map((one) => keyOf(one, names)));
  known.add(keyOf({}, names));
  while (fresh.length > 0 && found.size < 200) {
    const next: Additions[] = [];
    const all = [...variants.map((one) => one.additions), ...found.values()];
    for (const a of fresh) {
      for (const b of all) {
        const meet = Object.fromEntries(
          names
            .map((name) => [name, Math.min(of(a, name), of(b, name))] as const)
            .filter(([, value]) => value > EPS),
        );
        const key = keyOf(meet, names);
        if (known.has(key)) continue;
        known.add(key);
        found.set(key, meet);
        next.push(meet);
      }
    }
    fresh = next;
  }
  return [...found.values()];
}

const amount = (additions: Additions): number =>
  Object.values(additions).reduce((sum, one) => sum + one, 0);

type Chosen = { parents: number[]; cost: number };

/** The cheapest parent for each pot among those that hold nothing more than it. */
function link(pots: readonly Additions[], names: readonly string[]): Chosen {
  let cost = 0;
  const parents = pots.map((pot, i) => {
    if (i === 0) return -1;
    let best = 0;
    let least = differing(pots[0] as Additions, pot, names);
    pots.forEach((other, j) => {
      if (j === i || j === 0 || !within(other, pot, names)) return;
      // Two pots alike: the later follows the earlier, never both each other.
      if (keyOf(other, names) === keyOf(pot, names) && j > i) return;
      const price = differing(other, pot, names);
      // Of equal prices the fuller pot: one line of adding and pouring off, in larger weighings.
      if (price < least || (price === least && amount(other) > amount(pots[best] as Additions)))
        [best, least] = [j, price];
    });
    cost += least;
    return best;
  });
  return { parents, cost };
}

/**
 * The order in which to mix variants of one base, when additions can be put in and never
 * taken out: a tree from the plain base in which every pot holds what its parent holds,
 * with as few separate weighings as there can be and nothing thrown away. Pots that are no
 * variant themselves are made where dividing later saves weighings. Up to twelve such pots
 * are tried in every combination; beyond that, one after another while they help.
 * Throws a RangeError on an addition below 0 or a variant without base.
 */
export function orderOfAdditions(variants: readonly Variant[]): MixOrder {
  for (const { name, baseGrams, additions } of variants) {
    if (!(baseGrams > 0)) throw new RangeError(`${name}: give the base an amount above 0 g.`);
    for (const [material, percent] of Object.entries(additions))
      if (!(percent >= 0)) throw new RangeError(`${name}: ${material} cannot be below 0 %.`);
  }
  const names = materials(variants);
  const own = [{} as Additions, ...variants.map((one) => one.additions)];
  const spare = meets(variants, names);
  const price = (picked: readonly Additions[]): number => link([...own, ...picked], names).cost;
  let picked: Additions[] = [];
  let least = price([]);
  if (spare.length <= 12) {
    for (let mask = 1; mask < 1 << spare.length; mask++) {
      const some = spare.filter((_, i) => mask & (1 << i));
      const cost = price(some);
      if (cost < least) [picked, least] = [some, cost];
    }
  } else {
    for (;;) {
      const better = spare
        .filter((one) => !picked.includes(one))
        .map((one) => ({ one, cost: price([...picked, one]) }))
        .sort((a, b) => a.cost - b.cost)[0];
      if (better === undefined || better.cost >= least) break;
      picked = [...picked, better.one];
      least = better.cost;
    }
  }
  const pots = [...own, ...picked];
  const { parents } = link(pots, names);
  const grow = (i: number): MixNode => {
    const children = pots.flatMap((_, j) => (parents[j] === i ? [grow(j)] : []));
    const variant = i > 0 && i <= variants.length ? (variants[i - 1] as Variant) : null;
    const baseGrams =
      (variant?.baseGrams ?? 0) + children.reduce((sum, child) => sum + child.baseGrams, 0);
    const additions = pots[i] as Additions;
    const before = i === 0 ? {} : (pots[parents[i] as number] as Additions);
    return {
      variant: variant?.name ?? null,
      additions,
      baseGrams,
      weigh: names.flatMap((name) => {
        const more = of(additions, name) - of(before, name);
        return more > EPS ? [{ name, grams: (baseGrams * more) / 100 }] : [];
      }),
      children,
    };
  };
  return { root: grow(0), weighings: least };
}
