/**
 * What goes with a fault in the studio's own records: every recorded circumstance, with and without. Told
 * beside the ranking, never mixed into it. What pieces differ in is counted by pieces and within stacks; what
 * a firing gives all of its load is counted by firings.
 */
import { falseDiscovery, mantelHaenszel, wilson, type Interval, type Table } from '../statistics';

/** A stretch of a piece after a firing, as it is compared. */
export type Compared = {
  /** The piece after that firing: however many stretches of it say the same, it is one witness. */
  witness: number;
  /** The coats in their order: a piece is compared with those that bear the same stacks. */
  stack: string;
  firingId: string;
  /**
   * Circumstances by name, those that vary over a piece in records of their own. What is not known has no
   * entry. Records that many share are counted once: let them be shared.
   */
  variables: readonly Readonly<Record<string, string>>[];
  has: boolean;
};

export type Rate = { with: number; of: number; interval: Interval };

export type Factor = {
  variable: string;
  value: string;
  unit: 'pieces' | 'firings';
  /** With this value, and with any other that is known. */
  here: Rate;
  elsewhere: Rate;
  /** How much more often with it, within stacks; null where one side never or always shows it. */
  ratio: number | null;
  interval: Interval | null;
  /** Of all that is told to stand out, so large a share would be chance. */
  falseShare: number;
  /** Beyond what chance would do, given how much was looked at. */
  out: boolean;
};

export type Factors = {
  /** The whole: how often it is seen at all. */
  all: Rate;
  firings: number;
  /** How many circumstances were looked at, and in how many comparisons of their values. */
  looked: number;
  compared: number;
  /** Of each circumstance the value that tells most, the surest first. */
  factors: Factor[];
};

/** One in twenty of what is said to stand out may be chance. */
const OUT = 0.05;
/** Fewer on a side compare nothing. */
const FEW = 3;

const rate = (shown: number, of: number): Rate => ({ with: shown, of, interval: wilson(shown, of) });

type Pair = [shown: number, of: number];
/** Of one circumstance: of all that know it, and of each of its values, by stack. */
type Tally = { all: Map<string, Pair>; values: Map<string, Map<string, Pair>> };

const bump = (pairs: Map<string, Pair>, stack: string, shown: number, of: number): void => {
  const pair = pairs.get(stack);
  if (pair === undefined) pairs.set(stack, [shown, of]);
  else {
    pair[0] += shown;
    pair[1] += of;
  }
};

/** Who was seen, and who of them shows it anywhere. */
type Witnesses = { seen: Set<number>; shown: Set<number> };

const nobody = (): Witnesses => ({ seen: new Set(), shown: new Set() });
const hear = ({ seen, shown }: Witnesses, { witness, has }: Compared): void => {
  seen.add(witness);
  if (has) shown.add(witness);
};
const countOf = ({ seen, shown }: Witnesses): Pair => [shown.size, seen.size];

/**
 * With what each witness is compared: with pieces that bear the same stacks. Each stands in one stratum, so
 * that a piece with several stacks is not heard several times.
 */
function strataOf(rows: readonly Compared[]): Map<number, string> {
  const stacks = new Map<number, Set<string>>();
  for (const { witness, stack } of rows) {
    const own = stacks.get(witness);
    if (own === undefined) stacks.set(witness, new Set([stack]));
    else own.add(stack);
  }
  return new Map([...stacks].map(([witness, own]) => [witness, [...own].sort().join(' | ')]));
}

/** One pass over what is compared, and one over the records that it shares. */
function tally(rows: readonly Compared[], strata: ReadonlyMap<number, string>): Map<string, Tally> {
  const shared = new Map<Readonly<Record<string, string>>, Map<string, Witnesses>>();
  for (const row of rows)
    for (const record of row.variables) {
      let byStack = shared.get(record);
      if (byStack === undefined) shared.set(record, (byStack = new Map()));
      const stratum = strata.get(row.witness)!;
      let own = byStack.get(stratum);
      if (own === undefined) byStack.set(stratum, (own = nobody()));
      hear(own, row);
    }
  const found = new Map<string, Tally>();
  for (const [record, byStack] of shared) {
    const pairs = [...byStack].map(([stack, own]) => [stack, ...countOf(own)] as const);
    for (const [name, value] of Object.entries(record)) {
      let one = found.get(name);
      if (one === undefined) found.set(name, (one = { all: new Map(), values: new Map() }));
      let own = one.values.get(value);
      if (own === undefined) one.values.set(value, (own = new Map()));
      for (const [stack, shown, of] of pairs) {
        bump(one.all, stack, shown, of);
        bump(own, stack, shown, of);
      }
    }
  }
  return found;
}

