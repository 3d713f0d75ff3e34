/** Pictures of pieces: kept, put away. */
import { refreshCells } from '@/data/cells';
import { findFiring } from '@/data/firings';
import { newId } from '@/data/ids';
import { binPhoto, createPhotos, listPhotos } from '@/data/photos';
import { listPieces } from '@/data/pieces';
import { keepPicture, pictureStore } from '@/platform/objects';
import { operation } from '@/platform/operation';
import { found, refuse } from '@/platform/refusal';
import { mayTouchPiece, permit } from '../people';
import * as contracts from './contracts';

/** A picture of a piece (and the firing it came out of). The same one is never kept twice. */
export const addPicture = operation({
  contract: contracts.addPicture,
  permit: permit('write of own pieces'),
  prepare: async ({ db, person, file }, { pieceId, firingId }) => {
    const [piece] = await listPieces(db, { ids: [pieceId] });
    if (!mayTouchPiece(person, found(piece, 'This piece').ownerId))
      throw refuse('You can add pictures to your own pieces only.');
    if (firingId !== null) found(await findFiring(db, firingId), 'This firing');
    return { ...(await keepPicture(pictureStore(), file.bytes)), originalName: file.name };
  },
  run: async ({ trx, person, now }, { pieceId, firingId }, kept) => {
    const same = (await listPhotos(trx, { pieceIds: [pieceId], sha: kept.sha })).find(
      (one) => one.firingId === firingId,
    );
    if (same) return { id: same.id, sha: same.sha };
    const id = newId();
    await createPhotos(trx, [{ id, ...kept, pieceId, firingId }], person.id, now);
    if (firingId !== null) await refreshCells(trx, [{ pieceId, firingId }]);
    return { id, sha: kept.sha };
  },
});

export const binPicture = operation({
  contract: contracts.binPicture,
  permit: permit('keep records'),
  run: async ({ trx, now }, { photoId, binned }) => {
    const photo = found(await binPhoto(trx, photoId, binned ? now : null), 'This picture');
    if (photo.pieceId !== null && photo.firingId !== null)
      await refreshCells(trx, [{ pieceId: photo.pieceId, firingId: photo.firingId }]);
  },
});
