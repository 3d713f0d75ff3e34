/** How far the studio’s repeats lie apart, and the colours it follows from. */
import {
  apartIn,
  middleLab,
  repeatsOf,
  type Lab,
  type PieceColour,
  type Repeats,
} from '@/core/colour';
import type { Row, Source } from './database';
import { groupRows } from './rows';

export const NO_REPEATS: Repeats = { within: null, between: null };

export async function readRepeats(src: Source): Promise<Repeats> {
  return (await src('repeats').where({ id: 1 }).first('scatter'))?.scatter ?? NO_REPEATS;
}

const lab = (row: Row): Lab => [row.l, row.a, row.b];

/** Colours that a grey told, of pieces in their firings, with the cell they are of: through current frames of kept pictures. */
const measuredIn = (src: Source) =>
  src('zone_colour')
    .join('frame', 'frame.id', 'zone_colour.frame_id')
    .join('photo', 'photo.id', 'frame.photo_id')
    .join('sighting', function () {
      this.on('sighting.piece_id', 'photo.piece_id')
        .andOn('sighting.firing_id', 'photo.firing_id')
        .andOn('sighting.zone', 'zone_colour.zone');
    })
    .where('zone_colour.by_grey', true)
    .whereNull('frame.removed_at')
    .whereNull('photo.binned_at')
    .select('sighting.cell_id', 'sighting.piece_id', 'sighting.firing_id', 'zone_colour.l', 'zone_colour.a', 'zone_colour.b', 'zone_colour.parts'); // prettier-ignore

/** A piece that several pictures show has the colour in the middle of theirs. */
function ofPieces(rows: readonly Row[]): (PieceColour & { cellId: string })[] {
  const by = groupRows(
    rows,
    (row) => row,
    (row) => `${row.cell_id}/${row.piece_id}/${row.firing_id}`,
  );
  return [...by.values()].map((list) => {
    const { cell_id: cellId, piece_id: pieceId, firing_id: firingId, parts } = list[0] as Row;
    return { cellId, pieceId, firingId, lab: middleLab(list.map(lab)), parts };
  });
}

/** The colours of the pieces of cells. */
export const coloursOfCells = async (
  src: Source,
  cellIds: readonly string[],
): Promise<(PieceColour & { cellId: string })[]> =>
  // prettier-ignore
  ofPieces(
    await measuredIn(src)
      .whereIn('sighting.cell_id', cellIds)
      .orderBy(['sighting.cell_id', 'sighting.piece_id', 'sighting.firing_id', 'photo.created_at', 'photo.id']), // prettier-ignore
  );

/** While nothing newer is framed it holds; while much is, it is made no oftener than this. */
const AGAIN_MS = 60_000;

/**
 * Makes the scatter of repeats again where pictures were framed since, and marks the cells for which it decides whether
 * their pieces are of one colour. Cheap where nothing was.
 */
export async function freshenRepeats(src: Source, now = new Date()): Promise<void> {
  const last = await src('frame')
    .select(src.raw('MAX(at) AS framed'), src.raw('MAX(removed_at) AS taken'))
    .first();
  const changed = Math.max(last?.framed?.getTime() ?? 0, last?.taken?.getTime() ?? 0);
  if (changed === 0) return;
  const kept: Row | undefined = await src('repeats').where({ id: 1 }).first();
  const since = kept?.at.getTime() ?? 0;
  // A frame may be kept a moment after what it calls its time.
  if (kept !== undefined && (changed < since - AGAIN_MS || now.getTime() - since < AGAIN_MS)) return; // prettier-ignore
  await makeRepeats(src, now);
}

/** Makes the scatter of repeats again, whatever it was. */
export async function makeRepeats(src: Source, now: Date): Promise<void> {
  const before = await readRepeats(src);
  const scatter = repeatsOf(ofPieces(await measuredIn(src)));
  await src('repeats')
    .insert({ id: 1, scatter: JSON.stringify(scatter), at: now })
    .onConflict('id')
    .merge();
  if (apartIn(before) !== apartIn(scatter))
    await src('cell').whereNotNull('colour').where('pieces', '>', 1).update({ stale: true });
}
