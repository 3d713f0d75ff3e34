/**
 * Cell summaries: what the chart reads. They follow from observations alone and are
 * kept in the transaction that changes an observation, a layer or a firing.
 */
import type { Atmosphere, Meeting, Surface } from '@/core/signs';
import { cellKey, circumstances, sightingsOf, summarise } from '@/core/standing';
import type {
  CellSign,
  Contradiction,
  FiredPiece,
  Seen,
  Sighting,
  Standing,
} from '@/core/standing';
import { insertMany, type Row, type Source } from './database';
import { cellId } from './ids';
import { listObservations } from './observations';
import { facesOf, holdPieces, layersOf } from './pieces';

export type Pair = { pieceId: string; firingId: string };

/** A fired piece with what its cells need besides: its body's id. */
export type Fired = FiredPiece & { bodyId: string };

const CHUNK = 400;

/** Reads the fired pieces of these pairs with everything their cells follow from. */
export async function loadFired(src: Source, pairs: readonly Pair[]): Promise<Fired[]> {
  if (pairs.length === 0) return [];
  const pieceIds = [...new Set(pairs.map((pair) => pair.pieceId))];
  const wanted = new Set(pairs.map((pair) => `${pair.pieceId}/${pair.firingId}`));
  const rows: Row[] = (
    await src('placement')
      .join('piece', 'piece.id', 'placement.piece_id')
      .join('body', 'body.id', 'piece.body_id')
      .join('firing', 'firing.id', 'placement.firing_id')
      .join('kiln', 'kiln.id', 'firing.kiln_id')
      .leftJoin('lot', 'lot.id', 'piece.lot_id')
      .whereIn('placement.piece_id', pieceIds)
      .whereIn('placement.firing_id', [...new Set(pairs.map((pair) => pair.firingId))])
      .whereNull('piece.binned_at')
      .select(
        'placement.piece_id',
        'placement.firing_id',
        'placement.shelf',
        'placement.setting',
        'placement.generation',
        'piece.form',
        'piece.body_id',
        'body.slug as body_slug',
        'firing.no',
        'firing.kind',
        'firing.cone_band',
        'firing.atmosphere',
        'kiln.name as kiln_name',
        'lot.name as lot_name',
      )
  ).filter((row: Row) => wanted.has(`${row.piece_id}/${row.firing_id}`));
  if (rows.length === 0) return [];
  const [faces, layers, seen] = await Promise.all([
    facesOf(src, pieceIds),
    layersOf(src, pieceIds, ['done']),
    listObservations(src, { pieceIds, current: true }),
  ]);
  const seenBy = new Map<string, Seen[]>();
  for (const one of seen) {
    const key = `${one.pieceId}/${one.firingId}`;
    seenBy.set(key, [...(seenBy.get(key) ?? []), { ...one, seenAt: one.seenAt.toISOString() }]);
  }
  return rows.map((row) => {
    const own = layers.get(row.piece_id) ?? [];
    return {
      pieceId: row.piece_id,
      firingId: row.firing_id,
      generation: row.generation,
      body: row.body_slug,
      bodyId: row.body_id,
      faces: faces.get(row.piece_id) ?? [],
      layers: own,
      cone: row.cone_band,
      atmosphere: row.atmosphere,
      variables: circumstances({
        kiln: row.kiln_name,
        firing: `${row.kiln_name} ${row.no}`,
        kind: row.kind,
        shelf: row.shelf,
        setting: row.setting,
        generation: row.generation,
        form: row.form,
        lot: row.lot_name,
        layers: own.filter((layer) => layer.generation <= row.generation),
      }),
      seen: seenBy.get(`${row.piece_id}/${row.firing_id}`) ?? [],
    };
  });
}

/** Brings the cells that these pieces stand in, or stood in, up to date. */
export async function refreshCells(src: Source, pairs: readonly Pair[]): Promise<void> {
  for (let i = 0; i < pairs.length; i += CHUNK) {
    const chunk = pairs.slice(i, i + CHUNK);
    // Held before they are read: whoever writes of another zone of a piece comes after, and sees this.
    await holdPieces(
      src,
      chunk.map((pair) => pair.pieceId),
    );
    await applySightings(src, chunk, await loadFired(src, chunk));
  }
}

/** Every firing a piece has been placed in: what a change of its layers touches. */
export async function pairsOf(
  src: Source,
  filter: { pieceIds?: readonly string[]; firingId?: string },
): Promise<Pair[]> {
  const query = src('placement').select('piece_id', 'firing_id');
  if (filter.pieceIds) query.whereIn('piece_id', filter.pieceIds);
  if (filter.firingId !== undefined) query.where('firing_id', filter.firingId);
  return (await query).map((row: Row) => ({ pieceId: row.piece_id, firingId: row.firing_id }));
}

type Placed = { id: string; bodyId: string; sighting: Sighting };

