import { SI, formatMass } from '@/core/units';
import type { Source } from '@/data/database';
import { readStudio, unitsOf } from '@/data/studio';
import { listMaterials } from '@/data/materials';
import { layersOf } from '@/data/layers';
import { listPieces } from '@/data/pieces';
import { askedThroughClinic, listQuestions, tilesOf, type Question } from '@/data/questions';
import type { Person } from '@/data/people';
import { recipesOf } from '@/data/recipes';
import { tileStock } from '@/data/stock';
import { listObservations } from '@/data/observations';
import { groupRows } from '@/data/rows';
import { shownWords, stateOf } from '@/core/looks';
import { may } from '../people';
import type { Sheet } from './sheet';
import { sheetsFor } from './sheets';
import { listBodies } from '@/data/bodies';
import { listCoatings, offeredVersions } from '@/data/coatings';

/** A question with its tiles and the sheets to work from; null when there is none of this number. */
export async function questionData(src: Source, no: number) {
  const [question] = Number.isInteger(no) ? await listQuestions(src, { no }) : [];
  if (question === undefined) return null;
  const plain = await tilesOf(src, question.id);
  const seen = groupRows(
    await listObservations(src, {
      pieceIds: plain.map(({ pieceId }) => pieceId),
      current: true,
    }),
    (one) => one,
    ({ pieceId }) => pieceId,
  );
  const tiles = plain.map((tile) => {
    const state = stateOf(
      (seen.get(tile.pieceId) ?? []).map((one) => ({
        ...one,
        by: one.seenBy,
        seenAt: one.seenAt.toISOString(),
      })),
    );
    return { ...tile, shown: shownWords(state?.now ?? null, question.about) };
  });
  const [coatings, studio] = await Promise.all([listCoatings(src), readStudio(src)]);
  const units = studio === null ? SI : unitsOf(studio);
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
          fired: (await listPieces(src, { ids: [tiles[0]!.pieceId] }))[0]?.waitingFor !== 'bisque',
          weigh: (grams) => formatMass(grams, units, 0.01),
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
  const [bodies, coatings, materials, stock] = await Promise.all([
    listBodies(src),
    listCoatings(src),
    listMaterials(src),
    tileStock(src, now),
  ]);
  const offered = offeredVersions(coatings, also === undefined ? [] : [also])
    .filter(({ coating }) => !SLIPS.has(coating.kind))
    .map(({ coating, version, name }) => ({ id: version.id, name, colour: coating.colour }));
  const recipes = await recipesOf(
    src,
    offered.map(({ id }) => id),
  );
  return {
    bodies: bodies.filter(({ archived }) => !archived).map(({ id, name, colour }) => ({ id, name, colour })),
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

/**
 * A question as this person may see it: those who keep records all of it; whoever asked the clinic, what was
 * made for their case, with the sheets that hold no recipe. Null where there is nothing for them.
 */
export async function questionSeen(src: Source, person: Person, no: number) {
  const data = await questionData(src, no);
  if (data === null || may(person, 'see records')) return data;
  if (!(await askedThroughClinic(src, data.question.id, person.id))) return null;
  return { ...data, sheets: data.sheets.filter(({ key }) => key === 'glaze' || key === 'labels') };
}
