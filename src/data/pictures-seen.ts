/** Who a kept picture belongs to, and on which boards it is seen: who may look is asked with that. */
import type { BoardOf } from './board';
import type { Row, Source } from './database';
import { keepRead } from './kept';

/** What a picture shows, as often as it is on record; `binned`: it, or its piece, was put away. */
export type Shows = {
  /** Null: no piece, a firing at most. */
  piece: { ownerId: string | null; shown: boolean } | null;
  binned: boolean;
};

/** Kept: a page asks for dozens of pictures at once. */
export const whatPictureShows = keepRead({
  most: 5000,
  key: (sha: string) => sha,
  read: readShows,
  worth: (shows) => shows.length > 0,
});

async function readShows(src: Source, sha: string): Promise<Shows[]> {
  const rows: Row[] = await src('photo')
    .leftJoin('piece', 'piece.id', 'photo.piece_id')
    .where('photo.sha', sha)
    .select(
      'photo.piece_id',
      'photo.binned_at',
      'piece.owner_id',
      'piece.shown',
      'piece.binned_at as piece_binned_at',
    );
  return rows.map((row) => ({
    piece: row.piece_id === null ? null : { ownerId: row.owner_id, shown: row.shown === 1 },
    binned: row.binned_at !== null || row.piece_binned_at !== null,
  }));
}

/** Does a picture stand for a cell anywhere on the chart that all of the studio shares? */
export const standsOnChart = async (src: Source, sha: string): Promise<boolean> =>
  (await src('cell').where({ photo_sha: sha }).first('id')) !== undefined;

/** Is it a picture of a piece that counts on this board? */
export async function isSeenOnBoard(src: Source, sha: string, board: BoardOf): Promise<boolean> {
  const row = await src('photo')
    .join('sighting', function () {
      this.on('sighting.piece_id', 'photo.piece_id').andOn('sighting.firing_id', 'photo.firing_id');
    })
    .join('cell', 'cell.id', 'sighting.cell_id')
    .join('body', 'body.id', 'cell.body_id')
    .where({
      'photo.sha': sha,
      'body.slug': board.body,
      'cell.cone': board.cone,
      'cell.atmosphere': board.atmosphere,
    })
    .whereNull('photo.binned_at')
    .whereNotExists(
      src('piece').whereRaw('piece.id = photo.piece_id').whereNotNull('piece.binned_at').select('id'),
    )
    .modify((query) => {
      if (board.slips !== null) void query.where('cell.slips', board.slips);
    })
    .first('photo.id');
  return row !== undefined;
}
