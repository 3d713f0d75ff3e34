/** A student writes up own pieces: what they are shown of a load, what is still to do, what is refused. */
import { findFiring } from '@/data/firings';
import { ownUnwritten } from '@/data/placements';
import { fired, layer, recordInput, testStudio, type TestStudio } from '../../../test-support/studio';
import { openingRoom } from './queries';

let studio: TestStudio;
let firingId: string;
let ids: string[];
beforeAll(async () => {
  studio = await testStudio();
  const made = await fired(studio, [layer(studio.version('tarn'))], { count: 3 });
  [firingId, ids] = [made.firingId, made.ids];
  await studio.db('piece').whereIn('id', ids.slice(0, 2)).update({ owner_id: studio.student.id });
});
afterAll(() => studio.db.destroy());

test('of a load they are shown what is theirs, and those who keep records all of it', async () => {
  const firing = (await findFiring(studio.db, firingId))!;
  expect((await openingRoom(studio.db, firing)).pieces).toHaveLength(3);
  const own = await openingRoom(studio.db, firing, studio.student.id);
  expect(own.pieces.map(({ id }) => id).sort()).toEqual(ids.slice(0, 2).sort());
  expect((await openingRoom(studio.db, firing, studio.teacher.id)).pieces).toEqual([]);
});

test('what is still to be written up is counted by firing, until somebody has written it up', async () => {
  const own = () => ownUnwritten(studio.db, studio.student.id);
  expect(await own()).toEqual([{ firingId, label: expect.stringMatching(/ \d+$/), pieces: 2 }]);
  await studio.must('opening.record', recordInput(firingId, [ids[0]!], { surface: 'gloss' }), studio.student);
  expect((await own())[0]!.pieces).toBe(1);
  await studio.must('opening.record', recordInput(firingId, [ids[1]!], { surface: 'gloss' }));
  expect(await own()).toEqual([]);
  expect(await ownUnwritten(studio.db, studio.teacher.id)).toEqual([]);
});

test('a piece of somebody else is not theirs to write of, nor is the firing theirs to close', async () => {
  const stranger = await studio.act(
    'opening.record',
    recordInput(firingId, [ids[2]!], { surface: 'gloss' }),
    studio.student,
  );
  expect(stranger).toMatchObject({ ok: false });
  const closed = await studio.act('opening.finish', { firingId, done: true }, studio.student);
  expect(closed).toMatchObject({ ok: false, problem: { code: 'not-allowed' } });
});
