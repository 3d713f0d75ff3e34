/** Things nobody registered: on record in one act, and joined to a firing on record. */
import { v7 } from 'uuid';
import { fired, layer, recordInput, testStudio, type TestStudio } from '../../../test-support/studio';
import { loadFor } from './server';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

const body = () => ({ id: null, name: 'Peat' });
const firing = (rest: object = {}) => ({
  id: null,
  kilnId: studio.kiln,
  on: '2026-05-01',
  cone: '6',
  shown: false,
  atmosphere: 'oxidation',
  ...rest,
});

test('they join a firing on record, which is to be written up again; a firing that is not open is refused', async () => {
  const known = await fired(studio, [layer(studio.version('tarn'))]);
  await studio.must('opening.finish', { firingId: known.firingId, done: true });
  const input = {
    pieceIds: [v7(), v7()],
    marks: [],
    body: body(),
    form: 'mug',
    firing: firing({ id: known.firingId }),
  };
  await studio.must('opening.unregistered', input);
  const row = await studio.db('firing').where({ id: known.firingId }).first('written_up_at');
  expect(row).toEqual({ written_up_at: null });
  expect((await loadFor(studio.db, studio.technician, known.firingId)).pieces).toHaveLength(3);
  await studio.db('firing').where({ id: known.firingId }).update({ status: 'cooling' });
  expect(await studio.act('opening.unregistered', { ...input, pieceIds: [v7()] })).toMatchObject({
    ok: false,
    problem: { message: expect.stringContaining('cooling') },
  });
  expect(await studio.act('opening.unregistered', { ...input, pieceIds: [] })).toMatchObject({
    ok: false,
    problem: { code: 'invalid' },
  });
});

test('a load is read anew by who writes of it: all of it, or one’s own pieces', async () => {
  const { firingId, ids } = await fired(studio, [layer(studio.version('tarn'))], { count: 3 });
  await studio.db('piece').where({ id: ids[1] }).update({ owner_id: studio.student.id });
  const all = await loadFor(studio.db, studio.teacher, firingId);
  const own = await loadFor(studio.db, studio.student, firingId);
  expect([all.pieces.length, own.pieces.map(({ id }) => id)]).toEqual([3, [ids[1]]]);
  expect(own.mark).toBe(all.mark);
  await expect(loadFor(studio.db, studio.teacher, v7())).rejects.toThrow('This firing');
  await expect(loadFor(studio.db, studio.teacher, '../x')).rejects.toThrow('This firing');
});

test('where a sign is stays with it, and only places that can be are taken', async () => {
  const { firingId, ids } = await fired(studio, [layer(studio.version('tarn'))]);
  const sign = { sign: 'pit', severity: 2, wanted: false };
  const points = [{ face: 1, sha: null, x: 0.5, y: 0.04 }];
  await studio.must('opening.record', recordInput(firingId, ids, { signs: [{ ...sign, points }] }));
  const [piece] = (await loadFor(studio.db, studio.teacher, firingId)).pieces;
  expect(piece!.looks['']![0]!.seen.signs).toEqual([{ ...sign, points }]);
  for (const wrong of [
    { face: 1, sha: null, x: 2, y: 0 },
    { face: 1, sha: 'a'.repeat(64), x: 0, y: 0 },
    { face: null, sha: null, x: 0, y: 0 },
  ])
    expect(
      await studio.act(
        'opening.record',
        recordInput(firingId, ids, { signs: [{ ...sign, points: [wrong] }] }),
      ),
    ).toMatchObject({ ok: false, problem: { code: 'invalid' } });
});
