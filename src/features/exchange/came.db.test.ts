/** A table that comes a second time, longer by then; and one that is taken back. */
import { planFiring, testStudio, type TestStudio } from '../../../test-support/studio';
import { planImport } from './plan';
import { importOptions, type Imported, type ImportOptionsInput } from './contracts';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

const bytes = (text: string) => Buffer.from(text);
const plan = (text: string, input: ImportOptionsInput = {}, file = 'file') =>
  planImport(studio.db, bytes(text), importOptions.parse(input), file);
const bring = async (text: string, input: ImportOptionsInput = {}): Promise<Imported> => {
  const answer = await studio.actWithFile<Imported>('exchange.import', input, bytes(text));
  if (!answer.ok) throw new Error(answer.problem.message);
  return answer.data;
};
const why = (found: Awaited<ReturnType<typeof plan>>) =>
  found.rows.map(({ errors, warnings, came }) => [came?.maybe === false, errors.length, warnings.length]);

const FIRST = `mark,body,coating 1,coats 1,cone,atmosphere,date,kiln
C1,Peat,Pitch,2,6,oxidation,2024-03-05,Marta
C2,Peat,Tarn,1,6,oxidation,2024-03-05,Marta
,Peat,Pitch,1,6,oxidation,2024-03-05,Marta
,Peat,Pitch,1,6,oxidation,2024-03-05,Marta`;
/**
 * Columns in another order, names written otherwise, a verdict added to C1, a third of the two alike, and C3.
 */
const LONGER = `kiln,rating,body,mark,coating 1,coats 1,cone,atmosphere,date
marta,5,PEAT,c1,pitch,2,6,ox,2024-03-05
Marta,,Peat,C2,Tarn,1,6,oxidation,2024-03-05
Marta,,Peat,,Pitch,1,6,oxidation,2024-03-05
Marta,,Peat,,Pitch,1,6,oxidation,2024-03-05
Marta,,Peat,,Pitch,1,6,oxidation,2024-03-05
Marta,,Peat,C3,Pitch,1,6,oxidation,2024-03-05
Marta,,Peat,C1,Pitch,1,6,oxidation,2024-03-05`;

test('rows that came in before are known, whatever was put right since, and stay out; what is new comes', async () => {
  const made = await bring(FIRST);
  expect(made.pieces).toBe(4);
  // Put right meanwhile: the mark, and what lies on it.
  await studio.db('piece').where({ mark: 'C2' }).update({ mark: 'C22' });
  await studio.db('layer').update({ coats: 3 });
  const again = await plan(FIRST);
  expect(again.counts).toMatchObject({ add: 0, refused: 0, came: 4 });
  expect(again.open).toEqual(['Nothing in it is new: every row that can be taken came in before.']);
  expect(again.written).toEqual([]);
  const codes: string[] = await studio.db('piece').orderBy('mark').pluck('code');
  expect(codes).toContain(again.rows[0]!.came!.code);
  expect(again.rows[0]!.errors).toEqual([
    `It came in before, from “file”, and is ${again.rows[0]!.came!.code}.`,
  ]);
  const longer = await plan(LONGER);
  expect(why(longer)).toEqual([
    [true, 1, 0],
    [true, 1, 0],
    [true, 1, 0],
    [true, 1, 0],
    [false, 0, 0],
    [false, 0, 0],
    [false, 0, 0],
  ]);
  expect(longer.counts).toMatchObject({ add: 3, refused: 0, came: 4 });
  expect((await bring(LONGER)).pieces).toBe(3);
  expect((await plan(LONGER)).counts).toMatchObject({ add: 0, came: 7 });
  // Said to be others, they come once more.
  const once = await plan(LONGER, { again: true });
  expect(once.counts).toMatchObject({ add: 7, came: 7, doubtful: 7 });
  expect([once.open, once.written]).toEqual([[], []]);
});

