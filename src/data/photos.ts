import { insertMany, type Row, type Source } from './database';

export type Photo = {
  id: string;
  sha: string;
  width: number;
  height: number;
  pieceId: string | null;
  firingId: string | null;
  createdAt: Date;
};

export type NewPhoto = Omit<Photo, 'createdAt'> & { originalName: string };

export const photoOf = (row: Row): Photo => ({
  id: row.id,
  sha: row.sha,
  width: row.width,
  height: row.height,
  pieceId: row.piece_id,
  firingId: row.firing_id,
  createdAt: row.created_at,
});

/** Keeps pictures' rows; the same picture of the same piece and firing is kept once. */
export async function createPhotos(
  src: Source,
  photos: readonly NewPhoto[],
  by: string,
  now: Date,
): Promise<void> {
  await insertMany(
    src,
    'photo',
    photos.map((one) => ({
      id: one.id,
      sha: one.sha,
      width: one.width,
      height: one.height,
      original_name: one.originalName.slice(0, 200),
      piece_id: one.pieceId,
      firing_id: one.firingId,
      uploaded_by: by,
      created_at: now,
    })),
  );
}

/** Newest first. */
export async function listPhotos(
  src: Source,
  filter: { pieceIds?: readonly string[]; firingId?: string; sha?: string },
): Promise<Photo[]> {
  const query = src('photo')
    .whereNull('binned_at')
    .orderBy([
      { column: 'created_at', order: 'desc' },
      { column: 'id', order: 'desc' },
    ]);
  if (filter.pieceIds) query.whereIn('piece_id', filter.pieceIds);
  if (filter.firingId !== undefined) query.where('firing_id', filter.firingId);
  if (filter.sha !== undefined) query.where('sha', filter.sha);
  return (await query).map(photoOf);
}

export async function findPhoto(src: Source, id: string): Promise<Photo | null> {
  const row = await src('photo').where({ id }).whereNull('binned_at').first();
  return row === undefined ? null : photoOf(row);
}

export async function binPhoto(src: Source, id: string, at: Date | null): Promise<Photo | null> {
  const row = await src('photo').where({ id }).first();
  if (row === undefined) return null;
  await src('photo').where({ id }).update({ binned_at: at });
  return photoOf(row);
}

/** The same picture of the same piece and firing, also one that was put away. */
export async function samePhoto(
  src: Source,
  { sha, pieceId, firingId }: { sha: string; pieceId: string; firingId: string | null },
): Promise<{ id: string; binned: boolean } | null> {
  const row = await src('photo')
    .where({ sha, piece_id: pieceId, firing_id: firingId })
    .orderByRaw('binned_at IS NOT NULL')
    .first('id', 'binned_at');
  return row === undefined ? null : { id: row.id, binned: row.binned_at !== null };
}

/** Who sent a picture; null where there is none such. */
export const takenBy = async (src: Source, id: string): Promise<string | null> =>
  (await src('photo').where({ id }).first('uploaded_by'))?.uploaded_by ?? null;
