import { v7 } from 'uuid';
import { shelvesToGrind } from '@/data/kiln-care';
import { findFiring } from '@/data/firings';
import { fired, layer, recordInput, testStudio, type TestStudio } from '../../../test-support/studio';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

test('a shelf that glaze ran onto stays on the list until it is ground, and comes back by undo', async () => {
  const { firingId, ids } = await fired(studio, [layer(studio.version('pitch'))]);
  const { kilnId } = (await findFiring(studio.db, firingId))!;
  const shelves = async (): Promise<number[]> =>
    (await shelvesToGrind(studio.db, kilnId)).map(({ shelf }) => shelf);
  const look = (severity: 1 | 2 | 3) => ({
    surface: 'gloss',
    signs: [{ sign: 'running', severity, wanted: false }],
  });
  await studio.must('opening.record', recordInput(firingId, ids, look(2)));
  expect(await shelves()).toEqual([]);
  await studio.must(
    'opening.record',
    recordInput(firingId, ids, {
      surface: 'gloss',
      signs: [{ sign: 'stuck', severity: 1, wanted: false }],
    }),
  );
  expect(await shelves()).toEqual([1]);
  // Another shelf ground is not this one; all of them are.
  const ground = {
    kilnId,
    id: v7(),
    kind: 'ground',
    doneOn: new Date().toISOString().slice(0, 10),
    note: '',
    shelf: 2,
  };
  await studio.must('kilns.upkeep', ground);
  expect(await shelves()).toEqual([1]);
  const own = { ...ground, id: v7(), shelf: 1 };
  await studio.must('kilns.upkeep', own);
  expect(await shelves()).toEqual([]);
  await studio.must('kilns.drop-upkeep', { id: own.id, dropped: true });
  expect(await shelves()).toEqual([1]);
  await studio.must('kilns.upkeep', { ...ground, id: v7(), shelf: null });
  expect(await shelves()).toEqual([]);
});
