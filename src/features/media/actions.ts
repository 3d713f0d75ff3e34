/** Pictures of pieces: kept, put away. */
import { refreshCells } from '@/data/cells';
import { findFiring } from '@/data/firings';
import { newId } from '@/data/ids';
import { binPhoto, createPhotos, samePhoto } from '@/data/photos';
import { holdPieces, listPieces } from '@/data/pieces';
import { wasIn } from '@/data/placements';
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
    // One after another for a piece: the same picture twice at once is one picture.
    await holdPieces(trx, [pieceId]);
    if (firingId !== null && !(await wasIn(trx, pieceId, firingId)))
      throw refuse('This piece was not in that firing.');
    const same = await samePhoto(trx, { sha: kept.sha, pieceId, firingId });
    if (same !== null && !same.binned) return { id: same.id, sha: kept.sha, added: false };
    const id = same?.id ?? newId();
    if (same === null) await createPhotos(trx, [{ id, ...kept, pieceId, firingId }], person.id, now);
    // Somebody had put it away, and sends it again: it is wanted after all.
    else await binPhoto(trx, id, null);
    if (firingId !== null) await refreshCells(trx, [{ pieceId, firingId }]);
    return { id, sha: kept.sha, added: true };
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
