import solver from 'javascript-lp-solver';
import { analyse, type Analysis } from './analyse';
import { isFlux, OXIDES, oxideWeight, partOf } from './oxides';
import type { Oxide, OxideAmounts } from './oxides';

export type ShelfMaterial = { name: string; analysis: Analysis };

/** A wish for one oxide of the unity formula, in moles. Equal ends ask for one value. */
export type Wish = { min: number; max: number };
export type Target = Partial<Record<Oxide, Wish>>;

export type Reached = {
  /** Materials in % of the recipe, largest first; what is not needed is left out. */
  recipe: { name: string; percent: number }[];
  umf: OxideAmounts;
  /** Oxides that came out beside what was wished for, with why. */
  missed: { oxide: Oxide; wanted: Wish; got: number; why: string }[];
};

type Constraint = { min?: number; max?: number; equal?: number };
type Model = {
  optimize: string;
  opType: 'min';
  constraints: Record<string, Constraint>;
  variables: Record<string, Record<string, number>>;
};

/** Moles of each oxide that 100 g of a raw material bring. */
const molesOf = ({ analysis }: ShelfMaterial): OxideAmounts => {
  const moles: OxideAmounts = {};
  for (const oxide of OXIDES) {
    const percent = analysis.oxides[oxide];
    if (percent) moles[oxide] = percent / oxideWeight(oxide);
  }
  return moles;
};

/** A colour that was not asked for matters less than a flux that was not asked for. */
const strayCost = (oxide: Oxide): number => (partOf(oxide) === 'colour' ? 0.2 : 1);
const OFF = 100;
/** Grams cost next to nothing: of two ways to the same formula the one of fewer grams is taken. */
const GRAM = 1e-4;

/** Amounts in 100 g, by place on the shelf, that miss the moles wished for by as little as can be. */
function nearest(shelf: readonly ShelfMaterial[], wishes: Target, fluxSum: number | null): number[] | null {
  const model: Model = { optimize: 'cost', opType: 'min', constraints: {}, variables: {} };
  const moles = shelf.map(molesOf);
  const used = OXIDES.filter((oxide) => wishes[oxide] !== undefined || moles.some((one) => one[oxide]));
  shelf.forEach((_, i) => {
    const column: Record<string, number> = { cost: GRAM };
    for (const oxide of used) {
      const amount = moles[i]?.[oxide];
      if (!amount) continue;
      if (wishes[oxide] === undefined) column.cost = (column.cost as number) + strayCost(oxide) * amount;
      else {
        column[`${oxide} low`] = amount;
        column[`${oxide} high`] = amount;
      }
      if (isFlux(oxide)) column.flux = (column.flux ?? 0) + amount;
    }
    model.variables[`m${i}`] = column;
  });
  for (const oxide of used) {
    const wish = wishes[oxide];
    if (wish === undefined) continue;
    // Misses are weighed against the size of the wish, so that a small oxide counts as well.
    const cost = OFF / Math.max(0.05, wish.max);
    model.constraints[`${oxide} low`] = { min: wish.min };
    model.constraints[`${oxide} high`] = { max: wish.max };
    model.variables[`under ${oxide}`] = { cost, [`${oxide} low`]: 1 };
    model.variables[`over ${oxide}`] = { cost, [`${oxide} high`]: -1 };
  }
  if (fluxSum !== null) model.constraints.flux = { equal: fluxSum };
  const answer = solver.Solve(model) as unknown as Record<string, number> & { feasible: boolean };
  if (!answer.feasible) return null;
  return shelf.map((_, i) => Math.max(0, answer[`m${i}`] ?? 0));
}

/**
 * From a wished-for unity formula to a recipe of the materials on the shelf, by linear
 * programming: the misses are made as small as they can be, each against the size of its
 * wish. Every oxide that could not be had is named. Throws a RangeError when a wish is
 * turned round or the shelf brings no flux at all.
 */
