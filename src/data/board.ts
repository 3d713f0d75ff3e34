/** What the chart reads: cells, the pieces behind them, their pictures. */
import type { TogetherColour } from '@/core/colour';
import type { Cut } from '@/core/frame';
import type { Addressed } from '@/core/axes';
import type { ConeKnown } from '@/core/firing';
import type { Atmosphere } from '@/core/signs';
import type { CellSummary } from '@/core/standing';
import { freshen } from './cell-summaries';
import type { Row, Source } from './database';
import type { ZonePicture } from './zone-pictures';

/** A cell as the chart shows it. */
export type Cell = Omit<CellSummary, 'lastSeen'> & {
  id: string;
  bodyId: string;
  slips: string;
  cone: string;
  atmosphere: Atmosphere;
  depth: number;
  base: string | null;
  over: string | null;
  stackKey: string;
  photo: string | null;
  /** The part of it that shows this stack, where the picture is framed. */
  cut: Cut | null;
  /** What its pieces’ colours are together, where a grey in their pictures told them. */
  colour: TogetherColour | null;
  example: string | null;
  lastSeen: Date | null;
  /** Its pieces went through a glaze firing before: no evidence for the stack as once fired. */
  refired: boolean;
  /** The earliest glaze firing of a piece that it was seen after, and how best its cone is known. */
  generation: number;
  coneKnown: ConeKnown;
};

/** A cell of one board: body, cone and atmosphere are the board's. */
export type BoardCell = Omit<
  Cell,
  | 'bodyId'
  | 'cone'
  | 'atmosphere'
  | 'met'
  | 'ratings'
  | 'agreeing'
  | 'speaking'
  | 'gone'
  | 'split'
  | 'divisions'
  | 'colour'
  | 'lastSeen'
  | 'generation'
  | 'coneKnown'
>;

const BOARD_COLUMNS = [
  'id',
  'slips',
  'depth',
  'base_slug',
  'over_slug',
  'stack_key',
  'standing',
  'pieces',
  'firings',
  'surface',
  'movement_mm',
  'rating',
  'signs',
  'later',
  'known',
  'refired',
  'photo_sha',
  'photo_cut',
  'example_code',
];

const boardCell = (row: Row): BoardCell => ({
  id: row.id,
  slips: row.slips,
  depth: row.depth,
  base: row.base_slug,
  over: row.over_slug,
  stackKey: row.stack_key,
  standing: row.standing,
  pieces: row.pieces,
  firings: row.firings,
  surface: row.surface,
  movementMm: row.movement_mm,
  rating: row.rating,
  signs: row.signs,
  later: row.later,
  known: row.known,
  refired: Boolean(row.refired),
  photo: row.photo_sha,
  cut: row.photo_cut,
  example: row.example_code,
});

const cell = (row: Row): Cell => ({
  ...boardCell(row),
  bodyId: row.body_id,
  cone: row.cone,
  atmosphere: row.atmosphere,
  met: row.met,
  ratings: row.ratings,
  speaking: row.speaking,
  agreeing: row.agreeing,
  gone: row.gone,
  split: row.split,
  divisions: row.divisions,
  colour: row.colour,
  lastSeen: row.last_seen,
  generation: row.generation,
  coneKnown: row.cone_known,
});

export type BoardOf = { body: string; cone: string; atmosphere: string; slips: string | null };

const ofBoard = (src: Source, board: BoardOf) => {
  const query = src('cell').where({ cone: board.cone, atmosphere: board.atmosphere });
  query.where('body_id', src('body').where('slug', board.body).select('id'));
  if (board.slips !== null) query.where('slips', board.slips);
  return query;
};

/** The cells of one board: a body (by slug) at a cone and an atmosphere. One indexed read. */
export async function boardCells(src: Source, board: BoardOf): Promise<BoardCell[]> {
  const read = (): Promise<Row[]> => Promise.resolve(ofBoard(src, board).select([...BOARD_COLUMNS, 'stale']));
  // Nearly always nothing waits to be summed up, and what was read meanwhile holds. Somebody else may have
  // summed up in between what was still marked here.
  const [rows, made] = await Promise.all([read(), freshen(src)]);
  return (made || rows.some(({ stale }) => stale) ? await read() : rows).map(boardCell);
}

/** The ways one coating was put over another on a board, best known first. */
export async function cellsAt(
  src: Source,
  board: BoardOf,
  base: string,
  over: string | null,
): Promise<Cell[]> {
  await freshen(src);
  const rows: Row[] = await ofBoard(src, board)
    .where({ base_slug: base, over_slug: over })
    .where('depth', '<=', 2)
    .orderBy([{ column: 'refired' }, { column: 'pieces', order: 'desc' }]);
  return rows.map(cell);
}

/** A cell of some other board, with what that board is called by. */
export type Elsewhere = Pick<
  Cell,
  | 'id'
  | 'slips'
  | 'cone'
  | 'coneKnown'
  | 'atmosphere'
  | 'base'
  | 'over'
  | 'photo'
  | 'cut'
  | 'pieces'
  | 'surface'
> & { body: string; bodyName: string };

