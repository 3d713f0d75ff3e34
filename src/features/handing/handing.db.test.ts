/** Handing out: whom to tell, where it lies, what was collected; everybody for themselves. */
import { collectFrom, listToHand, toCollect, usualPlaces } from '@/data/handing';
import {
  fired,
  layer,
  planFiring,
  recordInput,
  testStudio,
  type TestStudio,
} from '../../../test-support/studio';
import { byOwner, tellWords } from './words';

let studio: TestStudio;
let firingId: string;
let ids: string[];
const LONG_AGO = new Date(0);
beforeAll(async () => {
  studio = await testStudio();
  ({ firingId, ids } = await fired(studio, [layer(studio.version('tarn'))], { count: 3 }));
  await studio.db('piece').whereIn('id', ids.slice(0, 2)).update({ owner_id: studio.student.id });
  await studio.must('opening.record', recordInput(firingId, ids, { verdict: 'give' }));
});
afterAll(() => studio.db.destroy());

test('owners are told where it lies, of what they have not collected yet', async () => {
  const say = async () =>
    tellWords(
      byOwner(await listToHand(studio.db, firingId)),
      'Marta 1',
      await collectFrom(studio.db, firingId),
    );
  const [a, b] = (await listToHand(studio.db, firingId)).map(({ code }) => code);
  expect(await say()).toBe(`${studio.student.name}: ${a}, ${b} came out of Marta 1 and can be collected.`);
  await studio.must('handing.collect-from', { firingId, place: 'the low rack', before: '' });
  expect(await say()).toContain('; collect from the low rack.');
  expect(await usualPlaces(studio.db)).toEqual(['the low rack']);
  await studio.must('handing.collected', { firingId, pieceIds: [ids[0]], collected: true });
  const left = (await listToHand(studio.db, firingId)).filter(({ collectedAt }) => collectedAt === null);
  expect(await say()).toContain(`: ${left[0]!.code} came out`);
  await studio.must('handing.collected', { firingId, pieceIds: [ids[1]], collected: true });
  expect(await say()).toBe('');
  await studio.must('handing.collected', { firingId, pieceIds: ids.slice(0, 2), collected: false });
  await studio.must('handing.collect-from-again', { firingId, place: '' });
  expect(await usualPlaces(studio.db)).toEqual([]);
});

test('nobody is told of a piece that was not found in the kiln, or that is to be fired again', async () => {
  const load = await fired(studio, [layer(studio.version('tarn'))], { count: 3 });
  await studio.db('piece').whereIn('id', load.ids).update({ owner_id: studio.student.id });
  const handed = async () => (await listToHand(studio.db, load.firingId)).map(({ pieceId }) => pieceId);
  expect(await handed()).toEqual([]);
  await studio.must('opening.record', recordInput(load.firingId, [load.ids[0]!], { verdict: 'keep' }));
  await studio.must('opening.record', recordInput(load.firingId, [load.ids[1]!], { verdict: 'refire' }));
  expect(await handed()).toEqual([load.ids[0]]);
});

test('an owner sees what lies ready once it is written up, ticks it for themselves, and nothing of others', async () => {
  const ready = () => toCollect(studio.db, studio.student.id, LONG_AGO);
  expect(await ready()).toEqual([]);
  await studio.must('opening.finish', { firingId, done: true });
  expect(await ready()).toEqual([
    expect.objectContaining({
      firingId,
      place: '',
      pieces: [expect.objectContaining({ id: ids[0] }), expect.anything()],
    }),
  ]);
  await studio.must('handing.collected', { firingId, pieceIds: [ids[0]], collected: true }, studio.student);
  expect((await ready())[0]!.pieces.map(({ id }) => id)).toEqual([ids[1]]);
  expect(
    await studio.act('handing.collected', { firingId, pieceIds: [ids[2]], collected: true }, studio.student),
  ).toMatchObject({ ok: false, problem: { message: 'You can collect your own pieces only.' } });
  // What stands in another kiln by now lies nowhere to be collected; nor does what waits for one.
  const next = await planFiring(studio);
  await studio.must('loading.place', { firingId: next, pieceIds: [ids[1]], shelf: 1 });
  expect(await ready()).toEqual([]);
  const { id } = await studio.db('placement').where({ firing_id: next }).first('id');
  await studio.must('loading.take-out', { firingId: next, placementIds: [id] });
  expect(await ready()).toHaveLength(1);
  await studio.must('opening.record', recordInput(firingId, [ids[1]!], { verdict: 'refire' }));
  expect(await ready()).toEqual([]);
});
