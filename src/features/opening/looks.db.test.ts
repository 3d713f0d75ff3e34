import { v7 } from 'uuid';
import { boardCells, type BoardCell } from '@/data/board';
import { listObservations } from '@/data/observations';
import { zoomHere } from '../chart/server';
import {
  clearPieces,
  fired,
  advance,
  layer,
  planFiring,
  recordInput,
  testStudio,
  type TestStudio,
} from '../../../test-support/studio';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
beforeEach(() => clearPieces(studio.db));
afterAll(() => studio.db.destroy());

const DAY = 86_400_000;
const crazed = [{ sign: 'crazing', severity: 2, wanted: false }];
const board = async (): Promise<BoardCell[]> => {
  const [cell] = await studio.db('cell').select('body_id', 'cone', 'atmosphere');
  if (cell === undefined) return [];
  const { slug } = (await studio.db('body').where({ id: cell.body_id }).first('slug')) as {
    slug: string;
  };
  return boardCells(studio.db, {
    body: slug,
    cone: cell.cone,
    atmosphere: cell.atmosphere,
    slips: null,
  });
};
const standing = async (pieceId: string) =>
  (await listObservations(studio.db, { pieceIds: [pieceId], current: true })).map(
    ({ seenByName, surface, supersedes }) => ({
      seenByName,
      surface,
      corrects: supersedes !== null,
    }),
  );
/** A fired piece whose kiln was opened so many days ago. */
async function opened(days: number): Promise<{ id: string; firingId: string; at: Date }> {
  const { ids, firingId } = await fired(studio, [layer(studio.version('tarn'))]);
  const at = new Date(Date.now() - days * DAY);
  await studio.db('firing').where({ id: firingId }).update({ opened_at: at });
  return { id: ids[0]!, firingId, at };
}
const after = (at: Date, days: number): string => new Date(at.getTime() + days * DAY).toISOString();
const say = (
  of: { id: string; firingId: string },
  said: object,
  rest: Parameters<typeof recordInput>[3] = {},
  as = studio.technician,
) => studio.act('opening.record', recordInput(of.firingId, [of.id], said, rest), as);

test('another person’s look stands beside the first; one’s own words of the day are put right', async () => {
  const piece = await opened(0);
  await say(piece, { surface: 'gloss' });
  await say(piece, { surface: 'satin' }, {}, studio.teacher);
  await say(piece, { surface: 'matt' }, {}, studio.teacher);
  expect(await standing(piece.id)).toEqual([
    { seenByName: studio.technician.name, surface: 'gloss', corrects: false },
    { seenByName: studio.teacher.name, surface: 'matt', corrects: true },
  ]);
  const [cell] = await board();
  expect(cell).toMatchObject({ pieces: 1, standing: 'once', surface: 'matt' });
  expect(await studio.db('sighting').first('split')).toEqual({ split: ['surface'] });
});

test('crazed a month later: it came out sound, is crazed now, and the chart says what came later', async () => {
  const piece = await opened(60);
  await say(piece, { surface: 'gloss' }, { seenAt: after(piece.at, 0.1) });
  await say(piece, { surface: 'gloss', signs: crazed }, { seenAt: after(piece.at, 35), place: 'desk' });
  const looks = await listObservations(studio.db, { pieceIds: [piece.id], current: true });
  expect(looks.map(({ place }) => place)).toEqual(['kiln', 'desk']);
  expect(looks.map(({ seenAt }) => Math.round((seenAt.getTime() - piece.at.getTime()) / DAY))).toEqual([
    0, 35,
  ]);
  expect(looks.every(({ arrivedAt }) => Date.now() - arrivedAt.getTime() < 60_000)).toBe(true);
  const [cell] = await board();
  expect(cell!.signs.map(({ sign }) => sign)).toEqual(['crazing']);
  expect(cell!.later).toEqual([{ sign: 'crazing', pieces: 1 }]);
});