export function recipeFor(shelf: readonly ShelfMaterial[], target: Target): Reached {
  for (const oxide of OXIDES) {
    const wish = target[oxide];
    if (wish && !(wish.min >= 0 && wish.max >= wish.min))
      throw new RangeError(`${oxide}: the wish ends before it begins.`);
  }
  const amounts = nearest(shelf, target, 1);
  const chemistry =
    amounts && analyse(shelf.map(({ name, analysis }, i) => ({ name, analysis, amount: amounts[i] ?? 0 })));
  if (!amounts || !chemistry?.umf) throw new RangeError('No material on the shelf brings a flux.');
  const { umf } = chemistry;
  const missed = OXIDES.flatMap((oxide) => {
    const wanted = target[oxide];
    if (wanted === undefined) return [];
    const got = umf[oxide] ?? 0;
    const slack = 0.005 * Math.max(0.1, wanted.max);
    if (got >= wanted.min - slack && got <= wanted.max + slack) return [];
    return [{ oxide, wanted, got, why: whyMissed(shelf, target, umf, oxide, got < wanted.min) }];
  });
  return { recipe: percents(shelf, amounts), umf, missed };
}

function whyMissed(
  shelf: readonly ShelfMaterial[],
  target: Target,
  umf: OxideAmounts,
  oxide: Oxide,
  short: boolean,
): string {
  const bringing = (one: Oxide): string[] =>
    shelf
      .filter(({ analysis }) => (analysis.oxides[one] ?? 0) > 0)
      .sort((a, b) => (b.analysis.oxides[one] ?? 0) - (a.analysis.oxides[one] ?? 0))
      .map(({ name }) => name);
  const bringers = bringing(oxide);
  if (bringers.length === 0) return `Nothing on the shelf brings ${oxide}.`;
  const names = bringers.slice(0, 3).join(', ');
  if (!short) return `It comes along with ${names}, which the other oxides need.`;
  // The fluxes sum to one: what came unasked took the place of what was asked.
  const stray = OXIDES.filter((one) => isFlux(one) && target[one] === undefined && (umf[one] ?? 0) > 0.02);
  if (isFlux(oxide) && stray.length > 0)
    return `${stray.map((one) => `${one} ${(umf[one] ?? 0).toFixed(2)}`).join(', ')} came along with what else is needed and takes its place among the fluxes.`;
  return `${names} would bring more, but too much else with it.`;
}

function percents(shelf: readonly ShelfMaterial[], amounts: readonly number[]): Reached['recipe'] {
  const sum = amounts.reduce((a, b) => a + b, 0);
  return shelf
    .map(({ name }, i) => ({ name, percent: (100 * (amounts[i] ?? 0)) / sum }))
    .filter(({ percent }) => percent > 0.005)
    .sort((a, b) => b.percent - a.percent);
}

export type Swap = {
  /** Amounts in the unit of the amount that was replaced, by name. */
  amounts: { name: string; amount: number }[];
  /** Moles of each oxide that came out otherwise, per 100 of the replaced amount. */
  off: { oxide: Oxide; before: number; after: number }[];
};

/**
 * Takes a material out and puts others in at equal oxides, as nearly as they allow. The
 * others may be in the recipe already; what is returned comes on top of them.
 */
export function swap(out: ShelfMaterial, amount: number, by: readonly ShelfMaterial[]): Swap {
  const moles = molesOf(out);
  const target: Target = {};
  for (const oxide of OXIDES) {
    const value = moles[oxide];
    if (value) target[oxide] = { min: value, max: value };
  }
  const found = nearest(by, target, null) ?? by.map(() => 0);
  const after = OXIDES.map((oxide) =>
    by.reduce((sum, one, i) => sum + (molesOf(one)[oxide] ?? 0) * (found[i] ?? 0), 0),
  );
  return {
    amounts: by.flatMap(({ name }, i) =>
      (found[i] ?? 0) * amount > 1e-6 ? [{ name, amount: (found[i] ?? 0) * amount }] : [],
    ),
    off: OXIDES.flatMap((oxide, i) => {
      const [before, now] = [moles[oxide] ?? 0, after[i] ?? 0];
      return Math.abs(before - now) > 0.002 ? [{ oxide, before, after: now }] : [];
    }),
  };
}
