/** Cutting a part of a picture away for good: a face in the background, a name on a wall. */
import { cutsInto, spotIn } from '@/core/frame';
import { refreshCells } from '@/data/cells';
import { framesOf, greysOf, putCropped } from '@/data/frames';
import { findPhoto, listPhotos } from '@/data/photos';
import { listPieces } from '@/data/pieces';
import { cropPicture as cropped, pictureStore, removePicture } from '@/platform/objects';
import { operation } from '@/platform/operation';
import { found, refuse } from '@/platform/refusal';
import { permit } from '../people';
import * as contracts from './contracts';

export const cropPicture = operation({
  contract: contracts.cropPicture,
  permit: permit('keep records'),
  prepare: async ({ db }, { photoId, keep }) => {
    const { sha } = found(await findPhoto(db, photoId), 'This picture');
    return { sha, kept: await cropped(pictureStore(), sha, keep) };
  },
  run: async ({ trx }, { photoId, keep }, { sha, kept }) => {
    const photo = found(await findPhoto(trx, photoId), 'This picture');
    if (photo.sha !== sha) throw refuse('Somebody else has just cut this picture. Look at it again.');
    const photos = await listPhotos(trx, { sha });
    const frames = await framesOf(
      trx,
      photos.map(({ id }) => id),
    );
    const hurt = frames.filter(({ shape }) => cutsInto(shape, keep, photo.height / photo.width));
    if (hurt.length > 0) {
      const ids = hurt.flatMap((frame) => photos.find(({ id }) => id === frame.photoId)?.pieceId ?? []);
      const codes = (await listPieces(trx, { ids })).map(({ code }) => code);
      throw refuse(`That would cut into ${codes.join(', ')}, framed in this picture. Keep all of it.`);
    }
    const outside = [
      ...(
        await greysOf(
          trx,
          photos.map(({ id }) => id),
        )
      ).values(),
    ].some(({ steps }) =>
      steps.map((one) => spotIn(one, keep)).some(({ x, y }) => x < 0 || y < 0 || x > 1 || y > 1),
    );
    if (outside)
      throw refuse(
        'That would cut off the grey card by which its colours were measured. Keep it in the picture.',
      );
    await putCropped(trx, sha, kept, keep);
    await refreshCells(
      trx,
      photos.flatMap(({ pieceId, firingId }) =>
        pieceId !== null && firingId !== null ? [{ pieceId, firingId }] : [],
      ),
    );
    return { pieces: new Set(photos.map(({ pieceId }) => pieceId)).size };
  },
  after: async (db, { sha, kept }) => {
    if (sha !== kept.sha && (await listPhotos(db, { sha })).length === 0)
      await removePicture(pictureStore(), sha);
  },
});
