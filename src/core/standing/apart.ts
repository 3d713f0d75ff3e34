/** Which recorded circumstance tells two sides apart, and whether beyond chance. */
import { fisherExact } from '../statistics';
import { FIRINGS_OWN } from './circumstances';

/** A piece as the question takes it: on the side of most (0) or of the others (1). */
export type Placed = { side: 0 | 1; firingId: string; variables: Record<string, string> };

/** A circumstance that parts the sides: its values with most, and with the others. */
export type Told = { variable: string; sure: boolean; values: [string[], string[]] };

/**
 * Sure when chance, given every circumstance that was looked at, parts them so in less than one case in
 * twenty.
 */
const SURE = 0.05;
/** A circumstance that parts the sides wholly is named as a perhaps when it says at least this much. */
const PERHAPS = 0.7;
const MOST_PERHAPS = 3;

type Tally = Map<string, [number, number]>;

const count = (tally: Tally, value: string, side: 0 | 1): void => {
  const counts = tally.get(value) ?? [0, 0];
  counts[side]++;
  tally.set(value, counts);
};

/**
 * How often each value stands on each side: by pieces, or by firings where the circumstance is the firing's.
 */
function tallyOf(placed: readonly Placed[], variable: string): Tally {
  const tally: Tally = new Map();
  if (!FIRINGS_OWN.has(variable)) {
    for (const { side, variables } of placed)
      if (variables[variable] !== undefined) count(tally, variables[variable], side);
    return tally;
  }
  const firings = new Map<string, { value: string; sides: [number, number] }>();
  for (const { side, firingId, variables } of placed) {
    const value = variables[variable];
    if (value === undefined) continue;
    const firing = firings.get(firingId) ?? { value, sides: [0, 0] };
    firing.sides[side]++;
    firings.set(firingId, firing);
  }
  for (const { value, sides } of firings.values())
    // A firing that shows both sides speaks for neither.
    if (sides[0] !== sides[1]) count(tally, value, sides[0] > sides[1] ? 0 : 1);
  return tally;
}

const measure = (value: string): number => Number(/^(\d+(?:\.\d+)?)(?: [a-z°]+)?$/i.exec(value)?.[1]);

type Grouping = { with: string[]; against: string[]; p: number };

const pOf = (tally: Tally, first: readonly string[], second: readonly string[]): number => {
  const sum = (values: readonly string[]): [number, number] =>
    values.reduce<[number, number]>(
      ([a, b], value) => {
        const [x, y] = tally.get(value)!;
        return [a + x, b + y];
      },
      [0, 0],
    );
  return fisherExact([sum(first), sum(second)]);
};

/**
 * The grouping of values that parts the sides best, its exact p times the number of groupings
 * among which it was the best: measures are cut at one place, names are divided freely.
 * Of two values or more.
 */
function bestGrouping(tally: Tally): Grouping | null {
  const values = [...tally.keys()].sort();
  if (values.every((value) => !Number.isNaN(measure(value)))) {
    values.sort((a, b) => measure(a) - measure(b));
    const totals: [number, number] = [0, 0];
    for (const [a, b] of tally.values()) {
      totals[0] += a;
      totals[1] += b;
    }
    let best: { cut: number; p: number; low: [number, number] } | null = null;
    const low: [number, number] = [0, 0];
    for (let cut = 1; cut < values.length; cut++) {
      const [a, b] = tally.get(values[cut - 1]!)!;
      low[0] += a;
      low[1] += b;
      const p = fisherExact([
        [low[0], low[1]],
        [totals[0] - low[0], totals[1] - low[1]],
      ]);
      if (best === null || p < best.p) best = { cut, p, low: [...low] };
    }
    const { cut, p, low: under } = best!;
    const [below, above] = [values.slice(0, cut), values.slice(cut)];
    // Those below belong to the side that is commoner among them than overall.
    const most = under[0] * totals[1] >= under[1] * totals[0];
    return {
      with: most ? below : above,
      against: most ? above : below,
      p: Math.min(1, p * (values.length - 1)),
    };
  }
  const [all, others] = [...tally.values()].reduce(([x, y], [a, b]) => [x + a, y + b], [0, 0]);
  const leans = (value: string): boolean => {
    const [a, b] = tally.get(value)!;
    return a * others! >= b * all!;
  };
  const [first, second] = [values.filter(leans), values.filter((value) => !leans(value))];
  if (second.length === 0) return null;
  const groupings = 2 ** (values.length - 1) - 1;
  return { with: first, against: second, p: Math.min(1, pOf(tally, first, second) * groupings) };
}

const whollyApart = (tally: Tally, { with: first, against }: Grouping): boolean =>
  first.every((value) => tally.get(value)![1] === 0) && against.every((value) => tally.get(value)![0] === 0);

/**
 * The circumstances that tell the sides apart, the surest first, and how many were looked at:
 * those that are known and not the same of all. Sure only when the exact p times their number is
 * below 5 %; a few that part the sides wholly are named as a perhaps; what tells nothing is left out.
 */
export function tellApart(placed: readonly Placed[]): { told: Told[]; looked: number } {
  const names = new Set<string>();
  for (const { variables } of placed) for (const name in variables) names.add(name);
  const found = [...names].sort().flatMap((variable) => {
    const tally = tallyOf(placed, variable);
    return tally.size < 2 ? [] : [{ variable, tally, grouping: bestGrouping(tally) }];
  });
  const looked = found.length;
  const told = found
    .flatMap(({ variable, tally, grouping }) => {
      if (grouping === null) return [];
      const sure = grouping.p * looked < SURE;
      const perhaps = grouping.p < PERHAPS && (grouping.p < 0.1 || whollyApart(tally, grouping));
      return sure || perhaps
        ? [
            {
              variable,
              sure,
              p: grouping.p,
              values: [grouping.with, grouping.against] as Told['values'],
            },
          ]
        : [];
    })
    .sort((a, b) => a.p - b.p || (a.variable < b.variable ? -1 : 1));
  const sure = told.filter((one) => one.sure);
  const kept = sure.length > 0 ? sure : told.slice(0, MOST_PERHAPS);
  return { told: kept.map(({ p: _, ...one }) => one), looked };
}
