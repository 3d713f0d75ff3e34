/** Sheets for the scale and the cups. */
import { cups, type BlendPoint } from '@/core/designs';
import {
  batch,
  drySolids,
  mixDensity,
  orderOfAdditions,
  percentOf,
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
} from './sheets';

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

const nameless = (name: string): string =>
  `${name} has no recipe yet: write it in the store first.`;

export function weighCorners(input: SheetInput): Sheet {
  const wanted: { name: string; grams: number }[] = [];
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
      rows: made.lines.map((line) => [
        line.name,
        line.addition ? 'addition' : '',
        input.weigh(line.grams),
      ]),
    };
  });
  const used = corners.flatMap(
    (corner) => input.recipes.get(corner)?.lines.map((line) => line.materialId) ?? [],
  );
  return {
    key: 'weigh',
    title: 'Weigh out the corners',
    lead: shortLead(
      'Sieve each corner and bring all of them to the same SG: cups are only right when every litre carries the same dry weight.',
      shortages(input, wanted),
    ),
    cautions: cautions(input, used),
    columns: ['Material', '', 'Weigh'],
    groups,
  };
}

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
        return [
          label,
          `${input.weigh(dryG * (1 - share))} body`,
          `${input.weigh(dryG * share)} glaze`,
        ];
      }),
    });
  else {
    const order = orderOfAdditions(variants);
    if (recipe === undefined) groups.push({ title: nameless(name), rows: [] });
    else {
      const made = batch(percentOf(recipe.lines), order.root.baseGrams, resolutionG);
      wanted.push(...made.lines);
      groups.push({
        title: `Base for all: ${name}, ${input.weigh(order.root.baseGrams)} dry`,
        rows: made.lines.map((line) => [
          line.name,
          line.addition ? 'addition' : '',
          input.weigh(line.grams),
        ]),
      });
    }
    groups.push({
      title: `Then, in this order (${order.weighings} weighings; what is in cannot be taken out)`,
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
    lead: shortLead(`${input.weigh(dryG)} of dry base for each variant.`, shortages(input, wanted)),
    cautions: cautions(input, used),
    columns: ['What', '', 'Weigh'],
    groups,
  };
}

export function cupSheet(input: SheetInput): Sheet {
  const { corners, mixes, plan } = cupPlan(input);
  const letters = corners.map((corner, i) => `${'ABCD'[i]} ${input.names.get(corner) ?? ''}`);
  return {
    key: 'cups',
    title: 'Cups by volume',
    lead: `Each cup holds ${input.question.sheet.cupMl} ml. Stir every corner before every cup.${
      plan.doubtful.length > 0
        ? ` ${plan.doubtful.length} shares are smaller than ${input.question.sheet.measureMl} ml: take a larger cup or a finer measure.`
        : ''
    }`,
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
