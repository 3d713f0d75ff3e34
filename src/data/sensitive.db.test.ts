/**
 * What was seen of a coating by itself comes with the circumstances it may turn on, and with its measured
 * colour.
 */
import { seenAlone } from './sensitive';
import { measure } from '../../test-support/measured';
import { fired, layer, recordInput, testStudio, type TestStudio } from '../../test-support/studio';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

test('single coats with body, thickness, cone, air, shelf and firing; layered and unmeasured ones are told apart', async () => {
  const tarn = (coats: number) => [layer(studio.version('tarn'), 0, 1, { coats })];
  const one = await fired(studio, tarn(1), { count: 2 });
  const two = await fired(studio, tarn(2));
  const over = await fired(studio, [
    layer(studio.version('tarn'), 0, 1),
    layer(studio.version('pitch'), 0, 1),
  ]);
  for (const { firingId, ids } of [one, two, over])
    await studio.must('opening.record', recordInput(firingId, ids, { surface: 'satin', movementMm: 2 }));
  await measure(studio.db, studio.technician.id, one.firingId, [one.ids[0]!], () => [50, 10, -20]);
  const seen = await seenAlone(studio.db, 'tarn');
  expect(seen).toHaveLength(3);
  expect(new Set(seen.map(({ levels }) => levels.thickness))).toEqual(new Set(['dip×1', 'dip×2']));
  expect(seen.filter(({ lab }) => lab !== null).map(({ lab, firingId }) => [lab, firingId])).toEqual([
    [[50, 10, -20], one.firingId],
  ]);
  for (const { levels, firingId, surface, movementMm } of seen) {
    expect(levels).toMatchObject({ body: 'Peat', atmosphere: 'oxidation', shelf: '1', firing: firingId });
    expect([surface, movementMm]).toEqual(['satin', 2]);
  }
  // Where nobody said on which shelf it stood, there is no such level.
  await studio.db('placement').where({ firing_id: two.firingId }).update({ shelf: null });
  const [unplaced] = (await seenAlone(studio.db, 'tarn')).filter(({ firingId }) => firingId === two.firingId);
  expect('shelf' in unplaced!.levels).toBe(false);
  expect(await seenAlone(studio.db, 'nothing')).toEqual([]);
});
