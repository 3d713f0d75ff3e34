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
    for (const { name, grams } of node.weigh)
      share[name] = (share[name] ?? 0) + grams / node.baseGrams;
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
          expect(additions[material] ?? 0).toBeCloseTo(
            (100 * (pot.grams[material] ?? 0)) / baseGrams,
            6,
          );
      }
      expect(count(root)).toBe(weighings);
    }),
  );
});

test('it never takes more weighings than mixing each variant by itself, nor fewer than the materials', () => {
  fc.assert(
    fc.property(some, (list) => {
      const { weighings } = orderOfAdditions(
        list.map((additions, i) => variant(`v${i}`, additions)),
      );
      const alone = list.reduce((sum, one) => sum + Object.keys(one).length, 0);
      const materials = new Set(list.flatMap((one) => Object.keys(one))).size;
      expect(weighings).toBeLessThanOrEqual(alone);
      expect(weighings).toBeGreaterThanOrEqual(materials);
    }),
  );
});

test('with up to four variants no other tree does with fewer weighings', () => {
  // Reference: every assignment of parents among the variants themselves, by brute force.
  const bruteForce = (list: readonly Additions[]): number => {
    const pots = [{}, ...list] as Additions[];
    const names = [...new Set(list.flatMap((one) => Object.keys(one)))];
    let best = Infinity;
    const choose = (i: number, cost: number): void => {
      if (cost >= best) return;
      if (i === pots.length) {
        best = cost;
        return;
      }
      for (let j = 0; j < i; j++) {
        const [from, to] = [pots[j]!, pots[i]!];
        if (names.some((name) => (from[name] ?? 0) > (to[name] ?? 0))) continue;
        choose(i + 1, cost + names.filter((name) => (to[name] ?? 0) > (from[name] ?? 0)).length);
      }
    };
    choose(1, 0);
    return best;
  };
  fc.assert(
    fc.property(
      fc.array(fc.dictionary(fc.constantFrom('iron', 'tin'), fc.integer({ min: 1, max: 3 })), {
        minLength: 1,
        maxLength: 4,
      }),
      (list) => {
        // prettier-ignore
        const sorted = [...list].sort(
        (a, b) =>
          Object.values(a).reduce((x, y) => x + y, 0) - Object.values(b).reduce((x, y) => x + y, 0),
      );
        const { weighings } = orderOfAdditions(
          sorted.map((additions, i) => variant(`v${i}`, additions)),
        );
        expect(weighings).toBeLessThanOrEqual(bruteForce(sorted));
      },
    ),
  );
});
