import { wrongWith } from '@/core/frame';
import { count } from '@/core/units';
import { placeOf, tileOf } from '@/core/wallboard';
import { plainName } from '@/core/zones';
import { boardOfPieces } from '@/data/cell-pieces';
import { refreshCells } from '@/data/cells';
import { listCoatings } from '@/data/coatings';
import type { Source } from '@/data/database';
import { setArchived } from '@/data/entries';
import { greyCard } from '@/data/frames';
import { keepPicture, pictureFile, pictureStore } from '@/platform/objects';
import { operation } from '@/platform/operation';
import { telling } from '@/platform/progress';
import { rasterOf } from '@/platform/raster';
import { found, refuse } from '@/platform/refusal';
import { planRows, writeImport, type ImportRow } from '../exchange/server';
import { keepFor, measured } from '../frames/server';
import { permit } from '../people';
import * as contracts from './contracts';
import { framesOn, rowsOf, zonesOn } from './rows';

/** Names are one where they differ in capitals and marks only, as in any table of past tests. */
const everyNew = (namings: readonly { name: string; id: string | null }[]): Record<string, string> =>
  Object.fromEntries(namings.flatMap(({ name, id }) => (id === null ? [[name, 'new']] : [])));

const inUse = async (src: Source) => (await listCoatings(src)).filter(({ archived }) => !archived);

/** Coatings of these rows that were not in use before: made for them, or put away once and in use again. */
async function givenBack(
  trx: Source,
  rows: readonly ImportRow[],
  before: ReadonlySet<string>,
): Promise<string[]> {
  const named = new Set(rows.flatMap(({ coats }) => coats.map(({ coating }) => plainName(coating))));
  const fresh = (await listCoatings(trx)).filter(
    ({ id, name, mergedInto }) => !before.has(id) && mergedInto === null && named.has(plainName(name)),
  );
  for (const { id, archived } of fresh) if (archived) await setArchived(trx, 'coating', id, null);
  return fresh.map(({ id }) => id);
}

export const bringBoard = operation({
  contract: contracts.bringBoard,
  permit: permit('run the studio'),
  prepare: async ({ db, file }, { board, tiles, grey }) => {
    for (const { row, column, shape } of tiles) {
      const wrong = wrongWith(shape);
      if (wrong !== null) throw refuse(`${placeOf(row, column)}: ${wrong}`);
    }
    const kept = await keepPicture(pictureStore(), file.bytes);
    const [bytes, card, coatings] = await Promise.all([
      pictureStore().read(pictureFile(kept.sha, 'large')),
      greyCard(db),
      listCoatings(db),
    ]);
    const raster = await rasterOf(found(bytes, 'The file of this picture'));
    const known = new Map(
      coatings.map(({ name, slug, kind, versions }) => [
        plainName(name),
        { slug, kind, version: versions.at(-1)!.no },
      ]),
    );
    const results = tiles.map(({ row, column, own, shape }) => {
      const zones = zonesOn(board, tileOf(board, row, column, own), (name) => known.get(plainName(name)));
      return measured(raster, framesOn(board, shape), zones, { steps: grey, card });
    });
    return { kept: { ...kept, originalName: file.name }, card, results };
  },
  run: ({ trx, person, now, operationId }, input, { kept, card, results }) =>
    telling(operationId, async (tell) => {
      const rows = rowsOf(input);
      const asked = await planRows(trx, rows, { bodies: {}, coatings: {}, kilns: {} });
      const planned = await planRows(trx, rows, {
        bodies: everyNew(asked.bodies),
        coatings: everyNew(asked.coatings),
        kilns: {},
      });
      const options = {
        kilnForRest: input.kilnId ?? 'new',
        method: input.method,
        conesShown: input.conesShown,
      };
      const there = new Set((await inUse(trx)).map(({ id }) => id));
      const { made, pieces } = await writeImport(trx, planned, options, input.name, person.id, now, tell);
      tell(0.85, `Giving ${count(pieces.length, 'tile')} their part of the picture`);
      const list = pieces.map((one, i) => ({ ...one, frames: results[i]!.frames }));
      await keepFor(
        trx,
        kept,
        list,
        input.grey === null ? null : { steps: input.grey, card: card ?? [] },
        person.id,
        now,
      );
      await refreshCells(trx, pieces);
      const pieceIds = pieces.map(({ pieceId }) => pieceId);
      return {
        lotId: made.lotId,
        pieceIds,
        coatingIds: await givenBack(trx, rows, there),
        bodies: made.bodies,
        measured: results.filter(({ byGrey }) => byGrey).length,
        chart: await boardOfPieces(trx, pieceIds),
      };
    }),
});
