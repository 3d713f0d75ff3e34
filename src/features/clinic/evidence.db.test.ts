/**
 * What the records around a fault answer: the bucket, the coating, the body, the tiles of a test, what goes
 * with it.
 */
import { v7 } from 'uuid';
import {
  advance,
  fired,
  layer,
  planFiring,
  recordInput,
  testStudio,
  type TestStudio,
} from '../../../test-support/studio';
import type { Told } from '@/core/diagnosis';
import { listCases } from '@/data/clinic';
import { ripeQuestions } from '@/data/questions';
import { evidenceOf } from './evidence';
import { caseView } from './queries';
import { ratesOf } from './rates';
import { caseSays } from './says';

let studio: TestStudio;
let firing: string;
let thick: string[];
beforeAll(async () => {
  studio = await testStudio();
  const tarn = studio.version('tarn');
  const pits = { surface: 'gloss', signs: [{ sign: 'pit', severity: 2, wanted: false }] };
  for (let i = 0; i < 2; i++) {
    const two = await fired(studio, [{ ...layer(tarn), coats: 2 }], { count: 6 });
    const one = await fired(studio, [layer(tarn)], { count: 6 });
    await studio.must('opening.record', recordInput(two.firingId, two.ids, pits));
    await studio.must('opening.record', recordInput(one.firingId, one.ids, { surface: 'gloss' }));
    [firing, thick] = [two.firingId, two.ids];
  }
});
afterAll(() => studio.db.destroy());

const open = async (input: object, as = studio.technician) =>
  (await studio.must('clinic.open', { complaints: ['pit'], ...input }, as)) as { id: string };
const view = async (id: string, records = true) =>
  caseView(studio.db, (await listCases(studio.db, { id }))[0]!, new Date(), records);
const told = (all: readonly Told[], fact: string): Told | undefined => all.find((one) => one.fact === fact);
const tarnId = async (): Promise<string> =>
  (await studio.db('coating').where({ slug: 'tarn' }).first()).id as string;

test('the bucket on the day of glazing, with the address of its page', async () => {
  const bucketId = v7();
  await studio.db('bucket').insert({
    id: bucketId,
    coating_version_id: studio.version('tarn'),
    name: 'Tarn, blue lid',
    advice: JSON.stringify({ dips: 2, seconds: 4, dryingSign: '', restirMinutes: null, sg: 1.48 }),
    mixed_by: studio.technician.id,
    mixed_at: new Date(),
  });
  const entry = (sg: number, at: Date) => ({
    id: v7(),
    bucket_id: bucketId,
    kind: 'measured',
    sg,
    by_person: studio.technician.id,
    note: '',
    at,
  });
  const glazed = (await studio.db('layer').where({ piece_id: thick[0] }).first()).recorded_at as Date;
  await studio
    .db('bucket_entry')
    .insert([
      entry(1.48, new Date(glazed.getTime() - 30 * 86_400_000)),
      entry(1.58, new Date(glazed.getTime() - 86_400_000)),
    ]);
  // The thickness of a coat bears on pits, and so does the bucket.
  const { told: all } = await evidenceOf(studio.db, {
    pieceId: thick[0]!,
    firingId: firing,
    complaint: 'pit',
  });
  expect(told(all, 'sg')).toEqual({
    fact: 'sg',
    value: 'high',
    words: 'Tarn, blue lid: 1.58 against 1.48, measured 1 day before',
    href: `/store/buckets/${bucketId}`,
  });
  // A case of the bucket itself reads it as it is now.
  const { id } = await open({ bucketId });
  const shown = await view(id);
  expect(told(shown.told, 'sg')?.value).toBe('high');
  const [one] = await listCases(studio.db, { id });
  expect(one).toMatchObject({ scope: 'bucket', subject: { name: 'Tarn, blue lid' } });
});

