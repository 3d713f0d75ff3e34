import { refreshCells } from '@/data/cells';
import { transact, type Database } from '@/data/database';
import { findFiring } from '@/data/firings';
import { newId } from '@/data/ids';
import { createPhotos, listPhotos } from '@/data/photos';
import { listPieces } from '@/data/pieces';
import type { Person } from '@/data/people';
import { keepPicture, pictureStore } from '@/platform/pictures';
import { notFound, refuse } from '@/platform/refusal';
import { mayTouchPiece } from '../people';

export type KeptPhoto = { id: string; sha: string };

/**
 * Keeps a picture of a piece (and the firing it came out of). Sending the same one
 * again, as after a lost connection, keeps nothing twice.
 */
export async function addPicture(
  db: Database,
  person: Person,
  request: { bytes: Buffer; name: string; pieceId: string; firingId: string | null },
  now: Date,
): Promise<KeptPhoto> {
  const [piece] = await listPieces(db, { ids: [request.pieceId] });
  if (piece === undefined) throw notFound('This piece');
  if (!mayTouchPiece(person, piece.ownerId))
    throw refuse('You can add pictures to your own pieces only.');
  if (request.firingId !== null && (await findFiring(db, request.firingId)) === null)
    throw notFound('This firing');
  const kept = await keepPicture(pictureStore(), request.bytes);
  return transact(db, async (trx) => {
    const same = (await listPhotos(trx, { pieceIds: [piece.id], sha: kept.sha })).find(
      (one) => one.firingId === request.firingId,
    );
    if (same) return { id: same.id, sha: same.sha };
    const id = newId();
    await createPhotos(
      trx,
      [{ id, ...kept, pieceId: piece.id, firingId: request.firingId, originalName: request.name }],
      person.id,
      now,
    );
    if (request.firingId !== null)
      await refreshCells(trx, [{ pieceId: piece.id, firingId: request.firingId }]);
    return { id, sha: kept.sha };
  });
}
