/** Measures framed pictures again, after the method has become better. */
import { COLOUR_METHOD } from '@/core/colour';
import { refreshCells } from '@/data/cells';
import { transact, type Database } from '@/data/database';
import { framesOf, greyCard, greysOf, measuredOtherwise, rewriteColours } from '@/data/frames';
import { findPhoto } from '@/data/photos';
import { holdPieces } from '@/data/pieces';
import { pictureFile, pictureStore } from '@/platform/objects';
import { rasterOf } from '@/platform/raster';
import { measured } from './measure';
import { zonesThen } from './zones-then';

export type Again = { done: number; unread: string[] };

/**
 * Measures every picture that another version of the method measured; what is done stays done, so that it can
 * be broken off and begun again. Pictures whose file cannot be read are left as they are and named.
 */
export async function measureAgain(
  db: Database,
  progress: (done: number, all: number) => void = () => {},
): Promise<Again> {
  const ids = await measuredOtherwise(db, COLOUR_METHOD);
  const unread: string[] = [];
  for (const [i, id] of ids.entries()) {
    if (!(await measurePicture(db, id))) unread.push(id);
    progress(i + 1, ids.length);
  }
  return { done: ids.length - unread.length, unread };
}

/** False where its file cannot be read. */
async function measurePicture(db: Database, photoId: string): Promise<boolean> {
  const photo = await findPhoto(db, photoId);
  if (photo?.pieceId == null) return true;
  const { pieceId, firingId, sha } = photo;
  const [bytes, frames, zones, greys, card] = await Promise.all([
    pictureStore().read(pictureFile(sha, 'large')),
    framesOf(db, [photoId]),
    zonesThen(db, pieceId, firingId),
    greysOf(db, [photoId]),
    greyCard(db),
  ]);
  const raster = bytes === null ? null : await rasterOf(bytes).catch(() => null);
  if (raster === null) return false;
  const grey = greys.get(photoId);
  // The card it was taken beside, as it was stated then.
  const by = {
    steps: grey?.steps ?? null,
    card: grey !== undefined && grey.card.length > 0 ? grey.card : card,
  };
  const result = measured(raster, frames, zones, by);
  await transact(db, async (trx) => {
    await holdPieces(trx, [pieceId]);
    // Somebody may have framed it anew meanwhile: then that is measured already.
    const now = new Set((await framesOf(trx, [photoId])).map(({ id }) => id));
    const kept = result.frames.flatMap((one, k) =>
      now.has(frames[k]!.id) ? [{ ...one, id: frames[k]!.id }] : [],
    );
    await rewriteColours(trx, kept, COLOUR_METHOD);
    if (firingId !== null) await refreshCells(trx, [{ pieceId, firingId }]);
  });
  return true;
}
