/** The sheets to work from: what is weighed, poured, dipped and scratched in, reckoned from a question. */
import { hazardsOf } from '@/core/chemistry';
import { cups, type BlendPoint, type Mix } from '@/core/designs';
import {
  batch,
  drySolids,
  mixDensity,
  orderOfAdditions,
  percentOf,
  type Variant,
} from '@/core/slurry';
import { describeRegion } from '@/core/zones';
import type { Material } from '@/data/materials';
import type { PieceLayer } from '@/data/layers';
import type { Question, QuestionTile } from '@/data/questions';
import type { Recipe } from '@/data/recipes';
import { mixSteps } from '../store';

/** A sheet as it stands on the screen and on paper: rows to tick off under headings. */
export type Sheet = {
  key: 'weigh' | 'cups' | 'glaze' | 'labels';
  title: string;
  lead: string;
  cautions: string[];
  columns: string[];
  groups: { title: string; rows: string[][] }[];
};

export type SheetInput = {
  question: Question;
  tiles: readonly QuestionTile[];
  recipes: ReadonlyMap<string, Recipe>;
  materials: readonly Material[];
  /** Coating names by version id. */
  names: ReadonlyMap<string, string>;
  layers: ReadonlyMap<string, readonly PieceLayer[]>;
};

/** Slurry for dipping test tiles, unless the studio says otherwise (common practice, no source). */
const TEST_SG = 1.45;
const grams = (value: number): string => `${Number(value.toFixed(2))} g`;
const DUST =
  'Dry powders: fitted respirator, no sweeping, wet cleaning. Follow your local codes, the maker’s instructions and the safety data sheets.';

export function sheetsFor(input: SheetInput): Sheet[] {
  const mixes = input.tiles.flatMap(({ mix }) => (mix === null ? [] : [mix]));
  const blends = mixes.some((mix) => Object.keys(mix.shares).length > 1);
  const sheets: Sheet[] = [];
  if (mixes.length > 0) sheets.push(blends ? weighCorners(input) : weighVariants(input));
  if (blends) sheets.push(cupSheet(input));
  sheets.push(glazeSheet(input), labelSheet(input));
  return sheets;
}

const cornersOf = (tiles: readonly QuestionTile[]): string[] => [
  ...new Set(tiles.flatMap(({ mix }) => Object.keys(mix?.shares ?? {}))),
];

/** Each mix once: repeats and bodies share a cup. */
function ownMixes(tiles: readonly QuestionTile[]): { mix: Mix; nos: number[]; label: string }[] {
  const found = new Map<string, { mix: Mix; nos: number[]; label: string }>();
  for (const { mix, no, label } of tiles) {
    if (mix === null) continue;
    const key = JSON.stringify(mix);
    const one = found.get(key);
    if (one) one.nos.push(no);
    else found.set(key, { mix, nos: [no], label });
  }
  return [...found.values()];
}

function cautions(input: SheetInput, materialIds: readonly string[]): string[] {
  const used = input.materials.filter(({ id }) => materialIds.includes(id));
  return [
    DUST,
    ...hazardsOf(used)
      .filter(({ hazard }) => hazard !== 'dust' && hazard !== 'silica dust')
      .map(({ words, from }) => `${from.join(', ')}: ${words}`),
  ];
}

/** Materials of which less is on the shelf than all of the sheet wants; where stock is kept. */
function shortages(
  input: SheetInput,
  wanted: readonly { name: string; grams: number }[],
): string[] {
  const sums = new Map<string, number>();
  for (const { name, grams: weight } of wanted) sums.set(name, (sums.get(name) ?? 0) + weight);
  return input.materials.flatMap(({ name, stockG }) => {
    const need = sums.get(name) ?? 0;
    return stockG !== null && need > stockG
      ? [`${name}: ${grams(need)} wanted, ${grams(stockG)} on the shelf`]
      : [];
  });
}

const shortLead = (lead: string, short: readonly string[]): string =>
  short.length === 0 ? lead : `${lead} Not enough: ${short.join('; ')}.`;

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

