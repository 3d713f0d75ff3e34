/** The pieces that make up cells of the chart. */
import type { ConeKnown } from '@/core/firing';
import type { Surface } from '@/core/signs';
import type { Sighting } from '@/core/standing';
import type { KeyKnown } from '@/core/zones';
import type { Row, Source } from './database';

/** One piece's part in a cell. */
export type CellPiece = {
  pieceId: string;
  code: string;
  mark: string | null;
  firingId: string;
  cellId: string;
  seenAt: Date;
  generation: number;
  surface: Surface | null;
  movementMm: number | null;
  rating: number | null;
  colour: string | null;
  signs: Sighting['signs'];
  changes: Sighting['changes'];
  split: string[];
  coneKnown: ConeKnown;
  variables: Record<string, string>;
  /** How sure it is what lies on it. */
  keyKnown: KeyKnown;
  /** Whose it is, and whether others may look at it: who sees a cell need not see each piece. */
  ownerId: string | null;
  shown: boolean;
};

/** The pieces that make up these cells, last seen first. */
export async function piecesOfCells(src: Source, ids: readonly string[]): Promise<CellPiece[]> {
  const rows: Row[] = await src('sighting')
    .join('piece', 'piece.id', 'sighting.piece_id')
    .whereIn('sighting.cell_id', ids)
    .orderBy('sighting.seen_at', 'desc')
    .select('sighting.*', 'piece.code', 'piece.mark', 'piece.owner_id', 'piece.shown', 'piece.key_known');
  return rows.map((row) => ({
    pieceId: row.piece_id,
    code: row.code,
    mark: row.mark,
    ownerId: row.owner_id,
    shown: Boolean(row.shown),
    firingId: row.firing_id,
    cellId: row.cell_id,
    seenAt: row.seen_at,
    generation: row.generation,
    surface: row.surface,
    movementMm: row.movement_mm,
    rating: row.rating,
    colour: row.colour,
    signs: row.signs,
    changes: row.changes,
    split: row.split,
    coneKnown: row.cone_known,
    variables: row.variables,
    keyKnown: row.key_known,
  }));
}

/**
 * The board of the chart on which most of some pieces stand: its body by slug, cone and atmosphere; null
 * where they stand on none.
 */
export async function boardOfPieces(
  src: Source,
  pieceIds: readonly string[],
): Promise<{ body: string; cone: string; atmosphere: string } | null> {
  const row = await src('sighting')
    .join('cell', 'cell.id', 'sighting.cell_id')
    .join('body', 'body.id', 'cell.body_id')
    .whereIn('sighting.piece_id', pieceIds)
    .groupBy('body.slug', 'cell.cone', 'cell.atmosphere')
    .orderBy('n', 'desc')
    .first({ body: 'body.slug', cone: 'cell.cone', atmosphere: 'cell.atmosphere', n: src.raw('COUNT(*)') });
  return row === undefined ? null : { body: row.body, cone: row.cone, atmosphere: row.atmosphere };
}
