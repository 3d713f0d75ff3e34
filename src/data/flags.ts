/** Doubts and instructions that stay with a piece until somebody sees to them. */
import type { Row, Source } from './database';
import { groupRows } from './rows';

export type Flag = {
  id: string;
  text: string;
  raisedBy: string;
  raisedAt: Date;
  clearedAt: Date | null;
};

/** Flags of many pieces; cleared ones only when asked for. */
export async function flagsOf(
  src: Source,
  pieceIds: readonly string[],
  all = false,
): Promise<Map<string, Flag[]>> {
  const query = src('flag')
    .join('person', 'person.id', 'flag.raised_by')
    .whereIn('flag.piece_id', pieceIds)
    .orderBy('flag.raised_at')
    .select('flag.*', 'person.name as raised_by_name');
  if (!all) query.whereNull('flag.cleared_at');
  return groupRows(await query, (row) => ({
    id: row.id,
    text: row.text,
    raisedBy: row.raised_by_name,
    raisedAt: row.raised_at,
    clearedAt: row.cleared_at,
  }));
}

export async function raiseFlag(
  src: Source,
  flag: { id: string; pieceId: string; text: string },
  by: string,
  now: Date,
): Promise<void> {
  await src('flag').insert({
    id: flag.id,
    piece_id: flag.pieceId,
    text: flag.text,
    raised_by: by,
    raised_at: now,
  });
}

export async function clearFlag(src: Source, id: string, by: string, now: Date): Promise<void> {
  await src('flag').where({ id }).whereNull('cleared_at').update({ cleared_by: by, cleared_at: now });
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
