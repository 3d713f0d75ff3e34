/** Frames in pictures: said, and their zones measured. */
import { wrongWith } from '@/core/frame';
import { FRAME_METHOD } from '@/core/sight';
import { COLOUR_METHOD } from '@/core/colour';
import { zonesOf } from '@/core/zones';
import { refreshCells } from '@/data/cells';
import { framesOf, greyCard, greysOf, replaceFrames, sayGreyCard } from '@/data/frames';
import { findPhoto } from '@/data/photos';
import { holdPieces, listPieces, loadPieces } from '@/data/pieces';
import { listPlacements } from '@/data/placements';
import type { Database } from '@/data/database';
import { pictureFile, pictureStore } from '@/platform/objects';
import { operation } from '@/platform/operation';
import { rasterOf } from '@/platform/raster';
import { found, refuse } from '@/platform/refusal';
import { mayTouchPiece, permit } from '../people';
import * as contracts from './contracts';
import { measured } from './measure';

/** The zones of a piece as it came out of a firing: of its last, where a picture is of none. */
async function zonesThen(db: Database, pieceId: string, firingId: string | null) {
  const [piece] = await loadPieces(db, { ids: [pieceId] });
  const placements = await listPlacements(db, { pieceIds: [pieceId] });
  const generation =
    placements.find((one) => one.firingId === firingId)?.generation ??
    Math.max(1, ...placements.map((one) => one.generation));
  return piece === undefined || piece.keyKnown === 'lost'
    ? []
    : zonesOf(piece.faces, piece.done, generation);
}

export const setFrames = operation({
  contract: contracts.setFrames,
  permit: permit('write of own pieces'),
  prepare: async ({ db, person }, { photoId, frames, grey }) => {
    const photo = found(await findPhoto(db, photoId), 'This picture');
    if (photo.pieceId === null) throw refuse('This picture is of no piece.');
    const [piece] = await listPieces(db, { ids: [photo.pieceId] });
    if (!mayTouchPiece(person, found(piece, 'This piece').ownerId))
      throw refuse('You can frame pictures of your own pieces only.');
    for (const { shape } of frames) {
      const wrong = wrongWith(shape);
      if (wrong !== null) throw refuse(wrong);
    }
    const [bytes, zones, card] = await Promise.all([
      pictureStore().read(pictureFile(photo.sha, 'large')),
      zonesThen(db, photo.pieceId, photo.firingId),
      greyCard(db),
    ]);
    const raster = await rasterOf(found(bytes, 'The file of this picture'));
    return { photo: { ...photo, pieceId: photo.pieceId }, card, result: measured(raster, frames, zones, { steps: grey, card }) }; // prettier-ignore
  },
  run: async ({ trx, person, now }, { photoId, grey }, { photo, card, result }) => {
    await holdPieces(trx, [photo.pieceId]);
    const before = {
      photoId,
      frames: (await framesOf(trx, [photoId])).map(({ face, shape, guessed }) => ({ face, shape, guessed })), // prettier-ignore
      grey: (await greysOf(trx, [photoId])).get(photoId)?.steps ?? null,
    };
    await replaceFrames(
      trx,
      photoId,
      {
        frames: result.frames,
        grey: grey === null ? null : { steps: grey, card: card ?? [] },
        frameMethod: FRAME_METHOD,
        colourMethod: COLOUR_METHOD,
      },
      person.id,
      now,
    );
    if (photo.firingId !== null)
      await refreshCells(trx, [{ pieceId: photo.pieceId, firingId: photo.firingId }]);
    const zones = result.frames.reduce((sum, { colours }) => sum + colours.length, 0);
    return { zones, byGrey: result.byGrey, why: result.why, before };
  },
});

export const sayCard = operation({
  contract: contracts.sayCard,
  permit: permit('keep records'),
  run: async ({ trx }, { card }) => {
    await sayGreyCard(trx, card.length === 0 ? null : card);
  },
});
