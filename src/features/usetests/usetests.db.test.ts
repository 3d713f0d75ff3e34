/** Tests of body and use on pieces: who may, what is refused, what is due, what the clinic makes of them. */
import { v7 } from 'uuid';
import { fired, layer, recordInput, testStudio, type TestStudio } from '../../../test-support/studio';
import { dueUseTests, testsOnPieces } from '@/data/use-tests';
import { evidenceOf } from '../clinic/server';

let studio: TestStudio;
let pieceId: string;
let firingId: string;
beforeAll(async () => {
  studio = await testStudio();
  const made = await fired(studio, [layer(studio.version('tarn'))], { count: 2 });
  [pieceId, firingId] = [made.ids[0]!, made.firingId];
  const crazed = { surface: 'gloss', signs: [{ sign: 'crazing', severity: 2, wanted: false }] };
  await studio.must('opening.record', recordInput(firingId, [pieceId], crazed));
});
afterAll(() => studio.db.destroy());

const input = (rest: object) => ({ pieceId, kind: 'ice', outcome: 'crazed', doneOn: '2026-05-03', ...rest });
const done = (rest: object, as = studio.technician) => studio.act('usetests.done', input(rest), as);

test('a test is written down with what it found, and struck and put back', async () => {
  const { id } = (await studio.must('usetests.done', input({ rounds: 2 }))) as { id: string };
  expect(await testsOnPieces(studio.db, [pieceId])).toEqual([
    expect.objectContaining({ id, kind: 'ice', outcome: 'crazed', rounds: 2, doneOn: '2026-05-03' }),
  ]);
  await studio.must('usetests.drop', { id, dropped: true });
  expect(await testsOnPieces(studio.db, [pieceId])).toEqual([]);
  await studio.must('usetests.drop', { id, dropped: false });
  expect(await testsOnPieces(studio.db, [pieceId])).toHaveLength(1);
});

test('the clinic reads it: what ice water showed, and the absorption of this very piece', async () => {
  await studio.must('usetests.done', input({ kind: 'absorption', outcome: 'weighed', dryG: 100, wetG: 109 }));
  const { told } = await evidenceOf(studio.db, { pieceId, firingId, complaint: 'crazing' });
  const of = (fact: string) => told.find((one) => one.fact === fact);
  expect(of('t-ice')).toMatchObject({ value: 'yes', href: expect.stringMatching(/^\/pieces\//) });
  expect(of('absorption')?.value).toBe('porous');
});

test('what cannot be is refused with words beside its field, and nothing is kept', async () => {
  const before = await testsOnPieces(studio.db, [pieceId]);
  for (const [wrong, path] of [
    [{ kind: 'guess' }, 'kind'],
    [{ outcome: 'dull' }, 'outcome'],
    [{ kind: 'absorption', outcome: 'weighed', dryG: 100 }, 'dryG'],
    [{ kind: 'absorption', outcome: 'weighed', dryG: 100, wetG: 90 }, 'wetG'],
    [{ dueOn: '2026-05-01' }, 'dueOn'],
    [{ rounds: -1 }, 'rounds'],
    [{ doneOn: 'yesterday' }, 'doneOn'],
  ] as const) {
    const answer = await done(wrong);
    expect(answer).toMatchObject({ ok: false, problem: { code: 'invalid' } });
    expect(JSON.stringify(answer)).toContain(path);
  }
  expect(await done({ pieceId: v7() })).toMatchObject({
    ok: false,
    problem: { code: 'not-found' },
  });
  expect(await testsOnPieces(studio.db, [pieceId])).toEqual(before);
});

test('a student writes of own pieces, and of nobody else’s', async () => {
  expect(await done({}, studio.student)).toMatchObject({ ok: false });
  await studio.db('piece').where({ id: pieceId }).update({ owner_id: studio.student.id });
  expect(await done({ kind: 'acid', outcome: 'same' }, studio.student)).toMatchObject({ ok: true });
  await studio.db('piece').where({ id: pieceId }).update({ owner_id: null });
  const [mine] = await testsOnPieces(studio.db, [pieceId]);
  expect(await studio.act('usetests.drop', { id: mine!.id, dropped: true }, studio.student)).toMatchObject({
    ok: false,
  });
});

test('what is due again stands on the day sheet until it was done again', async () => {
  await done({ kind: 'dishwasher', outcome: 'same', rounds: 10, dueOn: '2026-08-01' });
  expect((await dueUseTests(studio.db, '2026-07-31')).map(({ kind }) => kind)).toEqual([]);
  expect((await dueUseTests(studio.db, '2026-08-01')).map(({ kind }) => kind)).toEqual(['dishwasher']);
  await done({ kind: 'dishwasher', outcome: 'same', rounds: 20, doneOn: '2026-08-02' });
  expect(await dueUseTests(studio.db, '2026-09-01')).toEqual([]);
});
