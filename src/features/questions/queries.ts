import { listBodies, listCoatings, offeredVersions } from '@/data/catalogue';
import type { Source } from '@/data/database';
import { listMaterials } from '@/data/materials';
import { layersOf } from '@/data/layers';
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

const SLIPS = new Set(['slip', 'engobe']);

export type AskChoices = Awaited<ReturnType<typeof askChoices>>;

/**
 * What a new question can be asked of: bodies, the newest version of every coating (and
 * the version `also`, by id), materials, blanks.
 */
export async function askChoices(src: Source, now: Date, also?: string) {
  const [bodies, coatings, materials, stock] = [
    await listBodies(src),
    await listCoatings(src),
    await listMaterials(src),
    await tileStock(src, now),
  ];
  const offered = offeredVersions(coatings, also === undefined ? [] : [also])
    .filter(({ coating }) => !SLIPS.has(coating.kind))
    .map(({ coating, version, name }) => ({ id: version.id, name, colour: coating.colour }));
  const recipes = await recipesOf(
    src,
    offered.map(({ id }) => id),
  );
  return {
    bodies: bodies
      .filter(({ archived }) => !archived)
      .map(({ id, name, colour }) => ({ id, name, colour })),
    coatings: offered.map((one) => ({ ...one, recipe: recipes.has(one.id) })),
    materials: materials
      .filter(({ archived }) => !archived)
      .map(({ id, slug, name }) => ({ id, slug, name })),
    stock,
  };
}

/** Questions whose tiles have all come out of the kiln and been written up: they ask to be concluded. */
export const ripe = (question: Question): boolean =>
  question.conclusion === null && question.tiles > 0 && question.seen === question.tiles;