test('looks come in any order: a phone that was offline does not undo what was seen after', async () => {
  const piece = await opened(60);
  await say(piece, { surface: 'gloss', verdict: 'discard', signs: crazed }, { seenAt: after(piece.at, 35) });
  await say(piece, { surface: 'satin', verdict: 'refire' }, { seenAt: after(piece.at, 0.1), corrects: null });
  const [cell] = await board();
  expect(cell).toMatchObject({ surface: 'gloss', later: [{ sign: 'crazing' }] });
  // The later verdict stands too: nothing waits for a refire.
  expect(await studio.db('piece').where({ id: piece.id }).first('waiting_for')).toEqual({
    waiting_for: null,
  });
});

test('a clock that is ahead or behind is held between the opening and now', async () => {
  const piece = await opened(10);
  await say(piece, { surface: 'gloss' }, { seenAt: after(piece.at, 300), corrects: null });
  await say(piece, { surface: 'gloss' }, { seenAt: after(piece.at, -300), corrects: null });
  const [first, last] = await listObservations(studio.db, { pieceIds: [piece.id] });
  expect(first!.seenAt).toEqual(piece.at);
  expect(Date.now() - last!.seenAt.getTime()).toBeLessThan(60_000);
});

test('what is corrected must still stand; the words of both are handed back', async () => {
  const piece = await opened(0);
  const first = recordInput(piece.firingId, [piece.id], { surface: 'gloss' });
  await studio.must('opening.record', first);
  const of = first.pieces[0]!.observationId;
  await say(piece, { surface: 'matt', note: 'theirs' }, { corrects: of }, studio.teacher);
  expect(await say(piece, { surface: 'satin' }, { corrects: of })).toMatchObject({
    ok: false,
    problem: {
      code: 'conflict',
      message: expect.stringContaining(`changed meanwhile by ${studio.teacher.name}`) as string,
      details: { observations: [{ note: 'theirs' }] },
    },
  });
  expect(await say(piece, { surface: 'satin' }, { corrects: null })).toMatchObject({ ok: true });
  expect((await standing(piece.id)).map(({ surface }) => surface)).toEqual(['matt', 'satin']);
});

test('words kept on a phone from before this rule are taken by it', async () => {
  const piece = await opened(0);
  const old = recordInput(piece.firingId, [piece.id], { surface: 'gloss' });
  const kept = {
    ...old,
    replace: true,
    pieces: old.pieces.map((one) => ({ ...one, basedOn: v7() })),
  };
  expect(await studio.act('opening.record', kept)).toMatchObject({ ok: true });
  expect(await standing(piece.id)).toHaveLength(1);
});

test('a student puts right own words only', async () => {
  const { ids, firingId } = await fired(studio, [layer(studio.version('tarn'))], {
    ownerId: studio.student.id,
  });
  const theirs = recordInput(firingId, ids, { surface: 'gloss' });
  await studio.must('opening.record', theirs);
  const piece = { id: ids[0]!, firingId };
  expect(
    await say(piece, { surface: 'matt' }, { corrects: theirs.pieces[0]!.observationId }, studio.student),
  ).toMatchObject({
    ok: false,
    problem: { message: expect.stringContaining('your own words only') as string },
  });
  expect(await say(piece, { surface: 'matt' }, {}, studio.student)).toMatchObject({ ok: true });
});

test('a student takes back what they wrote, not what a technician wrote of their piece', async () => {
  const { ids, firingId } = await fired(studio, [layer(studio.version('tarn'))], {
    ownerId: studio.student.id,
  });
  const theirs = recordInput(firingId, ids, { surface: 'gloss' });
  await studio.must('opening.record', theirs);
  const own = recordInput(firingId, ids, { surface: 'matt' });
  await studio.must('opening.record', own, studio.student);
  const withdraw = (input: typeof own) =>
    studio.act(
      'opening.withdraw',
      { observationIds: input.pieces.map(({ observationId }) => observationId) },
      studio.student,
    );
  expect(await withdraw(theirs)).toMatchObject({
    ok: false,
    problem: { message: expect.stringContaining('Somebody else wrote this') as string },
  });
  expect(await withdraw(own)).toMatchObject({ ok: true });
  expect((await standing(ids[0]!)).map(({ surface }) => surface)).toEqual(['gloss']);
});

