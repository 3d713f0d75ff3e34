/** One picture kept as that of several pieces, each with its own frames. */
import { COLOUR_METHOD } from '@/core/colour';
import { FRAME_METHOD } from '@/core/sight';
import type { Transaction } from '@/data/database';
import { replaceFrames, type NewFrame, type PictureGrey } from '@/data/frames';
import { newId } from '@/data/ids';
import { binPhoto, createPhotos, samePhoto, type NewPhoto } from '@/data/photos';

export type KeptFor = { pieceId: string; firingId: string; frames: readonly NewFrame[] };

/**
 * Keeps it once a piece: one that a piece had already gets its frames anew. `added`: those that were not
 * there before.
 */
export async function keepFor(
  trx: Transaction,
  picture: Pick<NewPhoto, 'sha' | 'width' | 'height' | 'originalName'>,
  list: readonly KeptFor[],
  grey: PictureGrey | null,
  by: string,
  now: Date,
): Promise<{ photoIds: string[]; added: string[] }> {
  const photoIds: string[] = [];
  const added: string[] = [];
  for (const { pieceId, firingId, frames } of list) {
    const same = await samePhoto(trx, { sha: picture.sha, pieceId, firingId });
    const id = same?.id ?? newId();
    if (same === null) await createPhotos(trx, [{ id, ...picture, pieceId, firingId }], by, now);
    else if (same.binned) await binPhoto(trx, id, null);
    const said = { frames, grey, unframed: false, frameMethod: FRAME_METHOD, colourMethod: COLOUR_METHOD };
    await replaceFrames(trx, id, said, by, now);
    photoIds.push(id);
    if (same === null || same.binned) added.push(id);
  }
  return { photoIds, added };
}
