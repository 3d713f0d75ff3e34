/** Pieces that came in from a table, with what they were there, whatever has been put right on them since. */
import type { Row, Source } from './database';
import { groupRows } from './rows';

/** A piece on record, and the file that it came from. */
export type Came = { code: string; file: string };

/**
 * The pieces on record that came in as one of these, by what they came as, the first first; none of the
 * bin's.
 */
export async function cameBefore(src: Source, prints: readonly string[]): Promise<Map<string, Came[]>> {
  const rows: Row[] = await src('piece')
    .join('lot', 'lot.id', 'piece.lot_id')
    .whereIn('piece.came_as', [...new Set(prints)])
    .whereNull('piece.binned_at')
    .orderBy([{ column: 'piece.created_at' }, { column: 'piece.id' }])
    .select('piece.came_as', 'piece.code', 'lot.name');
  return groupRows(
    rows,
    (row): Came => ({ code: row.code, file: row.name }),
    (row) => row.came_as,
  );
}

/** The pieces of a lot that are on record; or those that went into the bin last, all at one moment. */
export async function piecesOfLot(
  src: Source,
  lotId: string,
  which: 'on record' | 'binned last',
): Promise<string[]> {
  const own = src('piece').where({ lot_id: lotId });
  if (which === 'on record') own.whereNull('binned_at');
  else own.where('binned_at', src('piece').where({ lot_id: lotId }).max('binned_at'));
  return own.orderBy('id').pluck('id');
}
