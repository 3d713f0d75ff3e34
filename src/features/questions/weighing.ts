/** Sheets for the scale and the cups. */
import { count } from '@/core/units';
import { cups, SHIFT, type BlendPoint } from '@/core/designs';
import {
  batch,
  drySolids,
  mixDensity,
  orderOfAdditions,
  percentOf,
  roundTo,
  type MixNode,
  type Variant,
} from '@/core/slurry';
import { mixSteps } from '../store/server';
import {
  type Sheet,
  type SheetInput,
  TEST_SG,
  cornersOf,
  ownMixes,
  cautions,
  shortages,
  shortLead,
} from './sheet';

function cupPlan(input: SheetInput) {
  const corners = cornersOf(input.tiles);
  const mixes = ownMixes(input.tiles);
  const points = mixes.map(({ mix }, i): BlendPoint => ({
    row: 0,
    column: i,
    weights: corners.map((corner) => mix.shares[corner] ?? 0),
  }));
  const { cupMl, measureMl } = input.question.sheet;
  return { corners, mixes, plan: cups(points, cupMl, Math.min(measureMl, cupMl)) };
}

const nameless = (name: string): string => `${name} has no recipe yet: write it in the store first.`;

export function weighCorners(input: SheetInput): Sheet {
  const wanted: { name: string; grams: number; exact: number }[] = [];
  const { corners, plan } = cupPlan(input);
  const density = new Map(input.materials.map((one) => [one.id, one.density]));
  const groups = corners.map((corner, i) => {
    const name = input.names.get(corner) ?? '';
    const recipe = input.recipes.get(corner);
    const ml = plan.needed[i] ?? 0;
    if (recipe === undefined) return { title: nameless(name), rows: [] };
    const rho = mixDensity(
      recipe.lines.map((line) => ({
        amount: line.amount,
        density: density.get(line.materialId) ?? null,
      })),
    );
    // Up to the next 50 g: a sieve and a jug keep some back.
    const dry = Math.ceil(((ml / 1000) * drySolids(TEST_SG, rho)) / 50) * 50;
    const made = batch(percentOf(recipe.lines), dry, input.question.sheet.resolutionG, 'total');
    const litres = dry / drySolids(TEST_SG, rho);
    wanted.push(...made.lines);
    return {
      title: `${'ABCD'[i]}: ${name}. ${Math.ceil(ml)} ml are wanted: ${input.weigh(dry)} dry, water to ${litres.toFixed(2)} l, SG ${TEST_SG}`,
      rows: made.lines.map((line) => [line.name, line.addition ? 'addition' : '', input.weigh(line.grams)]),
    };
  });
  const used = corners.flatMap(
    (corner) => input.recipes.get(corner)?.lines.map((line) => line.materialId) ?? [],
  );
  return {
    key: 'weigh',
    title: 'Weigh out the corners',
    lead: shortLead(
      `Sieve each corner and bring all of them to the same SG: cups are only right when every litre carries the same dry weight.${roundedWords(wanted)}`,
      shortages(input, wanted),
    ),
    cautions: cautions(input, used),
    columns: ['Material', '', 'Weigh'],
    groups,
  };
}

/** What is weighed into the pots of an order, as a scale shows it. */
const weighed = (
  { weigh, children }: MixNode,
  resolution: number,
): { name: string; exact: number; grams: number }[] => [
  ...weigh.map(({ name, grams }) => ({ name, exact: grams, grams: roundTo(grams, resolution) })),
  ...children.flatMap((child) => weighed(child, resolution)),
];

