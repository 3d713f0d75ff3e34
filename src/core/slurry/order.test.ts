import fc from 'fast-check';
import { orderOfAdditions, type Additions, type MixNode, type Variant } from './order';

const variant = (name: string, additions: Additions, baseGrams = 100): Variant => ({
  name,
  baseGrams,
  additions,
});

/** What every pot holds in the end, by following the order as a person would. */
function followed(root: MixNode): Map<string, { base: number; grams: Record<string, number> }> {
  const pots = new Map<string, { base: number; grams: Record<string, number> }>();
  const go = (node: MixNode, before: Record<string, number>): void => {
    // Grams of each addition for each gram of base, after what is weighed in here.
    const share = { ...before };
    for (const { name, grams } of node.weigh) share[name] = (share[name] ?? 0) + grams / node.baseGrams;
    const poured = node.children.reduce((sum, child) => sum + child.baseGrams, 0);
    if (node.variant !== null) {
      const base = node.baseGrams - poured;
      pots.set(node.variant, {
        base,
        grams: Object.fromEntries(Object.entries(share).map(([name, one]) => [name, one * base])),
      });
    }
    for (const child of node.children) go(child, share);
  };
  go(root, {});
  return pots;
}

const count = (node: MixNode): number =>
  node.weigh.length + node.children.reduce((sum, child) => sum + count(child), 0);

test('a ladder of one colourant is one weighing a step', () => {
  const order = orderOfAdditions([
    variant('plain', {}),
    variant('2 %', { cobalt: 2 }),
    variant('1 %', { cobalt: 1 }),
    variant('4 %', { cobalt: 4 }),
  ]);
  expect(order.weighings).toBe(3);
  // All of it is poured together; the strongest is at the end of the line.
  expect(order.root.baseGrams).toBe(400);
  const [first] = order.root.children.filter((node) => node.variant === '1 %');
  expect(first!.baseGrams).toBe(300);
  expect(first!.weigh).toEqual([{ name: 'cobalt', grams: 3 }]);
});

test('what two variants share is weighed once, in a pot that is divided further', () => {
  const order = orderOfAdditions([
    variant('blue green', { tin: 5, cobalt: 1, chrome: 2 }),
    variant('blue brown', { tin: 5, cobalt: 1, iron: 6 }),
  ]);
  expect(order.weighings).toBe(4);
  expect(order.root.children).toHaveLength(1);
  expect(order.root.children[0]).toMatchObject({ variant: null, baseGrams: 200 });
});

test('variants that share nothing hang on the plain base', () => {
  const order = orderOfAdditions([variant('a', { iron: 8 }), variant('b', { tin: 5 })]);
  expect(order.weighings).toBe(2);
  expect(order.root.children.map((node) => node.variant).sort()).toEqual(['a', 'b']);
});

test('an addition below 0 and a variant without base are refused', () => {
  expect(() => orderOfAdditions([variant('a', { iron: -1 })])).toThrow(/iron/);
  expect(() => orderOfAdditions([variant('a', {}, 0)])).toThrow(/base/);
  expect(orderOfAdditions([])).toMatchObject({ weighings: 0 });
});

const some = fc.array(
  fc.dictionary(fc.constantFrom('iron', 'tin', 'cobalt'), fc.integer({ min: 1, max: 4 })),
  { minLength: 1, maxLength: 6 },
);

test('every variant comes out exactly, and nothing is left over', () => {
  fc.assert(
    fc.property(some, (list) => {
      const variants = list.map((additions, i) => variant(`v${i}`, additions, 50 + 10 * i));
      const { root, weighings } = orderOfAdditions(variants);
      const pots = followed(root);
      expect(pots.size).toBe(variants.length);
      for (const { name, baseGrams, additions } of variants) {
        const pot = pots.get(name)!;
        expect(pot.base).toBeCloseTo(baseGrams, 6);
        for (const [material, percent] of Object.entries(additions))
          expect(pot.grams[material] ?? 0).toBeCloseTo((percent * baseGrams) / 100, 6);
        for (const material of Object.keys(pot.grams))
          expect(additions[material] ?? 0).toBeCloseTo((100 * (pot.grams[material] ?? 0)) / baseGrams, 6);
      }
      expect(count(root)).toBe(weighings);
    }),
  );
});

