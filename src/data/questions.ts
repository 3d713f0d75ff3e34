import type { COUNTS } from '@/core/designs';
import { writeOver } from './rows';
import { oneAtATime } from './studio';
import { insertMany, type Row, type Source } from './database';
import type { Design, Mix, PlannedTile } from '@/core/designs';

export type QuestionFields = {
  text: string;
  varied: string;
  held: string;
  expected: string;
  /** The sign that its tiles are looked at for. */
  about: string | null;
  targetPieceId: string | null;
};

export type Conclusion = {
  said: string;
  asExpected: 'as expected' | 'otherwise' | 'cannot tell';
  counts: Partial<Record<(typeof COUNTS)[number], string>>;
  nextChange: string;
};

/** Amounts the sheets are made for. */
export type SheetPlan = { dryG: number; cupMl: number; measureMl: number; resolutionG: number };

export type Question = QuestionFields & {
  id: string;
  no: number;
  design: Design | null;
  seed: number;
  sheet: SheetPlan;
  conclusion: Conclusion | null;
  concludedBy: string | null;
  concludedAt: Date | null;
  askedBy: string;
  askedAt: Date;
  madeAt: Date | null;
  /** Those that broke before anybody saw them fired are not waited for. */
  tiles: number;
  /** Tiles that something has been written of after a glaze firing. */
  seen: number;
  revision: number;
};

export type QuestionTile = Pick<PlannedTile, 'no' | 'label' | 'role' | 'row' | 'column'> & {
  factors: Record<string, string>;
  mix: Mix | null;
  shelf: number;
  place: number;
  pieceId: string;
  code: string;
  bodyName: string;
  photo: string | null;
  rating: number | null;
  verdict: string | null;
  seen: boolean;
  fired: boolean;
};

const question = (row: Row): Question => ({
  id: row.id,
  no: row.no,
  text: row.text,
  varied: row.varied,
  held: row.held,
  expected: row.expected,
  about: row.about,
  targetPieceId: row.target_piece_id,
  design: row.design,
  seed: row.seed,
  sheet: row.sheet,
  conclusion: row.conclusion,
  concludedBy: row.concluded_by_name,
  concludedAt: row.concluded_at,
  askedBy: row.asked_by_name,
  askedAt: row.asked_at,
  madeAt: row.made_at,
  tiles: Number(row.tiles),
  seen: Number(row.seen),
  revision: row.revision,
});

const OBSERVED = `EXISTS (SELECT 1 FROM observation o JOIN firing f ON f.id = o.firing_id
  WHERE o.piece_id = question_tile.piece_id AND o.superseded_at IS NULL AND f.kind <> 'bisque')`;

const questions = (src: Source) =>
  src('question')
    .join('person as asker', 'asker.id', 'question.asked_by')
    .leftJoin('person as judge', 'judge.id', 'question.concluded_by')
    .orderByRaw('question.concluded_at IS NOT NULL, question.no DESC')
    .select(
      'question.*',
      'asker.name as asked_by_name',
      'judge.name as concluded_by_name',
      src.raw(
        `(SELECT COUNT(*) FROM question_tile JOIN piece ON piece.id = question_tile.piece_id
          WHERE question_tile.question_id = question.id AND (piece.binned_at IS NULL OR ${OBSERVED})) as tiles`,
      ),
      src.raw(
        `(SELECT COUNT(*) FROM question_tile WHERE question_tile.question_id = question.id AND ${OBSERVED}) as seen`,
      ),
    );

/** Open questions first, then the newest. */
export async function listQuestions(
  src: Source,
  filter: { id?: string; no?: number } = {},
): Promise<Question[]> {
  const query = questions(src);
  if (filter.id !== undefined) query.where('question.id', filter.id);
  if (filter.no !== undefined) query.where('question.no', filter.no);
  return (await query).map(question);
}

/**
 * Questions that are open though all their tiles are written up, with the case of the clinic that waits for
 * each.
 */
export async function ripeQuestions(
  src: Source,
): Promise<(Question & { waiting: { caseId: string; caseNo: number } | null })[]> {
  const rows: Row[] = await questions(src)
    .whereNull('question.concluded_at')
    .havingRaw('tiles > 0 AND seen = tiles')
    .leftJoin('clinic_case', function () {
      this.on('clinic_case.question_id', 'question.id').andOnNull('clinic_case.closed_at');
    })
    .select('clinic_case.id as case_id', 'clinic_case.no as case_no');
  return rows.map((row) => ({
    ...question(row),
    waiting: row.case_id === null ? null : { caseId: row.case_id, caseNo: row.case_no },
  }));
}

