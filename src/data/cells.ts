/**
 * Cell summaries: what the chart reads. They follow from observations alone and are
 * kept in the transaction that changes an observation, a layer or a firing.
 */
import { cellKey, sightingsOf, summarise } from '@/core/standing';
import type { Sighting } from '@/core/standing';
import type { Row, Source } from './database';
import { loadFired, type Fired, type Pair } from './fired';
import { cellId } from './ids';
import { holdPieces } from './pieces';

const CHUNK = 400;

/** Brings the cells that these pieces stand in, or stood in, up to date. */
export async function refreshCells(src: Source, pairs: readonly Pair[]): Promise<void> {
  for (let i = 0; i < pairs.length; i += CHUNK) {
    const chunk = pairs.slice(i, i + CHUNK);
    const pieceIds = [...new Set(chunk.map((pair) => pair.pieceId))];
    // Held before they are read: whoever writes of another zone of a piece comes after, and sees this.
    await holdPieces(src, pieceIds);
    const rows: Row[] = await src('sighting')
      // MariaDB finds no index for pairs alone, so the pieces are named besides.
      .whereIn('piece_id', pieceIds)
      .whereIn(
        ['piece_id', 'firing_id'],
        chunk.map((pair) => [pair.pieceId, pair.firingId]),
      )
      .select('piece_id', 'firing_id', 'cell_id');
    const before = rows.map((row) => ({
      pieceId: row.piece_id,
      firingId: row.firing_id,
      cellId: row.cell_id,
    }));
    await moveCells(src, before, (await loadFired(src, chunk)).flatMap(placedSightings));
  }
}

/**
 * Brings the cells up to date after something was said of pieces that are held: what
 * stood before follows from the pieces as they were, and need not be read.
 */
export const keepCells = (
  src: Source,
  before: readonly Fired[],
  after: readonly Fired[],
): Promise<void> =>
  moveCells(
    src,
    before.flatMap(placedSightings).map(({ id, sighting }) => ({ ...sighting, cellId: id })),
    after.flatMap(placedSightings),
  );

/** A sighting with its cell and what the cell's row needs. */
export type Placed = { id: string; bodyId: string; sighting: Sighting };
type Stand = Pair & { cellId: string };

/** Replaces sightings that stood by those that stand now and sums their cells up again. */
async function moveCells(
  src: Source,
  before: readonly Stand[],
  placed: readonly Placed[],
): Promise<void> {
  const held = new Set(before.map((one) => one.cellId));
  const touched = [...new Set([...placed.map(({ id }) => id), ...held])];
  if (touched.length === 0) return;
  await holdCells(
    src,
    placed.filter(({ id }) => !held.has(id)),
    touched,
  );
  const kept = new Set(placed.map(({ id, sighting }) => standKey({ ...sighting, cellId: id })));
  const gone = before.filter((one) => !kept.has(standKey(one)));
  if (gone.length > 0)
    await src('sighting')
      .whereIn(
        'piece_id',
        gone.map((one) => one.pieceId),
      )
      .whereIn(
        ['piece_id', 'firing_id', 'cell_id'],
        gone.map((one) => [one.pieceId, one.firingId, one.cellId]),
      )
      .delete();
  for (let i = 0; i < placed.length; i += CHUNK)
    await src('sighting')
      .insert(placed.slice(i, i + CHUNK).map(sightingRow))
      .onConflict(['piece_id', 'firing_id', 'cell_id'])
      .merge();
  await summariseCells(src, touched);
}

const standKey = (of: Stand): string => `${of.pieceId}/${of.firingId}/${of.cellId}`;

/** The sightings of a piece with their cells' ids. */
export function placedSightings(piece: Fired): Placed[] {
  return sightingsOf(piece).map((sighting) => ({
    id: cellId(cellKey(sighting)),
    bodyId: piece.bodyId,
    sighting,
  }));
}

/**
 * Makes the cells exist and holds them, in one order, so that two people writing up
 * the same stack wait for each other instead of losing one another's count.
 */
export async function holdCells(
  src: Source,
  placed: readonly Placed[],
  ids: readonly string[],
): Promise<void> {
  const rows = new Map(placed.map((one) => [one.id, cellRow(one)]));
  const sorted = [...rows.keys()].sort().map((id) => rows.get(id) as Row);
  for (let i = 0; i < sorted.length; i += 300) {
    // An insert that meets its row holds it: making and holding are one statement.
    await src('cell')
      .insert(sorted.slice(i, i + 300))
      .onConflict('id')
      .merge(['id']);
  }
  if (ids.every((id) => rows.has(id))) return;
  await src('cell')
    .whereIn('id', [...ids].sort())
    .orderBy('id')
    .forUpdate()
    .select('id');
}

function cellRow({ id, bodyId, sighting }: Placed): Row {
  return {
    id,
    body_id: bodyId,
    slips: sighting.slips,
    cone: sighting.cone,
    atmosphere: sighting.atmosphere,
    depth: sighting.coatings.length,
    base_slug: sighting.coatings[0] ?? null,
    over_slug: sighting.coatings.length > 1 ? (sighting.coatings.at(-1) ?? null) : null,
    stack_key: sighting.stackKey,
    standing: 'untried',
    pieces: 0,
    firings: 0,
    signs: '[]',
    contradictions: '[]',
  };
}