test('it never takes more weighings than mixing each variant by itself, nor fewer than the materials', () => {
  fc.assert(
    fc.property(some, (list) => {
      const { weighings } = orderOfAdditions(list.map((additions, i) => variant(`v${i}`, additions)));
      const alone = list.reduce((sum, one) => sum + Object.keys(one).length, 0);
      const materials = new Set(list.flatMap((one) => Object.keys(one))).size;
      expect(weighings).toBeLessThanOrEqual(alone);
      expect(weighings).toBeGreaterThanOrEqual(materials);
    }),
  );
});

/**
 * Reference: every set of pots between (what any of the variants have in common), each pot on the
 * cheapest of the others; by brute force, where there are few.
 */
function bruteForce(list: readonly Additions[]): number {
  const names = [...new Set(list.flatMap((one) => Object.keys(one)))];
  const pot = (one: Additions): number[] => names.map((name) => one[name] ?? 0);
  const own = [names.map(() => 0), ...new Map(list.map((one) => [pot(one).join(), pot(one)])).values()];
  const meets = new Map<string, number[]>();
  for (let set = 1; set < 1 << list.length; set++) {
    const some = list.filter((_, i) => set & (1 << i)).map(pot);
    const meet = names.map((_, k) => Math.min(...some.map((one) => one[k]!)));
    if (own.every((one) => one.join() !== meet.join())) meets.set(meet.join(), meet);
  }
  const spare = [...meets.values()];
  const price = (from: number[], to: number[]): number =>
    from.some((one, k) => one > to[k]!) || from.join() === to.join()
      ? Infinity
      : to.filter((one, k) => one > from[k]!).length;
  let best = Infinity;
  for (let mask = 0; mask < 1 << spare.length; mask++) {
    const pots = [...own, ...spare.filter((_, i) => mask & (1 << i))];
    let cost = 0;
    for (const to of pots.slice(1)) {
      if (to.every((one) => one === 0)) continue;
      cost += Math.min(...pots.map((from) => price(from, to)));
    }
    best = Math.min(best, cost);
  }
  return best;
}

test('no other order does with fewer weighings: against every set of pots between', () => {
  fc.assert(
    fc.property(
      fc.array(fc.dictionary(fc.constantFrom('iron', 'tin', 'cobalt'), fc.integer({ min: 1, max: 3 })), {
        minLength: 1,
        maxLength: 4,
      }),
      (list) => {
        const { weighings, fewest } = orderOfAdditions(
          list.map((additions, i) => variant(`v${i}`, additions)),
        );
        expect(weighings).toBe(bruteForce(list));
        expect(fewest).toBe(true);
      },
    ),
    { numRuns: 400 },
  );
});

test('five variants of four materials that once took thirteen weighings take twelve', () => {
  // Found by an exact search of another making.
  const rows = [
    [2, 3, 1, 1],
    [3, 2, 2, 0],
    [1, 1, 3, 1],
    [0, 1, 3, 3],
    [2, 0, 0, 2],
  ];
  const { weighings, root } = orderOfAdditions(
    rows.map((row, i) =>
      variant(
        `v${i}`,
        Object.fromEntries(['iron', 'tin', 'cobalt', 'zircon'].map((name, k) => [name, row[k]!])),
      ),
    ),
  );
  expect(weighings).toBe(12);
  expect(count(root)).toBe(12);
});

test('beyond what can be tried it says that it is only a good order, and is no worse than one by one', () => {
  const eight = Array.from({ length: 8 }, (_, i) =>
    variant(
      `v${i}`,
      Object.fromEntries(['a', 'b', 'c', 'd', 'e', 'f'].map((name, k) => [name, 1 + ((i * 7 + k * 5) % 4)])),
    ),
  );
  expect(orderOfAdditions(eight).fewest).toBe(true);
  const twelve = Array.from({ length: 12 }, (_, i) =>
    variant(`v${i}`, { iron: i % 4, tin: (i * 5) % 7, cobalt: i }),
  );
  const many = orderOfAdditions(twelve);
  expect(many.fewest).toBe(false);
  expect(many.weighings).toBeLessThanOrEqual(
    twelve.reduce((sum, { additions }) => sum + Object.values(additions).filter((one) => one > 0).length, 0),
  );
  expect(count(many.root)).toBe(many.weighings);
  // Nine alike are one variant nine times: that can be tried.
  expect(orderOfAdditions(Array.from({ length: 12 }, (_, i) => variant(`v${i}`, { iron: 1 })))).toMatchObject(
    { fewest: true, weighings: 1 },
  );
});
