/** Cases of the clinic: what the records say by themselves, who may, two at once, and what comes back. */
import { v7 } from 'uuid';
import {
  advance,
  fired,
  layer,
  makePieces,
  planFiring,
  recordInput,
  testStudio,
  type TestStudio,
} from '../../../test-support/studio';
import { diagnose, type Told } from '@/core/diagnosis';
import { listCases } from '@/data/clinic';
import { effectsSeen } from '@/data/clinic-evidence';
import { evidenceOf } from './evidence';
import { factsOf } from './facts';
import { questionSeen } from '../questions/server';
import { caseView, proposalsFor } from './queries';

let studio: TestStudio;
let firing: string;
let thick: string;
let thin: string[];
beforeAll(async () => {
  studio = await testStudio();
  const tarn = studio.version('tarn');
  const made = await fired(studio, [{ ...layer(tarn), coats: 2 }], { count: 4 });
  firing = made.firingId;
  const other = await fired(studio, [layer(tarn)], { count: 4 });
  thick = made.ids[0]!;
  thin = other.ids;
  const pits = { surface: 'gloss', signs: [{ sign: 'pit', severity: 2, wanted: false }] };
  await studio.must('opening.record', recordInput(firing, made.ids, pits));
  await studio.must('opening.record', recordInput(other.firingId, thin, { surface: 'gloss' }));
});
afterAll(() => studio.db.destroy());

type Opened = { id: string; no: number };
const open = async (input: object, as = studio.technician): Promise<Opened> =>
  (await studio.must(
    'clinic.open',
    { pieceId: thick, firingId: firing, complaints: ['pit'], ...input },
    as,
  )) as Opened;
const view = async (id: string) => caseView(studio.db, (await listCases(studio.db, { id }))[0]!, new Date());
const value = (told: readonly Told[], fact: string): string | undefined =>
  told.find((one) => one.fact === fact)?.value;

test('the records say that it is thickness, without anybody asked', async () => {
  const { told, missing } = await evidenceOf(studio.db, {
    pieceId: thick,
    firingId: firing,
    complaint: 'pit',
  });
  expect(value(told, 'thickness')).toBe('only-thick');
  expect(value(told, 'stack')).toBe('single');
  expect(value(told, 'generation')).toBe('first');
  expect(value(told, 'first-seen')).toBe('opening');
  expect(value(told, 'surface')).toBe('gloss');
  const found = diagnose({ findings: [{ sign: 'pit' }], facts: factsOf(told, []).facts });
  expect(found.causes[0]!.id).toBe('thick');
  // Beside it stand thin twins of another firing: what is otherwise with them is said.
  const { id } = await open({});
  const { contrasts } = await view(id);
  expect(contrasts).toHaveLength(3);
  expect(contrasts[0]).toMatchObject({ differs: ['another thickness', 'another firing'] });
  // What would have helped and is not on record is said.
  expect(missing.some((line) => line.includes('recipe') || line.includes('analysis'))).toBe(true);
});

test('the evidence of a piece costs at most twelve round trips once the lists are known', async () => {
  const of = { pieceId: thick, firingId: firing, complaint: 'pit' };
  await evidenceOf(studio.db, of);
  let trips = 0;
  const count = (): number => trips++;
  studio.db.on('query', count);
  await evidenceOf(studio.db, of);
  studio.db.removeListener('query', count);
  expect(trips).toBeLessThanOrEqual(12);
  expect(trips).toBeGreaterThan(3);
});

test('answers stand beside one another, the newest counts, and nobody knows leaves what the records say', async () => {
  const { id } = await open({});
  const say = (fact: string, said: string | null, as = studio.technician) =>
    studio.must('clinic.answer', { caseId: id, fact, value: said }, as);
  await Promise.all([say('body', 'every'), say('recipe', 'sound', studio.teacher)]);
  await say('body', 'only');
  await say('thickness', null);
  const shown = await view(id);
  const { facts, list } = factsOf(shown.told, shown.said);
  expect(facts).toMatchObject({ body: 'only', recipe: 'sound', thickness: 'only-thick' });
  await say('thickness', 'alike');
  const next = await view(id);
  const doubted = factsOf(next.told, next.said).list.find(({ fact }) => fact === 'thickness');
  expect(doubted).toMatchObject({ value: 'alike', otherwise: expect.stringContaining('thick') });
  expect(list.length).toBeGreaterThan(5);
  const wrong = await studio.act('clinic.answer', { caseId: id, fact: 'body', value: 'soft' });
  expect(wrong).toMatchObject({ ok: false, problem: { code: 'invalid' } });
});