test('a look from before is said to be a look or a correction, once', async () => {
  const piece = await opened(0);
  const [first, second] = [
    recordInput(piece.firingId, [piece.id], { surface: 'gloss' }),
    recordInput(piece.firingId, [piece.id], { surface: 'satin' }, { corrects: null }),
  ];
  await studio.must('opening.record', first);
  await studio.must('opening.record', second);
  const [older, newer] = [first, second].map((one) => one.pieces[0]!.observationId);
  const doubt = () => studio.db('observation').where({ id: newer }).update({ doubted_as: older });
  const settle = (corrects: boolean) =>
    studio.act('opening.settle-doubt', { observationId: newer, corrects });
  expect(await settle(true)).toMatchObject({ ok: false });
  await doubt();
  expect(await settle(false)).toMatchObject({ ok: true });
  expect(await standing(piece.id)).toHaveLength(2);
  await doubt();
  expect(await settle(true)).toMatchObject({ ok: true });
  expect(await standing(piece.id)).toMatchObject([{ surface: 'satin', corrects: true }]);
  expect((await board())[0]!.surface).toBe('satin');
  expect(await settle(true)).toMatchObject({ ok: false, problem: { code: 'conflict' } });
});

test('a refire stands apart from its stack as once fired', async () => {
  const piece = await opened(3);
  await say(piece, { surface: 'gloss', verdict: 'refire' });
  const again = await planFiring(studio, { kind: 'refire' });
  await studio.must('loading.place', { firingId: again, pieceIds: [piece.id], shelf: 1 });
  await advance(studio, again);
  await say({ id: piece.id, firingId: again }, { surface: 'matt' });
  const cells = await board();
  expect(cells.map(({ refired, surface, pieces }) => ({ refired, surface, pieces }))).toEqual(
    expect.arrayContaining([
      { refired: false, surface: 'gloss', pieces: 1 },
      { refired: true, surface: 'matt', pieces: 1 },
    ]),
  );
});

test('the zoom says which part of the tile is the cell, with what lies beneath, and what else is on it', async () => {
  const { ids, firingId } = await fired(studio, [
    layer(studio.version('pitch'), 0, 1),
    layer(studio.version('tarn'), 2 / 3, 1),
  ]);
  await say({ id: ids[0]!, firingId }, { surface: 'gloss' });
  const [cell] = await studio.db('cell').whereNotNull('over_slug').select('*');
  const { slug } = await studio.db('body').where({ id: cell.body_id }).first('slug');
  const of = { body: slug, cone: cell.cone, atmosphere: cell.atmosphere, slips: cell.slips };
  const zoom = await zoomHere(studio.db, of, { base: cell.base_slug, over: cell.over_slug });
  const [piece] = zoom.pieces;
  expect(piece!.where).toEqual(['upper third']);
  expect(piece!.what).toMatch(/^Tarn \(1 dip\) over Pitch \(1 dip\) on /);
  expect(piece!.besides).toEqual([expect.stringMatching(/^Pitch on /)]);
  // A cell is found by its id as well, on its own board only.
  expect((await zoomHere(studio.db, of, { cell: cell.id })).cells).toHaveLength(1);
  expect((await zoomHere(studio.db, { ...of, cone: '10' }, { cell: cell.id })).cells).toEqual([]);
});

test('a large cell is summed up when it is read, not while somebody saves', async () => {
  const { ids, firingId } = await fired(studio, [layer(studio.version('tarn'))], { count: 2 });
  await studio.must('opening.record', recordInput(firingId, ids, { surface: 'gloss' }));
  await studio.db('cell').update({ pieces: 5000 });
  await say({ id: ids[0]!, firingId }, { surface: 'matt' });
  expect(await studio.db('cell').first('stale', 'surface', 'pieces')).toMatchObject({
    stale: 1,
    pieces: 5000,
  });
  const [cell] = await board();
  expect(cell).toMatchObject({ pieces: 2, standing: 'contradictory' });
  expect(await studio.db('cell').first('stale')).toEqual({ stale: 0 });
});
