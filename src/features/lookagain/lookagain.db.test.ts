/** Second looks: asked for many at once, due, done by a look that counts, and never twice. */
import { dueLooks, askedOf } from '@/data/second-looks';
import { dayAfter } from '@/core/looks';
import { fired, layer, recordInput, testStudio, type TestStudio } from '../../../test-support/studio';
import { actsOf, type DuePiece } from './looks';

let studio: TestStudio;
let firingId: string;
let ids: string[];
const OPENED = '2026-03-01';
const day = (n: number): string => dayAfter(OPENED, n);
const on = (n: number): string => `${day(n)}T12:00:00.000Z`;
beforeAll(async () => {
  studio = await testStudio();
  ({ firingId, ids } = await fired(studio, [layer(studio.version('tarn'))], { count: 4 }));
  await studio
    .db('firing')
    .where({ id: firingId })
    .update({ opened_at: new Date(`${OPENED}T10:00:00Z`) });
  await studio.must(
    'opening.record',
    recordInput(firingId, ids, { surface: 'gloss', verdict: 'keep' }, { seenAt: on(0) }),
  );
});
afterAll(() => studio.db.destroy());

const due = async (n: number, owner: string | null = null) =>
  (await dueLooks(studio.db, day(n), owner)).map(({ pieceId }) => pieceId).sort();
const ask = (days: number, pieceIds = ids) =>
  studio.must('lookagain.ask', { firingId, pieceIds, days }) as Promise<{ ids: string[] }>;

test('asked for a whole load at once, and not twice; taken back it is as if never asked', async () => {
  expect((await ask(7)).ids).toHaveLength(4);
  const { ids: month } = await ask(30);
  expect((await ask(30)).ids).toEqual([]);
  expect(await askedOf(studio.db, firingId)).toEqual(
    expect.arrayContaining([
      { days: 7, pieces: 4 },
      { days: 30, pieces: 4 },
    ]),
  );
  expect(await due(6)).toEqual([]);
  expect(await due(7)).toEqual([...ids].sort());
  await studio.must('lookagain.drop', { ids: month, dropped: true });
  expect((await ask(30)).ids).toHaveLength(4);
});

test('one look serves all that are due; a look of before they count does not', async () => {
  await studio.must(
    'opening.record',
    recordInput(firingId, [ids[0]!], { surface: 'gloss' }, { seenAt: on(3) }),
  );
  expect(await due(40)).toContain(ids[0]);
  const both = (await dueLooks(studio.db, day(40))).find(({ pieceId }) => pieceId === ids[0]);
  expect([both!.ids.length, both!.days]).toEqual([2, 30]);
  await studio.must(
    'opening.record',
    recordInput(firingId, [ids[0]!], { surface: 'gloss' }, { seenAt: on(41), corrects: null }),
  );
  expect(await due(41)).not.toContain(ids[0]);
  // Of a week it counts for the week alone.
  await studio.must(
    'opening.record',
    recordInput(firingId, [ids[1]!], { surface: 'gloss' }, { seenAt: on(7), corrects: null }),
  );
  expect(await due(20)).not.toContain(ids[1]);
  expect(await due(30)).toContain(ids[1]);
});

test('what a row found becomes looks that keep what was known, and one act for what is alike', async () => {
  const known = (id: string, at: number): DuePiece => ({
    pieceId: id,
    firingId,
    code: `P${at}`,
    firing: 'Marta 1',
    after: 'a week',
    dueOn: day(7),
    sha: null,
    now: '',
    surface: 'gloss',
    signs: [{ sign: 'breaking', severity: 1, wanted: true }],
    pings: [],
  });
  const pieces = [known(ids[2]!, 2), known(ids[3]!, 3)];
  const as = { crazing: 2, pings: 5 } as const;
  const [act, ...more] = actsOf(pieces, { [ids[2]!]: as, [ids[3]!]: as });
  expect([act!.codes, more]).toEqual([['P2', 'P3'], []]);
  await studio.must('opening.record', {
    firingId,
    zone: null,
    seenAt: on(35),
    place: 'desk',
    pieces: act!.pieces,
    seen: act!.seen,
  });
  const looks = await studio.db('observation').where({ piece_id: ids[2]! }).orderBy('seen_at');
  expect(looks.map(({ pings, verdict, superseded_at }) => [pings, verdict, superseded_at])).toEqual([
    [null, 'keep', null],
    [5, null, null],
  ]);
  const signs = await studio
    .db('observation_sign')
    .where({ observation_id: looks[1].id })
    .orderBy('sign')
    .select('sign', 'severity');
  expect(signs).toEqual([
    { sign: 'breaking', severity: 1 },
    { sign: 'crazing', severity: 2 },
  ]);
  expect(await due(35)).toEqual([ids[1]]);
});

test('a student asks for own pieces and sees own ones due', async () => {
  const refused = await studio.act(
    'lookagain.ask',
    { firingId, pieceIds: [ids[1]], days: 365 },
    studio.student,
  );
  expect(refused).toMatchObject({ ok: false, problem: { message: expect.stringContaining('own pieces') } });
  await studio.db('piece').where({ id: ids[1] }).update({ owner_id: studio.student.id });
  await studio.must('lookagain.ask', { firingId, pieceIds: [ids[1]], days: 365 }, studio.student);
  expect(await due(400, studio.student.id)).toEqual([ids[1]]);
  expect(await studio.act('lookagain.ask', { firingId, pieceIds: [ids[1]], days: 8 })).toMatchObject({
    ok: false,
    problem: { code: 'invalid' },
  });
});