/** Every board on which a coating, or a pair either way round, has been seen; the best known first. */
export async function pairAnywhere(src: Source, base: string, over: string | null): Promise<Elsewhere[]> {
  const rows: Row[] = await src('cell')
    .join('body', 'body.id', 'cell.body_id')
    .where({ refired: false })
    .where('depth', '<=', 2)
    .where((one) => {
      one.where({ base_slug: base, over_slug: over });
      if (over !== null) one.orWhere({ base_slug: over, over_slug: base });
    })
    .orderBy([{ column: 'pieces', order: 'desc' }, { column: 'cell.id' }])
    .limit(24)
    .select('cell.*', 'body.slug as body_slug', 'body.name as body_name');
  return rows.map((row) => {
    const { id, slips, cone, coneKnown, atmosphere, photo, cut, pieces, surface, ...pair } = cell(row);
    return {
      id,
      slips,
      cone,
      coneKnown,
      atmosphere,
      photo,
      cut,
      pieces,
      surface,
      base: pair.base,
      over: pair.over,
      body: row.body_slug,
      bodyName: row.body_name,
    };
  });
}

/** One cell by its id, when it stands on this board. */
export async function cellOnBoard(src: Source, board: BoardOf, id: string): Promise<Cell[]> {
  await freshen(src);
  const rows: Row[] = await ofBoard(src, board).where({ 'cell.id': id });
  return rows.map(cell);
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

/**
 * One figure over the cells of a query that another write of any of them changes, also one that only marks
 * it for being summed up: each moves its cell's moment onwards. The latest moment alone would not do: what was
 * begun earlier may be there later.
 */
const changesIn = (src: Source) =>
  src.raw("CONCAT(COALESCE(SUM(UNIX_TIMESTAMP(changed_at)), 0), '/', COUNT(*)) AS mark");

/** Changes with every change of the cells of a board; what is left open is every one. */
export async function boardChanged(
  src: Source,
  {
    body,
    cone,
    atmosphere,
  }: { body?: string | undefined; cone?: string | undefined; atmosphere?: string | undefined },
): Promise<string> {
  const query = src('cell');
  if (body !== undefined) query.where('body_id', src('body').where('slug', body).select('id'));
  if (cone !== undefined) query.where({ cone });
  if (atmosphere !== undefined) query.where({ atmosphere });
  return ((await query.first(changesIn(src))) as Row).mark as string;
}

/** Changes with every change of the cells at a place of a board, or of one cell on it. */
export async function placeChanged(
  src: Source,
  board: BoardOf,
  of: { base: string; over: string | null } | { cell: string },
): Promise<string> {
  const query = ofBoard(src, board);
  if ('cell' in of) query.where({ id: of.cell });
  else query.where({ base_slug: of.base, over_slug: of.over });
  return ((await query.first(changesIn(src))) as Row).mark as string;
}

/** Cells that a coating takes part in, best known first. */
export async function cellsOfCoating(src: Source, slug: string, limit: number): Promise<Cell[]> {
  await freshen(src);
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

/** For each coating a picture of it by itself where there is one, else under another, by slug. */
export async function picturesOfCoatings(src: Source): Promise<Map<string, ZonePicture>> {
  const rows: Row[] = await src('cell')
    .whereNotNull('photo_sha')
    .whereNotNull('base_slug')
    .where('depth', '<=', 2)
    .orderBy([{ column: 'depth', order: 'desc' }, { column: 'pieces' }])
    .select('base_slug', 'photo_sha', 'photo_cut');
  return new Map(
    rows.map((row) => [row.base_slug as string, { sha: row.photo_sha as string, cut: row.photo_cut }]),
  );
}

/** Cells that have these coats somewhere in their stack, in any order: what no base × over board can ask. */
export async function cellsWithCoats(src: Source, slugs: readonly string[]): Promise<Cell[]> {
  await freshen(src);
  const query = src('cell').orderBy('pieces', 'desc').orderBy('id');
  for (const slug of new Set(slugs)) query.whereIn('id', src('cell_coat').where({ slug }).select('cell_id'));
  return (await query).map(cell);
}

/** Cells by their ids. */
export async function cellsByIds(src: Source, ids: readonly string[]): Promise<Cell[]> {
  await freshen(src);
  return (await src('cell').whereIn('id', ids)).map(cell);
}

/** The cell of the tallest stack that a piece stands in, with what its address says; null where in none. */
export async function tallestCell(src: Source, pieceId: string): Promise<Addressed | null> {
  const row: Row | undefined = await src('cell')
    .join('sighting', 'sighting.cell_id', 'cell.id')
    .join('body', 'body.id', 'cell.body_id')
    .where('sighting.piece_id', pieceId)
    .orderBy([
      { column: 'sighting.seen_at', order: 'desc' },
      { column: 'cell.depth', order: 'desc' },
    ])
    .first('cell.*', 'body.slug as body_slug');
  return row === undefined
    ? null
    : {
        id: row.id,
        body: row.body_slug,
        slips: row.slips,
        cone: row.cone,
        atmosphere: row.atmosphere,
        base: row.base_slug,
        over: row.over_slug,
        depth: row.depth,
      };
}

/** The cells that pieces stand in. */
export async function cellsOfPieces(src: Source, pieceIds: readonly string[]): Promise<string[]> {
  return src('sighting').whereIn('piece_id', pieceIds).distinct().pluck('cell_id');
}
