/** Cases of the clinic and what was said of them. */
import type { Row, Source } from './database';
import { oneAtATime } from './studio';

export type CaseScope = 'piece' | 'coating' | 'bucket' | 'body' | 'kiln' | 'firing';

export type ClinicCase = {
  id: string;
  no: number;
  scope: CaseScope;
  pieceId: string | null;
  /** The piece it is of, by its code; null where it is of none. */
  code: string | null;
  ownerId: string | null;
  firingId: string | null;
  coatingId: string | null;
  bucketId: string | null;
  bodyId: string | null;
  /** The coating, bucket or body that it is of, by name and address; null where it is of none. */
  subject: { name: string; slug: string } | null;
  questionId: string | null;
  questionNo: number | null;
  /** Kiln and number of its firing: "Gable 7". */
  firing: string | null;
  /** Which test that question was made for. */
  testFact: string | null;
  /** What is complained of, by the clinic's names. */
  complaints: string[];
  openedBy: string;
  openedByName: string;
  openedAt: Date;
  /** Causes that it turned out to be; empty: none that is known. Null while it is open. */
  turnedOut: string[] | null;
  closedByName: string | null;
  closedAt: Date | null;
  closingNote: string;
  revision: number;
};

const clinicCase = (row: Row): ClinicCase => ({
  id: row.id,
  no: row.no,
  scope: row.scope,
  pieceId: row.piece_id,
  code: row.code ?? null,
  ownerId: row.owner_id ?? null,
  firingId: row.firing_id,
  coatingId: row.coating_id,
  bucketId: row.bucket_id,
  bodyId: row.body_id,
  subject:
    row.bucket_id !== null
      ? { name: row.bucket_name, slug: row.bucket_id }
      : row.coating_id !== null
        ? { name: row.coating_name, slug: row.coating_slug }
        : row.body_id !== null
          ? { name: row.body_name, slug: row.body_slug }
          : null,
  questionId: row.question_id,
  questionNo: row.question_no ?? null,
  firing: row.kiln_name == null ? null : `${row.kiln_name} ${row.firing_no}`,
  testFact: row.test_fact,
  complaints: row.complaints,
  openedBy: row.opened_by,
  openedByName: row.opened_by_name,
  openedAt: row.opened_at,
  turnedOut: row.turned_out,
  closedByName: row.closed_by_name ?? null,
  closedAt: row.closed_at,
  closingNote: row.closing_note,
  revision: row.revision,
});

/** Cases, open ones first, then the newest. */
export async function listCases(
  src: Source,
  filter: {
    id?: string;
    pieceId?: string;
    firingId?: string;
    /** A coating, bucket or body that cases are of. */ of?: string;
    openedBy?: string;
    open?: boolean;
  } = {},
): Promise<ClinicCase[]> {
  const query = src('clinic_case')
    .leftJoin('piece', 'piece.id', 'clinic_case.piece_id')
    .leftJoin('question', 'question.id', 'clinic_case.question_id')
    .leftJoin('firing', 'firing.id', 'clinic_case.firing_id')
    .leftJoin('kiln', 'kiln.id', 'firing.kiln_id')
    .leftJoin('coating', 'coating.id', 'clinic_case.coating_id')
    .leftJoin('bucket', 'bucket.id', 'clinic_case.bucket_id')
    .leftJoin('body', 'body.id', 'clinic_case.body_id')
    .join('person as opener', 'opener.id', 'clinic_case.opened_by')
    .leftJoin('person as closer', 'closer.id', 'clinic_case.closed_by')
    .orderByRaw('clinic_case.closed_at IS NOT NULL, clinic_case.opened_at DESC')
    .select(
      'clinic_case.*',
      'piece.code',
      'piece.owner_id',
      'question.no as question_no',
      'firing.no as firing_no',
      'kiln.name as kiln_name',
      'coating.name as coating_name',
      'coating.slug as coating_slug',
      'bucket.name as bucket_name',
      'body.name as body_name',
      'body.slug as body_slug',
      'opener.name as opened_by_name',
      'closer.name as closed_by_name',
    );
  if (filter.id !== undefined) query.where('clinic_case.id', filter.id);
  if (filter.pieceId !== undefined) query.where('clinic_case.piece_id', filter.pieceId);
  if (filter.firingId !== undefined) query.where('clinic_case.firing_id', filter.firingId);
  const { of } = filter;
  if (of !== undefined)
    query.where((one) =>
      one
        .where('clinic_case.bucket_id', of)
        .orWhere('clinic_case.body_id', of)
        // What is of one bucket is not of the whole coating.
        .orWhere((all) => all.where('clinic_case.coating_id', of).whereNull('clinic_case.bucket_id')),
    );
  if (filter.openedBy !== undefined) query.where('clinic_case.opened_by', filter.openedBy);
  if (filter.open === true) query.whereNull('clinic_case.closed_at');
  return ((await query) as Row[]).map(clinicCase);
}

