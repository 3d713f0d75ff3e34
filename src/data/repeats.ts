/** How far the studio’s repeats lie apart, and the colours it follows from. */
import {
  apartIn,
  deltaE,
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

/**
 * Colours that a grey told, of pieces in their firings, with the cell they are of: through current frames of
 * kept pictures.
 */
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
    .select(
      'sighting.cell_id',
      'sighting.piece_id',
      'sighting.firing_id',
      'zone_colour.l',
      'zone_colour.a',
      'zone_colour.b',
      'zone_colour.parts',
    );

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
  ofPieces(
    await measuredIn(src)
      .whereIn('sighting.cell_id', cellIds)
      .orderBy([
        'sighting.cell_id',
        'sighting.piece_id',
        'sighting.firing_id',
        'photo.created_at',
        'photo.id',
      ]),
  );

/** While nothing newer is framed it holds; while much is, it is made no oftener than this. */
const AGAIN_MS = 60_000;

/**
 * Makes the scatter of repeats again where pictures were framed since, and marks the cells for which it
 * decides whether their pieces are of one colour. Cheap where nothing was.
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
  if (kept !== undefined && (changed < since - AGAIN_MS || now.getTime() - since < AGAIN_MS)) return;
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

/** Of each piece that was measured: its colour where it bears most of a stack, after its last firing. */
export async function mainColours(
  src: Source,
  pieceIds: readonly string[],
): Promise<Map<string, PieceColour>> {
  if (pieceIds.length === 0) return new Map();
  const rows: Row[] = await measuredIn(src)
    .join('cell', 'cell.id', 'sighting.cell_id')
    .whereIn('sighting.piece_id', pieceIds)
    .orderByRaw('cell.depth > 0, sighting.generation, sighting.area')
    .select('cell.depth');
  const best = new Map(rows.map((row) => [row.piece_id as string, row.cell_id as string]));
  return new Map(
    ofPieces(rows.filter((row) => best.get(row.piece_id) === row.cell_id)).map((one) => [one.pieceId, one]),
  );
}

/** How far a zone of a piece lies in colour from the others of its cell, and how many those are. */
export type Beside = { distance: number; pieces: number; sameFiring: boolean };

/**
 * For the zones of a piece after its firings, by "firing/zone": how it came out beside the others of its
 * stack.
 */
export async function besideKin(src: Source, pieceId: string): Promise<Map<string, Beside>> {
  const rows: Row[] = await src('sighting')
    .where({ piece_id: pieceId })
    .select('cell_id', 'firing_id', 'zone');
  const all = await coloursOfCells(src, [...new Set(rows.map((row) => row.cell_id as string))]);
  return new Map(
    rows.flatMap((row): [string, Beside][] => {
      const here = all.filter(({ cellId }) => cellId === row.cell_id);
      const own = here.find((one) => one.pieceId === pieceId && one.firingId === row.firing_id);
      const others = here.filter((one) => one.pieceId !== pieceId);
      if (own === undefined || others.length === 0) return [];
      const distance = deltaE(own.lab, middleLab(others.map((one) => one.lab)));
      const sameFiring = others.every(({ firingId }) => firingId === row.firing_id);
      return [[`${row.firing_id}/${row.zone}`, { distance, pieces: others.length, sameFiring }]];
    }),
  );
}