/** Was it made for a case of the clinic that this person asked about? */
export const askedThroughClinic = async (
  src: Source,
  questionId: string,
  personId: string,
): Promise<boolean> =>
  (await src('clinic_case').where({ question_id: questionId, opened_by: personId }).first('id')) !==
  undefined;

const columns = (fields: QuestionFields): Record<string, unknown> => ({
  text: fields.text,
  varied: fields.varied,
  held: fields.held,
  expected: fields.expected,
  about: fields.about,
  target_piece_id: fields.targetPieceId,
});

/** Asks a question; its number is the next one. */
export async function createQuestion(
  src: Source,
  one: QuestionFields & { id: string; design: Design | null; seed: number; sheet: SheetPlan },
  by: string,
  now: Date,
): Promise<number> {
  await oneAtATime(src);
  const last = await src('question').max({ no: 'no' }).first();
  const no = Number(last?.no ?? 0) + 1;
  await src('question').insert({
    id: one.id,
    no,
    ...columns(one),
    design: one.design === null ? null : JSON.stringify(one.design),
    seed: one.seed,
    sheet: JSON.stringify(one.sheet),
    asked_by: by,
    asked_at: now,
    made_at: one.design === null ? null : now,
  });
  return no;
}

export async function updateQuestion(
  src: Source,
  id: string,
  fields: QuestionFields,
  revision: number,
): Promise<boolean> {
  return writeOver(src, 'question', { id, revision }, columns(fields));
}

/** Writes the conclusion down, or takes it back with null. */
export async function concludeQuestion(
  src: Source,
  id: string,
  conclusion: Conclusion | null,
  by: string,
  now: Date,
): Promise<void> {
  await src('question')
    .where({ id })
    .update({
      conclusion: conclusion === null ? null : JSON.stringify(conclusion),
      concluded_by: conclusion === null ? null : by,
      concluded_at: conclusion === null ? null : now,
      revision: src.raw('revision + 1'),
    });
}

export async function addTiles(
  src: Source,
  questionId: string,
  tiles: readonly (Omit<PlannedTile, 'layers' | 'body'> & {
    pieceId: string;
    shelf: number;
    place: number;
  })[],
): Promise<void> {
  await insertMany(
    src,
    'question_tile',
    tiles.map((tile) => ({
      question_id: questionId,
      no: tile.no,
      piece_id: tile.pieceId,
      label: tile.label.slice(0, 300),
      role: tile.role,
      row_no: tile.row,
      column_no: tile.column,
      factors: JSON.stringify(tile.factors),
      mix: tile.mix === null ? null : JSON.stringify(tile.mix),
      shelf: tile.shelf,
      place: tile.place,
    })),
  );
}

/** A question's tiles with their newest picture and what was said last of the whole piece. */
export async function tilesOf(src: Source, questionId: string): Promise<QuestionTile[]> {
  const rows: Row[] = await src('question_tile')
    .join('piece', 'piece.id', 'question_tile.piece_id')
    .join('body', 'body.id', 'piece.body_id')
    .where({ question_id: questionId })
    .orderBy('question_tile.no')
    .select(
      'question_tile.*',
      'piece.code',
      'body.name as body_name',
      src.raw(
        `(SELECT sha FROM photo WHERE photo.piece_id = piece.id AND binned_at IS NULL
          ORDER BY created_at DESC, id DESC LIMIT 1) as photo`,
      ),
      src.raw(
        `(SELECT JSON_OBJECT('rating', rating, 'verdict', verdict) FROM observation
          WHERE observation.piece_id = piece.id AND zone IS NULL AND superseded_at IS NULL
          ORDER BY seen_at DESC LIMIT 1) as said`,
      ),
      src.raw(`${OBSERVED} as seen`),
      src.raw(
        `EXISTS (SELECT 1 FROM placement p JOIN firing f ON f.id = p.firing_id
          WHERE p.piece_id = piece.id AND f.kind <> 'bisque' AND f.status = 'opened') as fired`,
      ),
    );
  return rows.map((row) => {
    const said = (typeof row.said === 'string' ? JSON.parse(row.said) : row.said) as {
      rating: number | null;
      verdict: string | null;
    } | null;
    return {
      no: row.no,
      label: row.label,
      role: row.role,
      row: row.row_no,
      column: row.column_no,
      factors: row.factors,
      mix: row.mix,
      shelf: row.shelf,
      place: row.place,
      pieceId: row.piece_id,
      code: row.code,
      bodyName: row.body_name,
      photo: row.photo,
      rating: said?.rating ?? null,
      verdict: said?.verdict ?? null,
      seen: Boolean(row.seen),
      fired: Boolean(row.fired),
    };
  });
}