export type NewCase = Pick<
  ClinicCase,
  'id' | 'scope' | 'pieceId' | 'firingId' | 'coatingId' | 'bucketId' | 'bodyId' | 'complaints'
>;

/** Opens a case; its number. Two at once come one after the other. */
export async function createCase(src: Source, one: NewCase, by: string, now: Date): Promise<number> {
  await oneAtATime(src);
  const newest: Row | undefined = await src('clinic_case').orderBy('no', 'desc').first('no');
  const no = Number(newest?.no ?? 0) + 1;
  await src('clinic_case').insert({
    id: one.id,
    no,
    scope: one.scope,
    piece_id: one.pieceId,
    firing_id: one.firingId,
    coating_id: one.coatingId,
    bucket_id: one.bucketId,
    body_id: one.bodyId,
    complaints: JSON.stringify(one.complaints),
    opened_by: by,
    opened_at: now,
  });
  return no;
}

export type Answer = {
  id: string;
  fact: string;
  /** Null: nobody knows, or it was taken back. */
  value: string | null;
  by: string;
  byName: string;
  at: Date;
};

/** What stands of what was said: the newest answer to each fact. */
export async function answersOf(src: Source, caseId: string): Promise<Answer[]> {
  const rows: Row[] = await src('clinic_answer')
    .join('person', 'person.id', 'clinic_answer.said_by')
    .where({ case_id: caseId })
    .orderBy(['said_at', 'clinic_answer.id'])
    .select('clinic_answer.*', 'person.name as by_name');
  const newest = new Map<string, Answer>();
  for (const row of rows)
    newest.set(row.fact, {
      id: row.id,
      fact: row.fact,
      value: row.value,
      by: row.said_by,
      byName: row.by_name,
      at: row.said_at,
    });
  return [...newest.values()];
}

export async function addAnswer(
  src: Source,
  caseId: string,
  one: { id: string; fact: string; value: string | null },
  by: string,
  now: Date,
): Promise<void> {
  await src('clinic_answer').insert({
    id: one.id,
    case_id: caseId,
    fact: one.fact,
    value: one.value,
    said_by: by,
    said_at: now,
  });
}

/** Says otherwise what is complained of, or what it turned out to be; false when somebody did meanwhile. */
export async function changeCase(
  src: Source,
  id: string,
  revision: number,
  change: {
    complaints?: readonly string[];
    turnedOut?: readonly string[] | null;
    closedBy?: string | null;
    closedAt?: Date | null;
    closingNote?: string;
    questionId?: string | null;
    testFact?: string | null;
  },
): Promise<boolean> {
  const json = (list: readonly string[] | null | undefined): string | null | undefined =>
    list == null ? list : JSON.stringify(list);
  const columns = {
    complaints: json(change.complaints),
    turned_out: json(change.turnedOut),
    closed_by: change.closedBy,
    closed_at: change.closedAt,
    closing_note: change.closingNote,
    question_id: change.questionId,
    test_fact: change.testFact,
  };
  const said = Object.fromEntries(Object.entries(columns).filter(([, one]) => one !== undefined));
  const changed = await src('clinic_case')
    .where({ id, revision })
    .update({ ...said, revision: src.raw('revision + 1') });
  return changed === 1;
}

/** What the studio's closed cases turned out to be, by the word of those who keep its records. */
export async function confirmedCases(src: Source): Promise<{ complaints: string[]; turnedOut: string[] }[]> {
  const rows: Row[] = await src('clinic_case')
    .join('person', 'person.id', 'clinic_case.closed_by')
    .whereNotNull('turned_out')
    .whereIn('person.role', ['technician', 'teacher'])
    .select('complaints', 'turned_out');
  return rows.map((row) => ({ complaints: row.complaints, turnedOut: row.turned_out }));
}

/** What a technician says of a cause here. */
export type SaidOfCause = {
  cause: string;
  off: boolean;
  /** So many times as common as in the tables. */
  factor: number;
  reason: string;
  byName: string;
  at: Date;
};

/** What stands of it: the newest of each cause. */
export async function saidOfCauses(src: Source): Promise<SaidOfCause[]> {
  const rows: Row[] = await src('clinic_cause')
    .join('person', 'person.id', 'clinic_cause.said_by')
    .orderBy(['said_at', 'clinic_cause.id'])
    .select('clinic_cause.*', 'person.name as by_name');
  const newest = new Map<string, SaidOfCause>();
  for (const row of rows)
    newest.set(row.cause, {
      cause: row.cause,
      off: Boolean(row.off),
      factor: row.factor,
      reason: row.reason,
      byName: row.by_name,
      at: row.said_at,
    });
  return [...newest.values()];
}

export async function sayOfCause(
  src: Source,
  one: { id: string } & Pick<SaidOfCause, 'cause' | 'off' | 'factor' | 'reason'>,
  by: string,
  now: Date,
): Promise<void> {
  await src('clinic_cause').insert({ ...one, said_by: by, said_at: now });
}