export function weighVariants(input: SheetInput): Sheet {
  const mixes = ownMixes(input.tiles);
  const { dryG, resolutionG } = input.question.sheet;
  const materialName = new Map(input.materials.map((one) => [one.id, one.name]));
  const [base] = cornersOf(input.tiles);
  const recipe = base === undefined ? undefined : input.recipes.get(base);
  const name = input.names.get(base ?? '') ?? '';
  // A clay-and-glaze blend is weighed tile by tile: its shares differ, nothing is added.
  const shares = mixes.some(({ mix }) => Object.values(mix.shares)[0] !== 1);
  const variants: Variant[] = mixes.map(({ mix, label }) => ({
    name: label,
    baseGrams: dryG,
    additions: Object.fromEntries(
      Object.entries(mix.additions).map(([id, percent]) => [materialName.get(id) ?? id, percent]),
    ),
  }));
  const groups: Sheet['groups'] = [];
  const rounded: { name: string; exact: number; grams: number }[] = [];
  const wanted = variants.flatMap(({ baseGrams, additions }) =>
    Object.entries(additions).map(([material, percent]) => ({
      name: material,
      grams: (baseGrams * percent) / 100,
    })),
  );
  if (shares)
    groups.push({
      title: `${input.weigh(dryG)} dry each`,
      rows: mixes.map(({ mix, label }) => {
        const share = Object.values(mix.shares)[0] ?? 0;
        return [label, `${input.weigh(dryG * (1 - share))} body`, `${input.weigh(dryG * share)} glaze`];
      }),
    });
  else {
    const order = orderOfAdditions(variants);
    rounded.push(...weighed(order.root, resolutionG));
    if (recipe === undefined) groups.push({ title: nameless(name), rows: [] });
    else {
      const made = batch(percentOf(recipe.lines), order.root.baseGrams, resolutionG);
      wanted.push(...made.lines);
      rounded.push(...made.lines);
      groups.push({
        title: `Base for all: ${name}, ${input.weigh(order.root.baseGrams)} dry`,
        rows: made.lines.map((line) => [line.name, line.addition ? 'addition' : '', input.weigh(line.grams)]),
      });
    }
    groups.push({
      title: `Then, in this order (${count(order.weighings, 'weighing')}${order.fewest ? ', the fewest there can be' : ''}; what is in cannot be taken out)`,
      rows: mixSteps(order.root, input.weigh).map(([what = '', amount = '']) => [what, '', amount]),
    });
  }
  const used = [
    ...(recipe?.lines.map((line) => line.materialId) ?? []),
    ...mixes.flatMap(({ mix }) => Object.keys(mix.additions)),
  ];
  return {
    key: 'weigh',
    title: 'Weigh out',
    lead: shortLead(
      `${input.weigh(dryG)} of dry base for each variant.${roundedWords(rounded)}`,
      shortages(input, wanted),
    ),
    cautions: cautions(input, used),
    columns: ['What', '', 'Weigh'],
    groups,
  };
}

/** "Rounding shifts the blend of tiles 3, 7 by up to 7 %": what a measure does to the shares of a cup. */
function shiftWords(
  shifted: readonly { point: number; by: number }[],
  nosOf: (point: number) => readonly number[],
): string {
  if (shifted.length === 0) return '';
  const nos = shifted.flatMap(({ point }) => nosOf(point));
  const most = Math.max(...shifted.map(({ by }) => by));
  return ` Rounding shifts the blend of ${nos.length === 1 ? 'tile' : 'tiles'} ${nos.join(', ')} by up to ${Math.round(100 * most)} %.`;
}

/** Weights that a scale rounds by more than 2 %, in words: "The scale rounds Cobalt carbonate by 10 %". */
export function roundedWords(lines: readonly { name: string; exact: number; grams: number }[]): string {
  const off = lines.flatMap(({ name, exact, grams }) => {
    const by = exact > 0 ? Math.abs(grams - exact) / exact : 0;
    return by > SHIFT ? [`${name} by ${Math.round(100 * by)} %`] : [];
  });
  return off.length === 0
    ? ''
    : ` The scale rounds ${[...new Set(off)].join(', ')}: weigh more, or on a finer one.`;
}

export function cupSheet(input: SheetInput): Sheet {
  const { corners, mixes, plan } = cupPlan(input);
  const letters = corners.map((corner, i) => `${'ABCD'[i]} ${input.names.get(corner) ?? ''}`);
  return {
    key: 'cups',
    title: 'Cups by volume',
    lead: `Each cup holds ${input.question.sheet.cupMl} ml. Stir every corner before every cup.${
      plan.doubtful.length > 0
        ? ` ${count(plan.doubtful.length, 'share')} ${plan.doubtful.length === 1 ? 'is' : 'are'} smaller than ${input.question.sheet.measureMl} ml: take a larger cup or a finer measure.`
        : ''
    }${shiftWords(plan.shifted, (point) => mixes[point]?.nos ?? [])}`,
    cautions: ['Wet glaze: gloves, no food or drink at the bench, wipe spills while they are wet.'],
    columns: ['Tile', ...letters],
    groups: [
      {
        title: '',
        rows: plan.cups.map((cup, i) => [
          (mixes[i]?.nos ?? []).join(', '),
          ...cup.ml.map((ml) => (ml === 0 ? '–' : `${ml} ml`)),
        ]),
      },
    ],
  };
}