export const sightingRow = ({ id, sighting }: Placed): Row => ({
  piece_id: sighting.pieceId,
  firing_id: sighting.firingId,
  cell_id: id,
  face_no: sighting.faceNo,
  area: sighting.area,
  seen_at: new Date(sighting.seenAt),
  surface: sighting.surface,
  opacity: sighting.opacity,
  colour: sighting.colour,
  movement_mm: sighting.movementMm,
  met: sighting.met,
  rating: sighting.rating,
  signs: JSON.stringify(sighting.signs),
  variables: JSON.stringify(sighting.variables),
});

/** Sums up cells from their sightings; a cell that nothing stands in any more is removed. */
export async function summariseCells(src: Source, ids: readonly string[]): Promise<void> {
  for (let i = 0; i < ids.length; i += CHUNK) {
    const chunk = ids.slice(i, i + CHUNK);
    const rows: Row[] = await src('sighting')
      .join('piece', 'piece.id', 'sighting.piece_id')
      .leftJoin('photo', function () {
        this.on('photo.piece_id', 'sighting.piece_id')
          .andOn('photo.firing_id', 'sighting.firing_id')
          .andOnNull('photo.binned_at');
      })
      .whereIn('sighting.cell_id', chunk)
      .select('sighting.*', 'piece.code', 'photo.sha', 'photo.id as photo_id');
    const byCell = new Map<string, Row[]>();
    for (const row of rows) {
      const list = byCell.get(row.cell_id);
      if (list) list.push(row);
      else byCell.set(row.cell_id, [row]);
    }
    const empty = chunk.filter((id) => !byCell.has(id));
    if (empty.length > 0) await src('cell').whereIn('id', empty).delete();
    await writeSummaries(
      src,
      [...byCell].map(([id, list]) => summaryRow(id, list)),
    );
  }
}

/** The best picture: where the stack fills most of the piece, then of the one liked most, then seen last. */
function bestPicture(rows: readonly Row[]): { sha: string | null; code: string } {
  const sorted = [...rows].sort(
    (a, b) =>
      Number(b.sha !== null) - Number(a.sha !== null) ||
      Math.round(4 * (b.area - a.area)) ||
      (b.rating ?? 0) - (a.rating ?? 0) ||
      b.seen_at.getTime() - a.seen_at.getTime() ||
      String(b.photo_id ?? '').localeCompare(String(a.photo_id ?? '')) ||
      String(a.code).localeCompare(String(b.code)),
  );
  const best = sorted[0] as Row;
  return { sha: best.sha, code: best.code };
}

function summaryRow(id: string, rows: readonly Row[]): Row {
  const unique = new Map(rows.map((row) => [`${row.piece_id}/${row.firing_id}`, row]));
  const summary = summarise(
    [...unique.values()].map((row) => ({
      pieceId: row.piece_id,
      firingId: row.firing_id,
      seenAt: row.seen_at.toISOString(),
      surface: row.surface,
      opacity: row.opacity,
      colour: row.colour,
      movementMm: row.movement_mm,
      met: row.met,
      rating: row.rating,
      signs: row.signs,
      variables: row.variables,
      faceNo: row.face_no,
      area: row.area,
      stackKey: '',
      slips: '',
      groundKey: '',
      cone: '',
      atmosphere: '',
      coatings: [],
    })),
  );
  const best = bestPicture(rows);
  return {
    id,
    standing: summary.standing,
    pieces: summary.pieces,
    firings: summary.firings,
    surface: summary.surface,
    met: summary.met,
    movement_mm: summary.movementMm,
    rating: summary.rating,
    signs: JSON.stringify(summary.signs),
    contradictions: JSON.stringify(summary.contradictions),
    photo_sha: best.sha,
    example_code: best.code,
    last_seen: new Date(summary.lastSeen),
  };
}

const SUMMARY_COLUMNS = [
  'standing',
  'pieces',
  'firings',
  'surface',
  'met',
  'movement_mm',
  'rating',
  'signs',
  'contradictions',
  'photo_sha',
  'example_code',
  'last_seen',
];

/** Many cells in one statement: their rows exist and are held, so the insert always finds them. */
async function writeSummaries(src: Source, rows: readonly Row[]): Promise<void> {
  if (rows.length === 0) return;
  const one = rows[0] as Row;
  if (rows.length === 1) {
    const { id, ...summary } = one;
    await src('cell').where({ id }).update(summary);
    return;
  }
  const held: Row[] = await src('cell')
    .whereIn(
      'id',
      rows.map((row) => row.id as string),
    )
    .select('id', 'body_id', 'slips', 'cone', 'atmosphere', 'depth', 'stack_key');
  const byId = new Map(held.map((row) => [row.id as string, row]));
  await src('cell')
    .insert(rows.map((row) => ({ ...byId.get(row.id as string), ...row })))
    .onConflict('id')
    .merge(SUMMARY_COLUMNS);
}

/** Throws every summary away and makes all of them again from the observations. */
export async function rebuildCells(
  src: Source,
  progress: (done: number, all: number) => void = () => {},
): Promise<void> {
  await src('sighting').delete();
  await src('cell').delete();
  const pairs: Pair[] = (
    await src('observation').whereNotNull('current_key').distinct('piece_id', 'firing_id')
  ).map((row: Row) => ({ pieceId: row.piece_id, firingId: row.firing_id }));
  for (let i = 0; i < pairs.length; i += CHUNK) {
    await refreshCells(src, pairs.slice(i, i + CHUNK));
    progress(Math.min(i + CHUNK, pairs.length), pairs.length);
  }
}
