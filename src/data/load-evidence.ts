/** What is on record of the stacks and questions of a load. */
import { intendedBand } from '@/core/firing';
import type { Row, Source } from './database';

export const ranKey = (bodyId: string, stackKey: string): string => `${bodyId}/${stackKey}`;

/** How far stacks have run on bodies at about this cone, mm, by `ranKey`. */
export async function ranOf(
  src: Source,
  cone: string,
  stacks: readonly { bodyId: string; stackKey: string }[],
): Promise<Map<string, number>> {
  if (stacks.length === 0) return new Map();
  const rows: Row[] = await src('cell')
    // What was only meant for this cone may have had it: for a warning that is enough.
    .whereIn('cone', [cone, intendedBand(cone)])
    .whereIn('body_id', [...new Set(stacks.map(({ bodyId }) => bodyId))])
    .whereIn('stack_key', [...new Set(stacks.map(({ stackKey }) => stackKey))])
    .whereNotNull('movement_mm')
    .select('body_id', 'stack_key', 'movement_mm');
  const found = new Map<string, number>();
  for (const row of rows) {
    const key = ranKey(row.body_id, row.stack_key);
    found.set(key, Math.max(found.get(key) ?? 0, row.movement_mm));
  }
  return found;
}

/** Which question each piece is a tile of, and what is tried on it. */
export async function askedOf(
  src: Source,
  pieceIds: readonly string[],
): Promise<Map<string, { question: string; treatment: string }>> {
  const rows: Row[] = await src('question_tile')
    .join('question', 'question.id', 'question_tile.question_id')
    .whereIn('piece_id', pieceIds)
    .select('piece_id', 'question.text', 'question_tile.label');
  return new Map(rows.map((row) => [row.piece_id as string, { question: row.text, treatment: row.label }]));
}

/** Which of these pieces have been through a bisque (or any firing) that was opened. */
export async function firedBefore(src: Source, pieceIds: readonly string[]): Promise<Set<string>> {
  const rows: Row[] = await src('placement')
    .join('firing', 'firing.id', 'placement.firing_id')
    .whereIn('placement.piece_id', pieceIds)
    .where('firing.status', 'opened')
    .distinct('placement.piece_id');
  return new Set(rows.map((row) => row.piece_id as string));
}
