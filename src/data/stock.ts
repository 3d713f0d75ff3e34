import type { Row, Source } from './database';

export type TileStock = {
  bodyId: string;
  bodyName: string;
  form: string;
  faces: string;
  number: number;
  /** Blanks used or broken in the last 90 days. */
  usedLately: number;
};

/** Blanks on the board by body, form and faces, with how fast they go. */
export async function tileStock(src: Source, now: Date): Promise<TileStock[]> {
  const since = new Date(now.getTime() - 90 * 86_400_000);
  const rows: Row[] = await src('tile_move')
    .join('body', 'body.id', 'tile_move.body_id')
    .groupBy('tile_move.body_id', 'body.name', 'form', 'faces')
    .orderBy(['body.name', 'form', 'faces'])
    .select(
      'tile_move.body_id',
      'body.name',
      'form',
      'faces',
      src.raw('SUM(number) as number'),
      src.raw("SUM(IF(why IN ('used','broken') AND at >= ?, -number, 0)) as used_lately", [since]),
    );
  return rows.map((row) => ({
    bodyId: row.body_id,
    bodyName: row.name,
    form: row.form,
    faces: row.faces,
    number: Number(row.number),
    usedLately: Number(row.used_lately),
  }));
}

export async function moveTiles(
  src: Source,
  move: {
    id: string;
    bodyId: string;
    form: string;
    faces: string;
    number: number;
    why: 'made' | 'used' | 'broken' | 'counted';
  },
  by: string,
  at: Date,
): Promise<void> {
  await src('tile_move').insert({
    id: move.id,
    body_id: move.bodyId,
    form: move.form,
    faces: move.faces,
    number: move.number,
    why: move.why,
    by_person: by,
    at,
  });
}

export type BodyTest = {
  id: string;
  bodyId: string;
  kind: string;
  value: number | null;
  cone: string | null;
  note: string;
  at: Date;
  by: string;
};

/** What was measured of a body itself, newest first. */
export async function bodyTestsOf(src: Source, bodyId: string): Promise<BodyTest[]> {
  const rows: Row[] = await src('body_test')
    .join('person', 'person.id', 'body_test.by_person')
    .where({ body_id: bodyId })
    .orderBy('body_test.at', 'desc')
    .select('body_test.*', 'person.name as by_name');
  return rows.map((row) => ({
    id: row.id,
    bodyId: row.body_id,
    kind: row.kind,
    value: row.value,
    cone: row.cone,
    note: row.note,
    at: row.at,
    by: row.by_name,
  }));
}

export async function addBodyTest(
  src: Source,
  test: Omit<BodyTest, 'at' | 'by'>,
  by: string,
  at: Date,
): Promise<void> {
  await src('body_test').insert({
    id: test.id,
    body_id: test.bodyId,
    kind: test.kind,
    value: test.value,
    cone: test.cone,
    note: test.note,
    by_person: by,
    at,
  });
}
