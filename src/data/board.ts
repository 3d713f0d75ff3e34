/** What the chart reads: cells, the pieces behind them, their pictures. */
import type { Atmosphere, Meeting, Surface } from '@/core/signs';
import type { CellSign, Contradiction, Sighting, Standing } from '@/core/standing';
import type { Row, Source } from './database';

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

/** The cells of one board: a body (by slug) at a cone and an atmosphere. One indexed read. */
export async function boardCells(
  src: Source,
  board: { body: string; cone: string; atmosphere: string; slips: string | null },
): Promise<Cell[]> {
  const query = src('cell').where({ cone: board.cone, atmosphere: board.atmosphere });
  query.where('body_id', src('body').where('slug', board.body).select('id'));
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