test('cases have their numbers, also when two are opened at once; a piece must have been in the firing', async () => {
  const [a, b] = await Promise.all([open({}), open({ complaints: ['crazing'] })]);
  expect(new Set([a!.no, b!.no]).size).toBe(2);
  const never = await studio.act('clinic.open', { pieceId: thin[0], firingId: firing, complaints: ['pit'] });
  expect(never).toMatchObject({ ok: false });
  const none = await studio.act('clinic.open', { pieceId: v7(), firingId: firing, complaints: [] });
  expect(none).toMatchObject({ ok: false, problem: { code: 'not-found' } });
  // In the hand, on no record: a case of its own.
  expect((await open({ pieceId: null, firingId: null })).no).toBeGreaterThan(b!.no - 2);
});

test('closed by what turned out true, opened again, and two who name it otherwise at once are told', async () => {
  const { id } = await open({});
  const named = await Promise.all(
    ['crater', 'blister'].map((sign) =>
      studio.act('clinic.name', { caseId: id, revision: 1, complaints: [sign] }),
    ),
  );
  expect(named.map(({ ok }) => ok).sort()).toEqual([false, true]);
  const closing = { caseId: id, revision: 2, turnedOut: ['thick'], note: 'A single dip is clean.' };
  await studio.must('clinic.close', closing);
  expect((await view(id)).one).toMatchObject({ turnedOut: ['thick'], closingNote: closing.note });
  const late = await studio.act('clinic.answer', { caseId: id, fact: 'body', value: 'only' });
  expect(late).toMatchObject({ ok: false });
  await studio.must('clinic.reopen', { caseId: id });
  expect((await view(id)).one).toMatchObject({ turnedOut: null, closedAt: null });
});

test('a student asks of study tiles and of own pieces, and sees those cases alone', async () => {
  const { id } = await open({}, studio.student);
  expect(
    (await studio.act('clinic.answer', { caseId: id, fact: 'body', value: 'only' }, studio.student)).ok,
  ).toBe(true);
  const theirs = await open({});
  const peek = await studio.act(
    'clinic.answer',
    { caseId: theirs.id, fact: 'body', value: 'only' },
    studio.student,
  );
  expect(peek).toMatchObject({ ok: false, problem: { code: 'not-found' } });
  await studio.db('piece').where({ id: thin[1] }).update({ owner_id: studio.teacher.id, shown: 1 });
  // Ware whose owner shows it may be asked about; what nobody shows is not there.
  const ask = { pieceId: thin[1], firingId: null, complaints: ['pit'] };
  expect(await studio.act('clinic.open', ask, studio.student)).toMatchObject({ ok: true });
  await studio.db('piece').where({ id: thin[1] }).update({ shown: 0 });
  expect(await studio.act('clinic.open', ask, studio.student)).toMatchObject({
    ok: false,
    problem: { code: 'not-found' },
  });
});

test('a piece that was put away meanwhile leaves its case readable', async () => {
  const { id } = await open({});
  await studio.must('pieces.bin', { pieceIds: [thick], binned: true });
  const shown = await view(id);
  expect(shown.one.complaints).toEqual(['pit']);
  expect(Array.isArray(shown.told)).toBe(true);
  await studio.must('pieces.bin', { pieceIds: [thick], binned: false });
});

test('what turned out true counts from then on; a technician disagrees with a reason that stays', async () => {
  const { id } = await open({});
  const before = await view(id);
  const other = await open({});
  await studio.must('clinic.close', { caseId: other.id, revision: 1, turnedOut: ['frozen'] });
  await studio.must('clinic.disagree', {
    cause: 'grit',
    off: true,
    factor: 1,
    reason: 'We sieve.',
  });
  await studio.must('clinic.disagree', {
    cause: 'grit',
    off: false,
    factor: 2,
    reason: 'We did not.',
  });
  const after = await view(id);
  expect(after.confirmed.length).toBe(before.confirmed.length + 1);
  expect(after.confirmed.at(-1)).toEqual({ complaints: ['pit'], turnedOut: ['frozen'] });
  expect(after.disagreed).toEqual([{ cause: 'grit', off: false, factor: 2 }]);
  expect(await studio.db('clinic_cause').count({ n: '*' }).first()).toEqual({ n: 2 });
  // A student's word closes their own case, and moves no figure of the studio's.
  const own = await open({}, studio.student);
  await studio.must('clinic.close', { caseId: own.id, revision: 1, turnedOut: ['grit'] }, studio.student);
  expect((await view(id)).confirmed).toEqual(after.confirmed);
  const bare = await studio.act('clinic.disagree', {
    cause: 'grit',
    off: true,
    factor: 1,
    reason: '',
  });
  expect(bare).toMatchObject({ ok: false, problem: { code: 'invalid' } });
});