test('without a day the same file is known, and of another it is said that it may be the same; nothing is left out for it', async () => {
  const text = `mark,body,coating 1,cone,kiln
1,Peat,Tarn,6,Marta
2,Peat,Tarn,6,Marta`;
  await bring(text);
  expect(why(await plan(text))).toEqual([
    [true, 1, 0],
    [true, 1, 0],
  ]);
  const other = await plan(text, {}, 'july.csv');
  expect(why(other)).toEqual([
    [false, 0, 1],
    [false, 0, 1],
  ]);
  expect(other.counts).toMatchObject({ add: 2, came: 0, maybe: 2, doubtful: 2, refused: 0 });
  expect(other.rows[0]!.warnings[0]).toMatch(
    /^It may have come in before, from “file”, and be [A-Z0-9]{5}: it names no day\.$/,
  );
  expect(other.written).toEqual([]);
  // They stay out when that is said; and a file that was fetched twice is the same.
  expect((await plan(text, { leaveOutMaybe: true }, 'july.csv')).counts).toMatchObject({
    add: 0,
    maybe: 2,
    refused: 0,
  });
  expect((await plan(text, { leaveOutMaybe: true }, 'july.csv')).open).toEqual([
    expect.stringContaining('Nothing in it is new'),
  ]);
  expect((await plan(text, {}, 'file (2)')).counts).toMatchObject({ add: 0, came: 2 });
  // With a day it is known from whichever file it comes.
  expect((await plan(FIRST, {}, 'july.csv')).counts).toMatchObject({ add: 0, came: 4 });
});

test('sent twice at once as two acts, it comes in once: the second is told that nothing is new', async () => {
  const text = FIRST.replaceAll('C1', 'D1').replaceAll('2024', '2023');
  const answers = await Promise.all(
    [0, 1].map(() => studio.actWithFile<Imported>('exchange.import', {}, bytes(text))),
  );
  expect(answers.map(({ ok }) => ok).sort()).toEqual([false, true]);
  expect(answers.find(({ ok }) => !ok)).toMatchObject({
    problem: { message: expect.stringContaining('Nothing in it is new') },
  });
});

test('what came in is taken back as one, and given back as it was', async () => {
  const text = `mark,body,coating 1,cone,kiln
E1,Peat,Nettle,6,Marta
E2,Peat,Nettle,6,Marta
E3,Peat,Burdock,6,Marta`;
  const made = await bring(text, { coatings: { Nettle: 'new', Burdock: 'new' } });
  expect(made.coatingIds).toHaveLength(2);
  const away = (binned: boolean) =>
    studio.must('exchange.away', { lotId: made.lotId, coatingIds: made.coatingIds, binned });
  const there = async () => ({
    pieces: await studio
      .db('piece')
      .where({ lot_id: made.lotId, binned_at: null })
      .orderBy('mark')
      .pluck('mark'),
    shelved: await studio.db('coating').whereNotNull('archived_at').orderBy('name').pluck('name'),
    cells: await studio
      .db('cell')
      .whereIn('base_slug', ['nettle', 'burdock'])
      .orderBy('base_slug')
      .pluck('base_slug'),
  });
  // One went into the bin by itself before; Nettle lies on a piece of somebody else by then.
  const [own] = await studio.db('piece').where({ lot_id: made.lotId, mark: 'E2' });
  await studio.must('pieces.bin', { pieceIds: [own.id], binned: true });
  await studio
    .db('layer')
    .where({ piece_id: own.id })
    .update({ piece_id: (await studio.db('piece').where({ mark: 'C1' }).first()).id, set_no: 2 });
  expect(await there()).toEqual({
    pieces: ['E1', 'E3'],
    shelved: [],
    cells: ['burdock', 'nettle'],
  });
  await away(true);
  expect(await there()).toEqual({ pieces: [], shelved: ['Burdock'], cells: [] });
  expect(
    await studio.act('exchange.away', { lotId: made.lotId, coatingIds: [], binned: true }),
  ).toMatchObject({ ok: false, problem: { message: 'Nothing of it is on record any more.' } });
  // Nothing of it is on record now: it could come again.
  expect((await plan(text)).counts).toMatchObject({ came: 0 });
  await away(false);
  expect(await there()).toEqual({
    pieces: ['E1', 'E3'],
    shelved: [],
    cells: ['burdock', 'nettle'],
  });
});

test('while one of them is in a load nothing is taken back, and it is said why', async () => {
  const made = await bring(FIRST.replaceAll('2024', '2022'));
  const [piece] = await studio.db('piece').where({ lot_id: made.lotId, mark: 'C1' });
  const firingId = await planFiring(studio);
  await studio.must('loading.place', { firingId, pieceIds: [piece.id], shelf: 1 });
  const answer = await studio.act('exchange.away', { lotId: made.lotId, coatingIds: [], binned: true });
  expect(answer).toMatchObject({ ok: false, problem: { message: expect.stringContaining('still in') } });
  expect(await studio.db('piece').where({ lot_id: made.lotId }).whereNotNull('binned_at')).toEqual([]);
});
