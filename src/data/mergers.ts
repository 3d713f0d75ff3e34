/** What was merged, by whom, and what takes it apart again. */
import type { Row, Source } from './database';
import { newId } from './ids';
import type { MergedKind, Move } from './merging';

export type Merger = {
  id: string;
  kind: MergedKind;
  fromId: string;
  intoId: string;
  by: string;
  at: Date;
};

export async function keepMerger(
  src: Source,
  merger: Omit<Merger, 'id' | 'by' | 'at'> & { moves: readonly Move[] },
  by: string,
  at: Date,
): Promise<string> {
  const id = newId();
  await src('merger').insert({
    id,
    kind: merger.kind,
    from_id: merger.fromId,
    into_id: merger.intoId,
    moves: JSON.stringify(merger.moves),
    by_person: by,
    at,
  });
  return id;
}

/** A merger that still stands, held; null when it was taken apart or never was. */
export async function holdMerger(
  src: Source,
  id: string,
): Promise<(Omit<Merger, 'by' | 'at'> & { moves: Move[] }) | null> {
  const row: Row | undefined = await src('merger').where({ id }).whereNull('undone_at').forUpdate().first();
  if (row === undefined) return null;
  return { id, kind: row.kind, fromId: row.from_id, intoId: row.into_id, moves: row.moves };
}

export const addMoves = (src: Source, id: string, moves: readonly Move[]): Promise<unknown> =>
  src('merger')
    .where({ id })
    .update({ moves: JSON.stringify(moves) });

export const endMerger = (src: Source, id: string, at: Date): Promise<unknown> =>
  src('merger').where({ id }).update({ undone_at: at });

/** Mergers that stand, newest first, and who merged. */
export async function listMergers(src: Source): Promise<Merger[]> {
  const rows: Row[] = await src('merger')
    .join('person', 'person.id', 'merger.by_person')
    .whereNull('undone_at')
    .orderBy('at', 'desc')
    .select('merger.id', 'kind', 'from_id', 'into_id', 'at', 'person.name as by');
  return rows.map((row) => ({
    id: row.id,
    kind: row.kind,
    fromId: row.from_id,
    intoId: row.into_id,
    by: row.by,
    at: row.at,
  }));
}

/** Loads that are closed, firing or cooling in these kilns. */
export const loadsInside = (src: Source, kilnIds: readonly string[]): Promise<string[]> =>
  src('firing')
    .whereIn('kiln_id', kilnIds)
    .whereIn('status', ['loaded', 'firing', 'cooling'])
    .whereNull('called_off_at')
    .pluck('kiln_id');
