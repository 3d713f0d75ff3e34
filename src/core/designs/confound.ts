import type { PlannedTile } from './terms';

export type Factors = Record<string, string>;
export type Difference = { variable: string; a: string; b: string };

const value = (factors: Factors, name: string): string => factors[name] ?? 'not recorded';

/** Every recorded variable in which two pieces differ. */
export function differences(a: Factors, b: Factors): Difference[] {
  return [...new Set([...Object.keys(a), ...Object.keys(b)])]
    .sort()
    .filter((name) => value(a, name) !== value(b, name))
    .map((variable) => ({ variable, a: value(a, variable), b: value(b, variable) }));
}

export type Confounding = {
  /** Variables that change though nothing was asked of them, with their values. */
  unasked: { variable: string; values: string[] }[];
  /** Asked-for variables that never change. */
  constant: string[];
  /** Pairs that always change together: their effects cannot be told apart. */
  together: [string, string][];
};

/** How values part what bears them: each by the place at which its value comes first. */
function groupingOf(values: readonly string[]): string {
  const first = new Map<string, number>();
  values.forEach((one, i) => first.has(one) || first.set(one, i));
  return values.map((one) => first.get(one)).join();
}

/**
 * What a comparison of these pieces confuses: variables that change besides those asked
 * about, those that do not change at all, and pairs that change in step.
 */
export function confounding(pieces: readonly Factors[], asked: readonly string[]): Confounding {
  const names = [...new Set(pieces.flatMap((piece) => Object.keys(piece)))].sort();
  const values = new Map(names.map((name) => [name, pieces.map((piece) => value(piece, name))]));
  const kinds = (name: string): string[] => [...new Set(values.get(name))];
  const changing = names.filter((name) => kinds(name).length > 1);
  // Two variables change in step just where they part the pieces into the same groups.
  const grouping = new Map(changing.map((name) => [name, groupingOf(values.get(name)!)]));
  const together = changing.flatMap((a, i) =>
    changing
      .slice(i + 1)
      .filter((b) => grouping.get(a) === grouping.get(b))
      .map((b): [string, string] => [a, b]),
  );
  return {
    unasked: changing
      .filter((name) => !asked.includes(name))
      .map((variable) => ({ variable, values: kinds(variable) })),
    constant: asked.filter((name) => !changing.includes(name)),
    together,
  };
}

/** Small generator of even numbers in 0 … 1 from a seed (Mulberry32, public domain). */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** A random order that is the same for the same seed (Fisher and Yates). */
export function shuffled<T>(items: readonly T[], seed: number): T[] {
  const random = seeded(seed);
  const list = [...items];
  for (let i = list.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [list[i], list[j]] = [list[j] as T, list[i] as T];
  }
  return list;
}

/** Shelf and place for each tile at random, so that place and treatment are not confused. */
export function placesFor(
  tiles: readonly Pick<PlannedTile, 'no'>[],
  shelves: number,
  seed: number,
): { no: number; shelf: number; place: number }[] {
  const perShelf = Math.ceil(tiles.length / Math.max(1, shelves));
  return shuffled(
    tiles.map(({ no }) => no),
    seed,
  ).map((no, i) => ({ no, shelf: 1 + Math.floor(i / perShelf), place: 1 + (i % perShelf) }));
}
