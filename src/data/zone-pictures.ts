/** Which picture shows a zone, and which part of it. */
import { cutOf, type Cut, type Shape } from '@/core/frame';
import { parseZoneKey } from '@/core/zones';
import type { Row, Source } from './database';
import { groupRows } from './rows';

/** A picture, with the part of it that shows a zone where it is framed. */
export type ZonePicture = { sha: string | null; cut: Cut | null };

/**
 * Sightings, each with every picture of its piece from that firing and the frame of its face there; without
 * any, once.
 */
export const sightingsInPictures = (src: Source) =>
  src('sighting')
    .join('piece', 'piece.id', 'sighting.piece_id')
    .leftJoin('face', function () {
      this.on('face.piece_id', 'sighting.piece_id').andOn('face.no', 'sighting.face_no');
    })
    .leftJoin('photo', function () {
      this.on('photo.piece_id', 'sighting.piece_id')
        .andOn('photo.firing_id', 'sighting.firing_id')
        .andOnNull('photo.binned_at');
    })
    .leftJoin('frame', function () {
      this.on('frame.photo_id', 'photo.id')
        .andOn('frame.face_no', 'sighting.face_no')
        .andOnNull('frame.removed_at');
    })
    .leftJoin('cell_picture', function () {
      this.on('cell_picture.cell_id', 'sighting.cell_id').andOn('cell_picture.photo_id', 'photo.id');
    })
    .select(
      'sighting.*',
      'piece.code',
      'photo.sha',
      'photo.id as photo_id',
      'photo.width',
      'photo.height',
      'frame.shape',
      'frame.sharpness',
      'face.kind as face_kind',
      'cell_picture.at as chosen_at',
    );

const SLIPPED: ReadonlySet<string> = new Set(['light-slip', 'dark-slip']);

/**
 * A picture of a slipped second face that nobody framed shows the first as well, whose cell it stands for
 * already.
 */
const ofAnother = (row: Row): boolean => row.shape === null && row.face_no > 1 && SLIPPED.has(row.face_kind);

const cutIn = (row: Row): Cut | null => {
  const place = row.zone === null ? null : parseZoneKey(row.zone);
  return row.shape === null || place === null
    ? null
    : cutOf(row.shape as Shape, place, row.height / row.width);
};

const NONE: ReadonlySet<string> = new Set();

/**
 * The picture that stands for a cell: the one somebody chose; of those that are framed, so that the zone
 * itself is seen, the sharpest, but rather of a piece that came out like most (`odd` names the others, by
 * "piece/firing"); else where the stack fills most of the piece, then of the one liked most, then seen last.
 */
export function bestPicture(
  rows: readonly Row[],
  odd: ReadonlySet<string> = NONE,
): ZonePicture & { code: string } {
  const isOdd = (row: Row): boolean => odd.has(`${row.piece_id}/${row.firing_id}`);
  const [best] = rows
    .map((row) => (ofAnother(row) ? { ...row, sha: null, chosen_at: null } : row))
    .sort(
      (a, b) =>
        Number(b.chosen_at !== null) - Number(a.chosen_at !== null) ||
        Number(b.sha !== null) - Number(a.sha !== null) ||
        Number(b.shape !== null) - Number(a.shape !== null) ||
        Number(isOdd(a)) - Number(isOdd(b)) ||
        // In steps: what the measure cannot tell apart is decided by the rest.
        Math.round(20 * ((b.sharpness ?? 0) - (a.sharpness ?? 0))) ||
        Math.round(4 * (b.area - a.area)) ||
        (b.rating ?? 0) - (a.rating ?? 0) ||
        b.seen_at.getTime() - a.seen_at.getTime() ||
        String(b.photo_id ?? '').localeCompare(String(a.photo_id ?? '')) ||
        String(a.code).localeCompare(String(b.code)),
    ) as [Row];
  return { sha: best.sha, code: best.code, cut: cutIn(best) };
}

/**
 * How pieces, each out of a firing, show a stack that is the right one, by "piece/firing"; what has no such
 * stack, or no picture, is left out.
 */
export async function picturesOfStack(
  src: Source,
  of: readonly { pieceId: string; firingId: string }[],
  isIt: (stackKey: string) => boolean,
): Promise<Map<string, ZonePicture>> {
  if (of.length === 0) return new Map();
  const rows: Row[] = await sightingsInPictures(src)
    .join('cell', 'cell.id', 'sighting.cell_id')
    .whereIn(
      'sighting.piece_id',
      of.map(({ pieceId }) => pieceId),
    )
    .whereIn(
      'sighting.firing_id',
      of.map(({ firingId }) => firingId),
    )
    .whereNotNull('photo.id')
    .select('cell.stack_key');
  const by = groupRows(
    rows.filter((row) => isIt(row.stack_key as string)),
    (row) => row,
    (row) => `${row.piece_id}/${row.firing_id}`,
  );
  return new Map([...by].map(([key, list]) => [key, bestPicture(list)]));
}

/**
 * Every picture of pieces in cells, by "cell/piece/firing", with the part that shows the cell where it is
 * framed.
 */
export async function picturesOfCells(
  src: Source,
  cellIds: readonly string[],
): Promise<Map<string, { id: string; sha: string; cut: Cut | null }[]>> {
  const rows: Row[] = await sightingsInPictures(src)
    .whereIn('sighting.cell_id', cellIds)
    .whereNotNull('photo.id')
    .orderBy([
      { column: 'photo.created_at', order: 'desc' },
      { column: 'photo.id', order: 'desc' },
    ]);
  return groupRows(
    rows,
    (row) => ({ id: row.photo_id as string, sha: row.sha as string, cut: cutIn(row) }),
    (row) => `${row.cell_id}/${row.piece_id}/${row.firing_id}`,
  );
}

/** Lets a picture stand for a cell whatever others there are; null for "the best of them, by itself". */
export async function choosePicture(
  src: Source,
  { cellId, photoId }: { cellId: string; photoId: string | null },
  by: string,
  now: Date,
): Promise<void> {
  if (photoId === null) await src('cell_picture').where({ cell_id: cellId }).delete();
  else
    await src('cell_picture')
      .insert({ cell_id: cellId, photo_id: photoId, chosen_by: by, at: now })
      .onConflict('cell_id')
      .merge();
}

export const chosenPicture = async (src: Source, cellId: string): Promise<string | null> =>
  (await src('cell_picture').where({ cell_id: cellId }).first('photo_id'))?.photo_id ?? null;