test('every fact leads to its record, and for who may not see that page it leads nowhere', async () => {
  const { id } = await open({ pieceId: thick[0], firingId: firing });
  const shown = await view(id);
  expect(told(shown.told, 'load')?.href ?? `/kilns/firings/${firing}`).toBe(`/kilns/firings/${firing}`);
  expect(told(shown.told, 'thickness')?.href).toMatch(/^\/pieces\//);
  expect(told(shown.told, 'ground')?.href).toBe('/store/bodies/peat');
  const hidden = await view(id, false);
  expect(hidden.told.map(({ fact }) => fact)).toEqual(shown.told.map(({ fact }) => fact));
  expect(hidden.told.every(({ href }) => href === undefined || href.startsWith('/pieces/'))).toBe(true);
});

test('a case of a coating is read for where it is seen most, and a test can be made of it', async () => {
  const { id } = await open({ coatingId: await tarnId() }, studio.student);
  const shown = await view(id);
  expect(shown.place?.stack).toBe('tarn');
  expect(told(shown.told, 'thickness')?.value).toBe('only-thick');
  // What belongs to one piece or one firing is not said of all of them.
  for (const fact of ['load', 'generation', 'air', 'moved']) expect(told(shown.told, fact)).toBeUndefined();
  const made = await studio.must('clinic.make-test', { caseId: id, revision: 1, fact: 't-thin-thick' });
  expect(made).toMatchObject({ tiles: 3 });
  const both = await studio.act('clinic.open', {
    coatingId: await tarnId(),
    pieceId: thick[0],
    complaints: ['pit'],
  });
  expect(both).toMatchObject({ ok: false, problem: { code: 'invalid' } });
  const none = await studio.act('clinic.open', { coatingId: v7(), complaints: ['pit'] });
  expect(none).toMatchObject({ ok: false, problem: { code: 'not-found' } });
});

test('a case of a body; of what nobody wrote up it says so', async () => {
  const body = await studio.db('body').where({ slug: 'peat' }).first();
  const pits = await view((await open({ bodyId: body.id })).id);
  expect(told(pits.told, 'ground')?.value).toBe('dark');
  expect(pits.over).toEqual({ among: { bodyId: body.id }, over: `on ${body.name}` });
  const none = await view((await open({ bodyId: body.id, complaints: ['dunt'] })).id);
  expect(none.told).toEqual([]);
  expect(none.missing[0]).toContain('nobody has written it up');
});

test('what the tiles of a test showed is read from how they were written up', async () => {
  const { id } = await open({ pieceId: thick[0], firingId: firing });
  await studio.must('clinic.make-test', { caseId: id, revision: 1, fact: 't-thin-thick' });
  const { question_id: questionId } = await studio.db('clinic_case').where({ id }).first();
  const tiles = await studio.db('question_tile').where({ question_id: questionId }).orderBy('no');
  const pieceIds = tiles.map(({ piece_id: pieceId }) => pieceId as string);
  // Bisqued meanwhile.
  await studio.db('piece').whereIn('id', pieceIds).update({ waiting_for: 'glaze' });
  const firingId = await planFiring(studio, {});
  await studio.must('loading.place', { firingId, pieceIds, shelf: 1 });
  await advance(studio, firingId);
  const pits = { surface: 'gloss', signs: [{ sign: 'pit', severity: 2, wanted: false }] };
  await studio.must('opening.record', recordInput(firingId, pieceIds.slice(1), pits));
  // Not before all of them are written up.
  expect(told((await view(id)).told, 't-thin-thick')).toBeUndefined();
  await studio.must('opening.record', recordInput(firingId, pieceIds.slice(0, 1), { surface: 'gloss' }));
  const shown = await view(id);
  expect(shown.test).toMatchObject({ tiles: 3, seen: 3, fact: 't-thin-thick' });
  expect(told(shown.told, 't-thin-thick')).toMatchObject({
    value: 'thin',
    words: expect.stringContaining(`question ${shown.test!.no}: thin 0 of 1 tile with it`),
    href: `/tests/questions/${shown.test!.no}`,
  });
});

test('the day sheet says what the result makes of the causes; a tile that broke is not waited for', async () => {
  const { id } = await open({ pieceId: thick[1], firingId: firing });
  const { no } = (await studio.must('clinic.make-test', {
    caseId: id,
    revision: 1,
    fact: 't-thin-thick',
  })) as { no: number };
  const question = await studio.db('question').where({ no }).first();
  const tiles = await studio.db('question_tile').where({ question_id: question.id }).orderBy('no');
  const [first, second, third] = tiles.map(({ piece_id: pieceId }) => pieceId as string) as [
    string,
    string,
    string,
  ];
  await studio.db('piece').whereIn('id', [first, third]).update({ waiting_for: 'glaze' });
  await studio.db('piece').where({ id: second }).update({ binned_at: new Date() });
  expect((await view(id)).test).toMatchObject({ tiles: 2, seen: 0 });
  const firingId = await planFiring(studio, {});
  await studio.must('loading.place', { firingId, pieceIds: [first, third], shelf: 1 });
  await advance(studio, firingId);
  const pits = { surface: 'gloss', signs: [{ sign: 'pit', severity: 2, wanted: false }] };
  await studio.must('opening.record', recordInput(firingId, [first], { surface: 'gloss' }));
  await studio.must('opening.record', recordInput(firingId, [third], pits));
  expect((await ripeQuestions(studio.db)).find(({ waiting }) => waiting?.caseId === id)).toBeTruthy();
  const says = await caseSays(studio.db, id, new Date());
  expect(says).toMatch(
    /^What did single and double dips show\? the thin one is clean\. The coat is too thick: .* in 100\.$/,
  );
  expect(await caseSays(studio.db, v7(), new Date())).toBeNull();
  await studio.db('piece').whereIn('id', [first, third]).update({ binned_at: new Date() });
});

test('a record that was corrected meanwhile is said on its case; what is told by a surface is not missed', async () => {
  const { id } = await open({ pieceId: thick[2], firingId: firing });
  expect((await view(id)).corrected).toBeNull();
  const crazed = { surface: 'gloss', signs: [{ sign: 'crazing', severity: 2, wanted: false }] };
  const [look] = await studio.db('observation').where({ piece_id: thick[2] }).select('id');
  const input = recordInput(firing, [thick[2]!], crazed) as { pieces: { corrects: string | null }[] };
  input.pieces[0]!.corrects = look.id;
  await studio.must('opening.record', input);
  expect((await view(id)).corrected).toMatch(/does not say pits, but crazing: it may have been corrected/);
  const matt = await open({ pieceId: thick[3], firingId: firing, complaints: ['matt'] });
  expect((await view(matt.id)).corrected).toBeNull();
});

test('what goes with a fault: thickness stands out, with both rates and how much was looked at', async () => {
  const found = (await ratesOf(studio.db, 'pit', { slugs: ['tarn'] }))!;
  expect(found.all.of).toBeGreaterThan(23);
  expect(found.factors[0]).toMatchObject({ variable: 'coats', out: true, unit: 'pieces' });
  expect(found.factors.filter(({ out }) => out)).toHaveLength(1);
  expect(found.looked).toBe(1);
  expect(found.firings).toBeGreaterThan(3);
  // A complaint that is on record as no sign cannot be counted.
  expect(await ratesOf(studio.db, 'lime-pop', {})).toBeNull();
  expect((await ratesOf(studio.db, 'pit', { slugs: ['pitch'] }))!.all.of).toBe(0);
});
