/** The sheets to work from: what is weighed, poured, dipped and scratched in, reckoned from a question. */
import { count } from '@/core/units';
import { hazardsByMaterial } from '@/core/chemistry';
import { describeRegion } from '@/core/zones';
import type { Material } from '@/data/materials';
import type { PieceLayer } from '@/data/layers';
import type { Question, QuestionTile } from '@/data/questions';
import type { Recipe } from '@/data/recipes';
import { weighCorners, weighVariants, cupSheet } from './weighing';
import { type Mix } from '@/core/designs/terms';

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
  /** The tiles are fired hard already: nothing can be scratched in. */
  fired: boolean;
  /** A weight in the studio's unit, to a hundredth of a gram. */
  weigh: (grams: number) => string;
};

/** Slurry for dipping test tiles, unless the studio says otherwise (common practice, no source). */
export const TEST_SG = 1.45;

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

export const cornersOf = (tiles: readonly QuestionTile[]): string[] => [
  ...new Set(tiles.flatMap(({ mix }) => Object.keys(mix?.shares ?? {}))),
];

/** Each mix once: repeats and bodies share a cup. */
export function ownMixes(tiles: readonly QuestionTile[]): { mix: Mix; nos: number[]; label: string }[] {
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

export function cautions(input: SheetInput, materialIds: readonly string[]): string[] {
  const used = input.materials.filter(({ id }) => materialIds.includes(id));
  return [
    DUST,
    ...hazardsByMaterial(used, ['dust', 'silica dust']).map(
      ({ words, from }) => `${from.join(', ')}: ${words}`,
    ),
  ];
}

/** Materials of which less is on the shelf than all of the sheet wants; where stock is kept. */
export function shortages(input: SheetInput, wanted: readonly { name: string; grams: number }[]): string[] {
  const sums = new Map<string, number>();
  for (const { name, grams: weight } of wanted) sums.set(name, (sums.get(name) ?? 0) + weight);
  return input.materials.flatMap(({ name, stockG }) => {
    const need = sums.get(name) ?? 0;
    return stockG !== null && need > stockG
      ? [`${name}: ${input.weigh(need)} wanted, ${input.weigh(stockG)} on the shelf`]
      : [];
  });
}

export const shortLead = (lead: string, short: readonly string[]): string =>
  short.length === 0 ? lead : `${lead} Not enough: ${short.join('; ')}.`;

function glazeSheet(input: SheetInput): Sheet {
  const rows = input.tiles.flatMap((tile) =>
    (input.layers.get(tile.pieceId) ?? []).map((layer, i) => ({
      turn: i + 1,
      coat: tile.mix === null ? (input.names.get(layer.coatingVersionId) ?? '') : `its own cup`,
      how: `${layer.method}, ${count(layer.coats, 'coat')}${layer.weight === 'normal' ? '' : `, ${layer.weight}`}${layer.seconds === null ? '' : `, ${layer.seconds} s`}`,
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
    lead: `${input.fired ? 'Write the code on the foot with an iron or underglaze pencil: it survives the fire.' : 'Scratch the code into the foot, deep enough to be read through glaze.'} Places on the shelves are drawn at random so that place and treatment are not confused.`,
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
