import type { Source } from './database';

/** Pictures of pieces in which nobody has framed anything, nor said that there is nothing to frame. */
export const withoutFrame = (src: Source, ownerId: string | null) => {
  const query = src('photo')
    .join('piece', 'piece.id', 'photo.piece_id')
    .whereNotNull('photo.firing_id')
    .where('photo.unframed', false)
    .whereNull('photo.binned_at')
    .whereNull('piece.binned_at')
    .whereNot('piece.key_known', 'lost')
    .whereNotExists(
      src('frame').whereRaw('frame.photo_id = photo.id').whereNull('frame.removed_at').select(src.raw('1')),
    );
  return ownerId === null ? query : query.where('piece.owner_id', ownerId);
};

export const countUnframed = (src: Source, ownerId: string | null) =>
  withoutFrame(src, ownerId).count({ n: '*' });
