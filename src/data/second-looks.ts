/** Pieces that somebody wants looked at again, a week, a month or a year after they came out of the kiln. */
import { dueAfter } from '@/core/looks';
import { newId } from './ids';
import { insertMany, type Row, type Source } from './database';

/**
 * Asks for looks; a piece that is asked for after the same span already is not asked for twice. Says the new
 * ids.
 */
export async function askAgain(
  src: Source,
  {
    firingId,
    pieceIds,
    days,
    opened,
  }: { firingId: string; pieceIds: readonly string[]; days: number; opened: string },
  by: string,
  now: Date,
): Promise<string[]> {
  const asked: string[] = await src('second_look')
    .where({ firing_id: firingId, after_days: days })
    .whereNull('dropped_at')
    .pluck('piece_id');
  const there = new Set(asked);
  const { dueOn, countsFrom } = dueAfter(opened, days);
  const rows = pieceIds
    .filter((id) => !there.has(id))
    .map((pieceId) => ({
      id: newId(),
      piece_id: pieceId,
      firing_id: firingId,
      after_days: days,
      due_on: dueOn,
      counts_from: countsFrom,
      asked_by: by,
      at: now,
    }));
  await insertMany(src, 'second_look', rows);
  return rows.map(({ id }) => id);
}

export async function dropLooks(src: Source, ids: readonly string[], at: Date | null): Promise<void> {
  await src('second_look').whereIn('id', ids).update({ dropped_at: at });
}

/** The pieces of which these looks are. */
export const piecesOfLooks = (src: Source, ids: readonly string[]): Promise<string[]> =>
  src('second_look').whereIn('id', ids).distinct().pluck('piece_id');

/** How many pieces of a firing are to be looked at again after each span. */
export async function askedOf(src: Source, firingId: string): Promise<{ days: number; pieces: number }[]> {
  const rows: Row[] = await src('second_look')
    .where({ firing_id: firingId })
    .whereNull('dropped_at')
    .groupBy('after_days')
    .select('after_days', src.raw('COUNT(*) AS n'));
  return rows.map((row) => ({ days: row.after_days, pieces: Number(row.n) }));
}

export type DueLook = {
  /** All that are due of this piece and firing: one look serves them. */
  ids: string[];
  pieceId: string;
  code: string;
  ownerId: string | null;
  firingId: string;
  firing: string;
  days: number;
  dueOn: string;
};

const MOST = 300;

/**
 * Due by a day, and nobody has looked since it counts; the longest due first. A piece of somebody for its
 * owner alone.
 */
export async function dueLooks(src: Source, by: string, ownerId: string | null = null): Promise<DueLook[]> {
  const query = src('second_look as asked')
    .join('piece', 'piece.id', 'asked.piece_id')
    .join('firing', 'firing.id', 'asked.firing_id')
    .join('kiln', 'kiln.id', 'firing.kiln_id')
    .where('asked.due_on', '<=', by)
    .whereNull('asked.dropped_at')
    .whereNull('piece.binned_at')
    .whereNotExists(
      src('observation as look')
        .whereRaw('look.piece_id = asked.piece_id AND look.firing_id = asked.firing_id')
        .whereRaw('look.seen_at >= asked.counts_from')
        .whereNull('look.superseded_at')
        .whereNull('look.zone')
        .select(src.raw('1')),
    )
    .orderBy(['asked.due_on', 'kiln.name', 'firing.no', 'piece.code'])
    .limit(MOST)
    .select(
      'asked.id',
      'asked.piece_id',
      'asked.firing_id',
      'asked.after_days',
      'asked.due_on',
      'piece.code',
      'piece.owner_id',
      'firing.no',
      'kiln.name',
    );
  if (ownerId !== null) query.where('piece.owner_id', ownerId);
  const found = new Map<string, DueLook>();
  for (const row of (await query) as Row[]) {
    const key = `${row.piece_id}/${row.firing_id}`;
    const held = found.get(key);
    if (held === undefined)
      found.set(key, {
        ids: [row.id],
        pieceId: row.piece_id,
        code: row.code,
        ownerId: row.owner_id,
        firingId: row.firing_id,
        firing: `${row.name} ${row.no}`,
        days: row.after_days,
        dueOn: row.due_on,
      });
    else {
      held.ids.push(row.id);
      held.days = Math.max(held.days, row.after_days);
    }
  }
  return [...found.values()];
}