test('a test is made in one act: question, tiles, expectation, places; the case names it', async () => {
  const { id } = await open({});
  const made = await studio.must('clinic.make-test', { caseId: id, revision: 1, fact: 't-thin-thick' });
  expect(made).toMatchObject({ tiles: 3 });
  const { no } = made as { no: number };
  const question = await studio.db('question').where({ no }).first();
  expect(question).toMatchObject({
    about: 'pit',
    expected: expect.stringContaining('the coat is too thick'),
  });
  expect(
    await studio.db('question_tile').where({ question_id: question.id }).count({ n: '*' }).first(),
  ).toEqual({ n: 3 });
  expect((await view(id)).test).toEqual({ no, tiles: 3, seen: 0, fact: 't-thin-thick' });
  // Somebody else did it meanwhile: no second set of tiles lies about.
  const twice = await studio.act('clinic.make-test', { caseId: id, revision: 1, fact: 't-order' });
  expect(twice).toMatchObject({ ok: false });
  const again = await studio.act('clinic.make-test', { caseId: id, revision: 1, fact: 't-thin-thick' });
  expect(again).toMatchObject({ ok: false, problem: { code: 'conflict' } });
  expect(await studio.db('question').count({ n: '*' }).first()).toEqual({ n: 1 });
  // A student has tiles made for an own case, once, and none that have to be weighed out.
  const student = (rest: object) =>
    studio.act('clinic.make-test', { revision: 1, fact: 't-thin-thick', ...rest }, studio.student);
  expect(await student({ caseId: id })).toMatchObject({ ok: false, problem: { code: 'not-found' } });
  const own = await open({}, studio.student);
  expect(await student({ caseId: own.id, fact: 't-ladder' })).toMatchObject({ ok: false });
  const mine = await student({ caseId: own.id });
  expect(mine).toMatchObject({ ok: true });
  expect(await student({ caseId: own.id, revision: 2 })).toMatchObject({ ok: false });
  // They see that question, with its glazing order and labels, and no other.
  const asked = (mine as { data: { no: number } }).data.no;
  const seen = await questionSeen(studio.db, studio.student, asked);
  expect(seen!.sheets.map(({ key }) => key)).toEqual(['glaze', 'labels']);
  expect(await questionSeen(studio.db, studio.student, no)).toBeNull();
  expect((await questionSeen(studio.db, studio.teacher, no))!.tiles).toHaveLength(3);
});

test('unrelated stacks of a load that share a fault: a case on the firing, with what the load says', async () => {
  const [tarn, pitch] = [studio.version('tarn'), studio.version('pitch')];
  // Three coats of Tarn are related to one: three unrelated stacks, not four.
  const { firingId } = await planLoad(
    [[layer(tarn)], [layer(pitch)], [layer(tarn), layer(pitch)], [{ ...layer(tarn), coats: 3 }]],
    'dry',
  );
  // Hardly another firing to compare: three of three is half and more.
  const [shared] = await proposalsFor(studio.db, firingId);
  expect(shared).toMatchObject({ sign: 'dry', with: 3, of: 3, complaints: ['dry'] });
  expect(await proposalsFor(studio.db, firing)).toEqual([]);
  const { id } = await open({ pieceId: null, firingId, complaints: ['dry'] });
  const shown = await view(id);
  expect(value(shown.told, 'air')).toBe('oxidation');
  expect(shown.told.every(({ fact }) => !['thickness', 'stack', 'generation'].includes(fact))).toBe(true);
  expect((await listCases(studio.db, { id }))[0]!.scope).toBe('firing');
  const student = await studio.act('clinic.open', { firingId, complaints: ['dry'] }, studio.student);
  expect(student).toMatchObject({ ok: false });
});

/** A load of one tile of each stack, all with one fault. */
async function planLoad(stacks: readonly object[][], sign: string): Promise<{ firingId: string }> {
  const ids: string[] = [];
  for (const stack of stacks) ids.push(...(await makePieces(studio, stack, {})).ids);
  const firingId = await planFiring(studio, {});
  await studio.must('loading.place', { firingId, pieceIds: ids, shelf: 1 });
  await advance(studio, firingId);
  const seen = { surface: 'dry', signs: [{ sign, severity: 2, wanted: false }] };
  await studio.must('opening.record', recordInput(firingId, ids, seen));
  return { firingId };
}

test('where an effect was seen and wanted; what was a fault is none', async () => {
  const { ids, firingId } = await fired(studio, [layer(studio.version('tarn'))], { count: 2 });
  const crystals = (wanted: boolean) => ({ signs: [{ sign: 'crystals', severity: 1, wanted }] });
  await studio.must('opening.record', recordInput(firingId, ids.slice(0, 1), crystals(true)));
  await studio.must('opening.record', recordInput(firingId, ids.slice(1), crystals(false)));
  const found = await effectsSeen(studio.db, ['crystals', 'halo']);
  expect(found.get('crystals')).toEqual([expect.objectContaining({ pieceId: ids[0] })]);
  expect(found.get('halo')).toEqual([]);
});
