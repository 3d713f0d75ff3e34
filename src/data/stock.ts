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

export type FormCard = {
  id: string;
  name: string;
  bodyId: string | null;
  clayG: number;
  wetHeightMm: number | null;
  wetWidthMm: number | null;
  /** Total linear shrinkage as a fraction. */
  shrinkage: number | null;
  /** What must still fit after firing. */
  fits: string;
};

/** Clay and sizes of the forms a studio makes, by name. */
export async function listFormCards(src: Source): Promise<FormCard[]> {
  const rows: Row[] = await src('form_card').orderBy('name');
  return rows.map((row) => ({
    id: row.id,
    name: row.name,
    bodyId: row.body_id,
    clayG: row.clay_g,
    wetHeightMm: row.wet_height_mm,
    wetWidthMm: row.wet_width_mm,
    shrinkage: row.shrinkage,
    fits: row.fits,
  }));
}

/** Adds a card, or writes over the one of its id. */
export async function saveFormCard(src: Source, card: FormCard, by: string, now: Date): Promise<void> {
  const columns = {
    name: card.name,
    body_id: card.bodyId,
    clay_g: card.clayG,
    wet_height_mm: card.wetHeightMm,
    wet_width_mm: card.wetWidthMm,
    shrinkage: card.shrinkage,
    fits: card.fits,
  };
  await src('form_card')
    .insert({ id: card.id, ...columns, created_by: by, created_at: now })
    .onConflict('id')
    .merge(Object.keys(columns));
}

export async function dropFormCard(src: Source, id: string): Promise<void> {
  await src('form_card').where({ id }).delete();
}
