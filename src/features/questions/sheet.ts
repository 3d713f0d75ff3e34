/** A sheet to work from, what it is reckoned from, and what several of them need. */
import { hazardsByMaterial } from '@/core/chemistry';
import type { Mix } from '@/core/designs/terms';
import type { PieceLayer } from '@/data/layers';
import type { Material } from '@/data/materials';
import type { Question, QuestionTile } from '@/data/questions';
import type { Recipe } from '@/data/recipes';

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
