import type { Row, Source } from './database';

/** How many pieces of each firing have been written up. */
export async function countWritten(
  src: Source,
  firingIds: readonly string[],
): Promise<Map<string, number>> {
  const rows: Row[] = await src('observation')
    .whereIn('firing_id', firingIds)
    .whereNotNull('current_key')
    .whereNull('zone')
    .groupBy('firing_id')
    .select('firing_id')
    .countDistinct({ n: 'piece_id' });
  return new Map(rows.map((row) => [row.firing_id as string, Number(row.n)]));
}

/** Open flags on pieces that still wait to be fired or are in a kiln. */
export async function flaggedWaiting(src: Source): Promise<{ code: string; text: string }[]> {
  const rows: Row[] = await src('flag')
    .join('piece', 'piece.id', 'flag.piece_id')
    .whereNull('flag.cleared_at')
    .whereNull('piece.binned_at')
    .whereNotNull('piece.waiting_for')
    .orderBy('flag.raised_at', 'desc')
    .limit(12)
    .select('piece.code', 'flag.text');
  return rows.map((row) => ({ code: row.code, text: row.text }));
}