function weighCorners(input: SheetInput): Sheet {
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
      title: `${'ABCD'[i]}: ${name}. ${Math.ceil(ml)} ml are wanted: ${grams(dry)} dry, water to ${litres.toFixed(2)} l, SG ${TEST_SG}`,
      rows: made.lines.map((line) => [
        line.name,
        line.addition ? 'addition' : '',
        grams(line.grams),
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

function weighVariants(input: SheetInput): Sheet {
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
      title: `${grams(dryG)} dry each`,
      rows: mixes.map(({ mix, label }) => {
        const share = Object.values(mix.shares)[0] ?? 0;
        return [label, `${grams(dryG * (1 - share))} body`, `${grams(dryG * share)} glaze`];
      }),
    });
  else {
    const order = orderOfAdditions(variants);
    if (recipe === undefined) groups.push({ title: nameless(name), rows: [] });
    else {
      const made = batch(percentOf(recipe.lines), order.root.baseGrams, resolutionG);
      wanted.push(...made.lines);
      groups.push({
        title: `Base for all: ${name}, ${grams(order.root.baseGrams)} dry`,
        rows: made.lines.map((line) => [
          line.name,
          line.addition ? 'addition' : '',
          grams(line.grams),
        ]),
      });
    }
    groups.push({
      title: `Then, in this order (${order.weighings} weighings; what is in cannot be taken out)`,
      rows: mixSteps(order.root).map(([what = '', amount = '']) => [what, '', amount]),
    });
  }
  const used = [
    ...(recipe?.lines.map((line) => line.materialId) ?? []),
    ...mixes.flatMap(({ mix }) => Object.keys(mix.additions)),
  ];
  return {
    key: 'weigh',
    title: 'Weigh out',
    lead: shortLead(`${grams(dryG)} of dry base for each variant.`, shortages(input, wanted)),
    cautions: cautions(input, used),
    columns: ['What', '', 'Weigh'],
    groups,
  };
}

function cupSheet(input: SheetInput): Sheet {
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

function glazeSheet(input: SheetInput): Sheet {
  const rows = input.tiles.flatMap((tile) =>
    (input.layers.get(tile.pieceId) ?? []).map((layer, i) => ({
      turn: i + 1,
      coat: tile.mix === null ? (input.names.get(layer.coatingVersionId) ?? '') : `its own cup`,
      how: `${layer.method}, ${layer.coats} ${layer.coats === 1 ? 'coat' : 'coats'}${layer.weight === 'normal' ? '' : `, ${layer.weight}`}${layer.seconds === null ? '' : `, ${layer.seconds} s`}`,
      where: describeRegion(layer.region),
      no: tile.no,
      code: tile.code,
    })),
  );
  const bunches = new Map<string, string[]>();
  for (const row of rows) {
    const key = [row.turn, row.coat, row.how, row.where].join('\u0000');
    bunches.set(key, [...(bunches.get(key) ?? []), `${row.no}`]);
  }
  const turns = [...new Set(rows.map((row) => row.turn))].sort();
  return {
    key: 'glaze',
    title: 'Glazing order',
    lead: 'Wipe the bisque with a damp sponge, keep the foot bare, stir to the bottom every time.',
    cautions: ['Spraying or sanding dry glaze makes dust: respirator and extraction.'],
    columns: ['Coat', 'How', 'Where', 'Tiles'],
    groups: turns.map((turn) => ({
      title: turn === 1 ? 'First' : `Then, on the dry coat (${turn})`,
      rows: [...bunches].flatMap(([key, nos]) => {
        const [at, coat, how, where] = key.split('\u0000') as [string, string, string, string];
        return Number(at) === turn ? [[coat, how, where, nos.join(', ')]] : [];
      }),
    })),
  };
}

function labelSheet(input: SheetInput): Sheet {
  return {
    key: 'labels',
    title: 'Labels and key',
    lead: 'Scratch the code into the foot, or write it with an iron wash that survives the fire. Places on the shelves are drawn at random so that place and treatment are not confused.',
    cautions: [],
    columns: ['No', 'Code', 'Body', 'What', 'Shelf, place'],
    groups: [
      {
        title: '',
        rows: input.tiles.map((tile) => [
          `${input.question.no}-${tile.no}`,
          tile.code,
          tile.bodyName,
          `${tile.label}${tile.role === 'test' ? '' : ` (${tile.role})`}`,
          `${tile.shelf}, ${tile.place}`,
        ]),
      },
    ],
  };
}
