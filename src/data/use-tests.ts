/** Tests of body and use, as they were done on pieces. */
import type { UseRecord } from '@/core/usetests';
import type { Row, Source } from './database';

export type KeptUseTest = UseRecord & {
  pieceId: string;
  note: string;
  /** ISO day; null where it is not due again. */
  dueOn: string | null;
  by: string;
};

const kept = (row: Row): KeptUseTest => ({
  id: row.id,
  pieceId: row.piece_id,
  kind: row.kind,
  outcome: row.outcome,
  rounds: row.rounds,
  dryG: row.dry_g,
  wetG: row.wet_g,
  note: row.note,
  doneOn: row.done_on,
  dueOn: row.due_on,
  by: row.by_name,
});

/** What stands of these pieces, newest first. */
export async function testsOnPieces(src: Source, pieceIds: readonly string[]): Promise<KeptUseTest[]> {
  const rows: Row[] = await src('use_test')
    .join('person', 'person.id', 'use_test.by_person')
    .whereIn('piece_id', pieceIds)
    .whereNull('dropped_at')
    .orderBy([
      { column: 'done_on', order: 'desc' },
      { column: 'use_test.id', order: 'desc' },
    ])
    .select('use_test.*', 'person.name as by_name');
  return rows.map(kept);
}

export async function addUseTest(
  src: Source,
  one: UseRecord & { pieceId: string; note: string; dueOn: string | null },
  by: string,
  now: Date,
): Promise<void> {
  await src('use_test').insert({
    id: one.id,
    piece_id: one.pieceId,
    kind: one.kind,
    outcome: one.outcome,
    rounds: one.rounds,
    dry_g: one.dryG,
    wet_g: one.wetG,
    note: one.note,
    done_on: one.doneOn,
    due_on: one.dueOn,
    by_person: by,
    at: now,
  });
}

/** The piece that a test is of; null where there is no such test. */
export async function pieceOfUseTest(src: Source, id: string): Promise<string | null> {
  const row: Row | undefined = await src('use_test').where({ id }).first('piece_id');
  return row?.piece_id ?? null;
}

/** Strikes a test, or takes that back. */
export async function dropUseTest(src: Source, id: string, at: Date | null): Promise<void> {
  await src('use_test').where({ id }).update({ dropped_at: at });
}

/** Tests that are due again by a day and were not done again since, the longest due first. */
export async function dueUseTests(
  src: Source,
  by: string,
): Promise<{ code: string; kind: string; dueOn: string }[]> {
  const rows: Row[] = await src('use_test')
    .join('piece', 'piece.id', 'use_test.piece_id')
    .whereNull('use_test.dropped_at')
    .whereNull('piece.binned_at')
    .where('use_test.due_on', '<=', by)
    .whereNotExists(
      src('use_test as later')
        .whereRaw('later.piece_id = use_test.piece_id AND later.kind = use_test.kind')
        .whereRaw('later.done_on > use_test.done_on')
        .whereNull('later.dropped_at')
        .select(src.raw('1')),
    )
    .orderBy(['use_test.due_on', 'piece.code'])
    .limit(50)
    .select('piece.code', 'use_test.kind', 'use_test.due_on');
  return rows.map((row) => ({ code: row.code, kind: row.kind, dueOn: row.due_on }));
}
