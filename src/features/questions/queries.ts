import { listBodies, listCoatings } from '@/data/catalogue';
import type { Source } from '@/data/database';
import { listMaterials } from '@/data/materials';
import { layersOf } from '@/data/pieces';
import { listQuestions, tilesOf, type Question } from '@/data/questions';
import { recipesOf } from '@/data/recipes';
import { tileStock } from '@/data/stock';
import { sheetsFor, type Sheet } from './sheets';

/** A question with its tiles and the sheets to work from; null when there is none of this number. */
export async function questionData(src: Source, no: number) {
  const question = (await listQuestions(src)).find((one) => one.no === no);
  if (question === undefined) return null;
  const tiles = await tilesOf(src, question.id);
  const coatings = await listCoatings(src);
  const names = new Map(
    coatings.flatMap((coating) =>
      coating.versions.map((version) => [
        version.id,
        version.no === 1 ? coating.name : `${coating.name} v${version.no}`,
      ]),
    ),
  );
  const corners = [...new Set(tiles.flatMap(({ mix }) => Object.keys(mix?.shares ?? {})))];
  const sheets: Sheet[] =
    tiles.length === 0
      ? []
      : sheetsFor({
          question,
          tiles,
          names,
          recipes: await recipesOf(src, corners),
          materials: await listMaterials(src),
          layers: await layersOf(
            src,
            tiles.map(({ pieceId }) => pieceId),
            ['meant'],
          ),
        });
  return { question, tiles, sheets, names };
}

export type AskChoices = Awaited<ReturnType<typeof askChoices>>;

/** What a new question can be asked of: bodies, coatings with and without recipe, materials, blanks. */
export async function askChoices(src: Source, now: Date) {
  const [bodies, coatings, materials, stock] = [
    await listBodies(src),
    await listCoatings(src),
    await listMaterials(src),
    await tileStock(src, now),
  ];
  const latest = coatings.filter((one) => !one.archived && !one.name.startsWith('Question '));
  const recipes = await recipesOf(
    src,
    latest.flatMap(({ versions }) => versions.at(-1)?.id ?? []),
  );
  return {
    bodies: bodies
      .filter(({ archived }) => !archived)
      .map(({ id, name, colour }) => ({ id, name, colour })),
    coatings: latest.flatMap(({ name, kind, colour, versions }) => {
      const version = versions.at(-1);
      return version === undefined || kind === 'slip' || kind === 'engobe'
        ? []
        : [{ id: version.id, name, colour, recipe: recipes.has(version.id) }];
    }),
    materials: materials
      .filter(({ archived }) => !archived)
      .map(({ id, slug, name }) => ({ id, slug, name })),
    stock,
  };
}

/** Questions whose tiles have all come out of the kiln and been written up: they ask to be concluded. */
export const ripe = (question: Question): boolean =>
  question.conclusion === null && question.tiles > 0 && question.seen === question.tiles;
