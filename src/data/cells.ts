/**
 * Cell summaries: what the chart reads. They follow from observations alone and are
 * kept in the transaction that changes an observation, a layer or a firing.
 */
import { coatsOfKey } from '@/core/zones';
import { cellKey, isRefired, sightingsOf } from '@/core/standing';
import type { Sighting } from '@/core/standing';
import type { Row, Source } from './database';
import { loadFired, type Fired, type Pair } from './fired';
import { cellId } from './ids';
import { holdPieces } from './pieces';
import { CHUNK, summariseCells, type HeldCell } from './cell-summaries';

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
export const keepCells = (src: Source, before: readonly Fired[], after: readonly Fired[]): Promise<void> =>
  moveCells(
    src,
    before.flatMap(placedSightings).map(({ id, sighting }) => ({ ...sighting, cellId: id })),
    after.flatMap(placedSightings),
  );

/** A sighting with its cell and what the cell's row needs. */
export type Placed = { id: string; bodyId: string; sighting: Sighting };

type Stand = Pair & { cellId: string };

/** Replaces sightings that stood by those that stand now and sums their cells up again. */
async function moveCells(src: Source, before: readonly Stand[], placed: readonly Placed[]): Promise<void> {
  const held = new Set(before.map((one) => one.cellId));
  const touched = [...new Set([...placed.map(({ id }) => id), ...held])];
  if (touched.length === 0) return;
  const cells = await holdCells(
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
  await summariseCells(src, cells);
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
 * the same stack wait for each other instead of losing one another's count. Answers with those of `ids`
 * that there are.
 */
export async function holdCells(
  src: Source,
  placed: readonly Placed[],
  ids: readonly string[],
): Promise<HeldCell[]> {
  const rows = new Map(placed.map((one) => [one.id, cellRow(one)]));
  const held = new Map<string, HeldCell>();
  const sorted = [...rows.keys()].sort().map((id) => rows.get(id) as Row);
  for (let i = 0; i < sorted.length; i += 300) {
    // An insert that meets its row holds it: making and holding are one statement.
    const { sql, bindings } = src('cell')
      .insert(sorted.slice(i, i + 300))
      .onConflict('id')
      .merge(['id'])
      .toSQL()
      .toNative();
    const [made] = (await src.raw(`${sql} RETURNING id, stack_key, pieces`, [...bindings])) as [Row[]];
    for (const { id, pieces } of made) held.set(id, { id, pieces });
    await writeCoats(
      src,
      made.filter(({ pieces }) => pieces === 0),
    );
  }
  if (!ids.every((id) => held.has(id))) {
    const found: HeldCell[] = await src('cell')
      .whereIn('id', [...ids].sort())
      .orderBy('id')
      .forUpdate()
      .select('id', 'pieces');
    for (const one of found) held.set(one.id, one);
  }
  return ids.flatMap((id) => held.get(id) ?? []);
}

/** The coats of cells that are new: what a chart on other axes asks for. */
async function writeCoats(src: Source, cells: readonly Row[]): Promise<void> {
  const rows = cells.flatMap(({ id, stack_key: key }) =>
    coatsOfKey(key).map((coat, seq) => ({ cell_id: id, seq, ...coat })),
  );
  for (let i = 0; i < rows.length; i += 1000)
    await src('cell_coat')
      .insert(rows.slice(i, i + 1000))
      .onConflict(['cell_id', 'seq'])
      .ignore();
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
    divisions: '[]',
    refired: isRefired(sighting),
  };
}

export const sightingRow = ({ id, sighting }: Placed): Row => ({
  piece_id: sighting.pieceId,
  firing_id: sighting.firingId,
  cell_id: id,
  face_no: sighting.faceNo,
  zone: sighting.zone,
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
  generation: sighting.generation,
  cone_known: sighting.coneKnown,
  changes: JSON.stringify(sighting.changes),
  split: JSON.stringify(sighting.split),
});

/** Throws every summary away and makes all of them again from the observations. */
export async function rebuildCells(
  src: Source,
  progress: (done: number, all: number) => void = () => {},
): Promise<void> {
  await src('sighting').delete();
  await src('cell').delete();
  const pairs: Pair[] = (
    await src('observation').whereNull('superseded_at').distinct('piece_id', 'firing_id')
  ).map((row: Row) => ({ pieceId: row.piece_id, firingId: row.firing_id }));
  for (let i = 0; i < pairs.length; i += CHUNK) {
    await refreshCells(src, pairs.slice(i, i + CHUNK));
    progress(Math.min(i + CHUNK, pairs.length), pairs.length);
  }
}