/** Replaces the sightings of the pairs by those of the fired pieces and sums the cells up again. */
async function applySightings(
  src: Source,
  pairs: readonly Pair[],
  fired: readonly Fired[],
): Promise<void> {
  const placed = fired.flatMap((piece) => placedSightings(piece));
  const touched = new Set(placed.map(({ id }) => id));
  const tuples = pairs.map((pair) => [pair.pieceId, pair.firingId]);
  // MariaDB finds no index for pairs alone, so the pieces are named besides.
  const pieceIds = [...new Set(pairs.map((pair) => pair.pieceId))];
  const before: Row[] = await src('sighting')
    .whereIn('piece_id', pieceIds)
    .whereIn(['piece_id', 'firing_id'], tuples)
    .select('cell_id');
  for (const row of before) touched.add(row.cell_id as string);
  if (touched.size === 0) return;
  await holdCells(src, placed, [...touched]);
  if (before.length > 0)
    await src('sighting')
      .whereIn('piece_id', pieceIds)
      .whereIn(['piece_id', 'firing_id'], tuples)
      .delete();
  await insertMany(src, 'sighting', placed.map(sightingRow));
  await summariseCells(src, [...touched]);
}

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
    await src('cell')
      .insert(sorted.slice(i, i + 300))
      .onConflict('id')
      .ignore();
  }
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

/** A cell as the chart shows it. */
export type Cell = {
  id: string;
  bodyId: string;
  slips: string;
  cone: string;
  atmosphere: Atmosphere;
  depth: number;
  base: string | null;
  over: string | null;
  stackKey: string;
  standing: Standing;
  pieces: number;
  firings: number;
  surface: Surface | null;
  met: Meeting | null;
  movementMm: number | null;
  rating: number | null;
  signs: CellSign[];
  contradictions: Contradiction[];
  photo: string | null;
  example: string | null;
  lastSeen: Date | null;
};

const cell = (row: Row): Cell => ({
  id: row.id,
  bodyId: row.body_id,
  slips: row.slips,
  cone: row.cone,
  atmosphere: row.atmosphere,
  depth: row.depth,
  base: row.base_slug,
  over: row.over_slug,
  stackKey: row.stack_key,
  standing: row.standing,
  pieces: row.pieces,
  firings: row.firings,
  surface: row.surface,
  met: row.met,
  movementMm: row.movement_mm,
  rating: row.rating,
  signs: row.signs,
  contradictions: row.contradictions,
  photo: row.photo_sha,
  example: row.example_code,
  lastSeen: row.last_seen,
});

/** The cells of one board: a ground at a cone and an atmosphere. One indexed read. */
export async function boardCells(
  src: Source,
  board: { bodyId: string; cone: string; atmosphere: string; slips: string | null },
): Promise<Cell[]> {
  const query = src('cell').where({
    body_id: board.bodyId,
    cone: board.cone,
    atmosphere: board.atmosphere,
  });
  if (board.slips !== null) query.where('slips', board.slips);
  return (await query).map(cell);
}

export type BoardChoice = {
  bodyId: string;
  cone: string;
  atmosphere: string;
  slips: string;
  cells: number;
};

/** Which grounds, cones and atmospheres have anything on the chart. */
export async function boardChoices(src: Source): Promise<BoardChoice[]> {
  const rows: Row[] = await src('cell')
    .groupBy('body_id', 'cone', 'atmosphere', 'slips')
    .select('body_id', 'cone', 'atmosphere', 'slips')
    .count({ n: '*' });
  return rows.map((row) => ({
    bodyId: row.body_id,
    cone: row.cone,
    atmosphere: row.atmosphere,
    slips: row.slips,
    cells: Number(row.n),
  }));
}

/** Cells that a coating takes part in, best known first. */
export async function cellsOfCoating(src: Source, slug: string, limit: number): Promise<Cell[]> {
  const rows: Row[] = await src('cell')
    .where({ base_slug: slug })
    .orWhere({ over_slug: slug })
    .orderBy([
      { column: 'pieces', order: 'desc' },
      { column: 'last_seen', order: 'desc' },
    ])
    .limit(limit);
  return rows.map(cell);
}

/** One piece's part in a cell. */
export type CellPiece = {
  pieceId: string;
  code: string;
  mark: string | null;
  firingId: string;
  cellId: string;
  seenAt: Date;
  surface: Surface | null;
  movementMm: number | null;
  rating: number | null;
  colour: string | null;
  signs: Sighting['signs'];
  variables: Record<string, string>;
};

/** The pieces that make up these cells, last seen first. */
export async function piecesOfCells(src: Source, ids: readonly string[]): Promise<CellPiece[]> {
  const rows: Row[] = await src('sighting')
    .join('piece', 'piece.id', 'sighting.piece_id')
    .whereIn('sighting.cell_id', ids)
    .orderBy('sighting.seen_at', 'desc')
    .select('sighting.*', 'piece.code', 'piece.mark');
  return rows.map((row) => ({
    pieceId: row.piece_id,
    code: row.code,
    mark: row.mark,
    firingId: row.firing_id,
    cellId: row.cell_id,
    seenAt: row.seen_at,
    surface: row.surface,
    movementMm: row.movement_mm,
    rating: row.rating,
    colour: row.colour,
    signs: row.signs,
    variables: row.variables,
  }));
}

/** For each coating a picture of it by itself where there is one, else under another, by slug. */
export async function picturesOfCoatings(src: Source): Promise<Map<string, string>> {
  const rows: Row[] = await src('cell')
    .whereNotNull('photo_sha')
    .whereNotNull('base_slug')
    .where('depth', '<=', 2)
    .orderBy([{ column: 'depth', order: 'desc' }, { column: 'pieces' }])
    .select('base_slug', 'photo_sha');
  return new Map(rows.map((row) => [row.base_slug as string, row.photo_sha as string]));
}
