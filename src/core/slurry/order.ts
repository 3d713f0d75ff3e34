import { potsBetween } from './order-exact';

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

export type MixOrder = {
  root: MixNode;
  weighings: number;
  /** No other order does with fewer weighings; otherwise it is only a good one. */
  fewest: boolean;
};

/** Up to so many different variants the fewest weighings are found exactly. */
const EXACT = 9;

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

const amount = (additions: Additions): number => Object.values(additions).reduce((sum, one) => sum + one, 0);

/**
 * What it takes to make pot i from pot j: how many weighings, or never. Of two pots alike the
 * later follows the earlier, never both each other; the plain base, 0, comes from nothing.
 */
function pricesOf(pots: readonly Additions[], names: readonly string[]): number[][] {
  const keys = pots.map((pot) => keyOf(pot, names));
  return pots.map((pot, i) =>
    pots.map((other, j) =>
      j === i || !within(other, pot, names) || (j > i && j !== 0 && keys[i] === keys[j])
        ? Infinity
        : differing(other, pot, names),
    ),
  );
}

/** The cheapest parent for each of the pots `among` (places in the list), the plain base first. */
function link(
  pots: readonly Additions[],
  prices: readonly (readonly number[])[],
  among: readonly number[],
): number[] {
  return among.map((i) => {
    if (i === 0) return -1;
    let best = 0;
    for (const j of among) {
      if (j === 0) continue;
      const [price, least] = [prices[i]![j]!, prices[i]![best]!];
      // Of equal prices the fuller pot: one line of adding and pouring off, in larger weighings.
      if (price < least || (price === least && price < Infinity && amount(pots[j]!) > amount(pots[best]!)))
        best = j;
    }
    return best;
  });
}

/** Which of the pots between are worth making: one after another, while they save weighings. */
function worthMaking(prices: readonly (readonly number[])[], own: number): number[] {
  const spare = prices.slice(own).map((_, i) => own + i);
  const cheapest = (i: number, among: readonly number[]): number =>
    i === 0 ? 0 : Math.min(prices[i]![0]!, ...among.map((j) => (j === 0 ? Infinity : prices[i]![j]!)));
  const first = prices.slice(0, own).map((_, i) => i);
  let least = first.reduce((sum, i) => sum + cheapest(i, first), 0);
  let picked: number[] = [];
  // What each pot costs so far; a pot more costs its own, and what it saves the others.
  let costs = new Map(first.map((i) => [i, cheapest(i, first)]));
  for (;;) {
    const here = [...costs.keys()];
    let better: { pot: number; cost: number } | null = null;
    for (const pot of spare) {
      if (costs.has(pot)) continue;
      let cost = cheapest(pot, here);
      for (const [i, now] of costs) cost += Math.min(now, i === 0 ? now : prices[i]![pot]!);
      if (better === null || cost < better.cost) better = { pot, cost };
    }
    if (better === null || better.cost >= least) return picked;
    const { pot } = better;
    picked = [...picked, pot];
    least = better.cost;
    costs = new Map([...costs].map(([i, now]) => [i, i === 0 ? now : Math.min(now, prices[i]![pot]!)]));
    costs.set(pot, cheapest(pot, here));
  }
}

/**
 * The order in which to mix variants of one base, when additions can be put in and never
 * taken out: a tree from the plain base in which every pot holds what its parent holds, and
 * nothing is thrown away. Pots that are no variant themselves are made where dividing later saves
 * weighings: exactly the fewest up to nine different variants (`fewest`), beyond that a good order.
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
  const different = new Map(variants.map((one) => [keyOf(one.additions, names), one.additions]));
  const fewest = different.size <= EXACT;
  const between = fewest ? exactly([...different.values()], names) : meets(variants, names);
  const pots = [...own, ...between];
  const prices = pricesOf(pots, names);
  const worth = fewest ? between.map((_, i) => own.length + i) : worthMaking(prices, own.length);
  const used = [...own.keys(), ...worth];
  const parents = new Map(link(pots, prices, used).map((parent, at) => [used[at]!, parent]));
  const weighings = [...parents].reduce((sum, [i, j]) => sum + (j < 0 ? 0 : prices[i]![j]!), 0);
  const grow = (i: number): MixNode => {
    const children = used.flatMap((j) => (parents.get(j) === i ? [grow(j)] : []));
    const variant = i > 0 && i <= variants.length ? (variants[i - 1] as Variant) : null;
    const baseGrams = (variant?.baseGrams ?? 0) + children.reduce((sum, child) => sum + child.baseGrams, 0);
    const additions = pots[i] as Additions;
    const before = i === 0 ? {} : (pots[parents.get(i) as number] as Additions);
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
  return { root: grow(0), weighings, fewest };
}

/**
 * The pots between that make the weighings fewest; one that is a variant or the plain base already is none.
 */
function exactly(variants: readonly Additions[], names: readonly string[]): Additions[] {
  const known = new Set([{}, ...variants].map((one) => keyOf(one, names)));
  return potsBetween(variants.map((one) => names.map((name) => of(one, name)))).flatMap((pot) => {
    const additions = Object.fromEntries(
      names.flatMap((name, i) => (pot[i]! > EPS ? [[name, pot[i]!]] : [])),
    );
    const key = keyOf(additions, names);
    if (known.has(key)) return [];
    known.add(key);
    return [additions];
  });
}