const sum = (pairs: Map<string, Pair>): Pair => {
  const total: Pair = [0, 0];
  for (const [shown, of] of pairs.values()) {
    total[0] += shown;
    total[1] += of;
  }
  return total;
};

/** A value against all others that are known, stack by stack. */
function sidesOf({ all }: Tally, own: Map<string, Pair>): { here: Pair; elsewhere: Pair; strata: Table[] } {
  const [here, whole] = [sum(own), sum(all)];
  const strata = [...all].map(([stack, [shown, of]]): Table => {
    const [a, n] = own.get(stack) ?? [0, 0];
    return [
      [a, n - a],
      [shown - a, of - n - (shown - a)],
    ];
  });
  return { here, elsewhere: [whole[0] - here[0], whole[1] - here[1]], strata };
}

/** Each firing as one witness, showing more of it than all together or not. */
function byFiring(rows: readonly Compared[], firingsOwn: ReadonlySet<string>): Compared[] {
  const all = new Map<string, { own: Record<string, string>; pieces: Witnesses }>();
  for (const row of rows) {
    const { firingId, variables } = row;
    let firing = all.get(firingId);
    if (firing === undefined) {
      const known = variables.flatMap((record) => Object.entries(record));
      const own = Object.fromEntries(known.filter(([name]) => firingsOwn.has(name)));
      all.set(firingId, (firing = { own, pieces: nobody() }));
    }
    hear(firing.pieces, row);
  }
  const counted = [...all].map(([firingId, { own, pieces }]) => ({ firingId, own, pair: countOf(pieces) }));
  const [shown, of] = counted.reduce(([a, b], { pair }) => [a + pair[0], b + pair[1]], [0, 0]);
  return counted.map(({ firingId, own, pair }, i) => ({
    witness: i,
    stack: '',
    firingId,
    variables: [own],
    has: pair[0] / pair[1] > shown! / of!,
  }));
}

/**
 * @param rows what was seen, with the fault or without. O(rows × records + shared records × circumstances).
 * @param firingsOwn circumstances that all pieces of a firing share.
 * @param parts circumstances that are themselves what stacks differ in: they are compared across stacks.
 * Source: the comparisons as in core/statistics; thresholds are judgement.
 */
export function factorsOf(
  rows: readonly Compared[],
  firingsOwn: ReadonlySet<string>,
  parts: ReadonlySet<string> = new Set(),
): Factors {
  const firings = byFiring(rows, firingsOwn);
  const [byPieces, byFirings] = [tally(rows, strataOf(rows)), tally(firings, strataOf(firings))];
  const found = [...byPieces.keys()].flatMap((variable) => {
    const unit = firingsOwn.has(variable) ? ('firings' as const) : ('pieces' as const);
    const own = (unit === 'firings' ? byFirings : byPieces).get(variable)!;
    const values = [...own.values.keys()].sort();
    // Of two values one comparison says all.
    const compared = values.length > 2 ? values : values.slice(0, values.length - 1);
    return compared.flatMap((value) => {
      const { here, elsewhere, strata } = sidesOf(own, own.values.get(value)!);
      if (here[1] < FEW || elsewhere[1] < FEW) return [];
      const tables: Table[] = parts.has(variable)
        ? [
            [
              [here[0], here[1] - here[0]],
              [elsewhere[0], elsewhere[1] - elsewhere[0]],
            ],
          ]
        : strata;
      const turned = values.length === 2 && here[0] / here[1] < elsewhere[0] / elsewhere[1];
      const pooled = mantelHaenszel(turned ? tables.map(([a, b]): Table => [b, a]) : tables);
      return [
        {
          variable,
          value: turned ? values.find((one) => one !== value)! : value,
          unit,
          here: rate(...(turned ? elsewhere : here)),
          elsewhere: rate(...(turned ? here : elsewhere)),
          ...pooled,
        },
      ];
    });
  });
  const shares = falseDiscovery(found.map(({ p }) => p));
  const factors = found
    .map(({ p, ...one }, i) => ({ ...one, p, falseShare: shares[i]!, out: shares[i]! < OUT }))
    .sort((a, b) => a.p - b.p || (a.variable + a.value < b.variable + b.value ? -1 : 1))
    .filter(({ variable }, i, all) => all.findIndex((one) => one.variable === variable) === i)
    .map(({ p: _, ...one }): Factor => one);
  const pieces = nobody();
  for (const row of rows) hear(pieces, row);
  return {
    all: rate(...countOf(pieces)),
    firings: firings.length,
    looked: factors.length,
    compared: found.length,
    factors,
  };
}
