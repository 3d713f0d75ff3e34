/** What refires did here: only those that somebody went over before and after. */
import { refireRecords } from '@/core/looks';
import {
  advance,
  fired,
  layer,
  planFiring,
  recordInput,
  testStudio,
  type TestStudio,
} from '../../test-support/studio';
import { refirePassages } from './refires';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

const pits = (severity: number, rest: object = {}) => ({
  surface: 'gloss',
  signs: severity === 0 ? [] : [{ sign: 'pit', severity, wanted: false }],
  ...rest,
});

test('a pitted piece that was refired and healed, and one that got worse, are told by fault and by stack', async () => {
  expect(await refirePassages(studio.db)).toEqual([]);
  const first = await fired(studio, [layer(studio.version('tarn'))], { count: 3 });
  for (const id of first.ids)
    await studio.must('opening.record', recordInput(first.firingId, [id], pits(2, { verdict: 'refire' })));
  const again = await planFiring(studio);
  await studio.must('loading.place', { firingId: again, pieceIds: first.ids, shelf: 1 });
  await advance(studio, again);
  await studio.must('opening.record', recordInput(again, [first.ids[0]!], pits(0)));
  await studio.must('opening.record', recordInput(again, [first.ids[1]!], pits(3)));
  // Of the third only its weight was noted: nobody went over it.
  await studio.must('opening.record', recordInput(again, [first.ids[2]!], { note: 'heavy' }));
  const passages = await refirePassages(studio.db);
  expect(passages).toHaveLength(2);
  const records = refireRecords(passages);
  const counts = { sign: 'pit', pieces: 2, firings: 1, healed: 1, worse: 1, same: 0, less: 0 };
  expect(records).toEqual(
    expect.arrayContaining([
      { ...counts, stack: null },
      { ...counts, stack: 'tarn' },
    ]),
  );
  await studio.must('pieces.bin', { pieceIds: [first.ids[0]], binned: true });
  expect(await refirePassages(studio.db)).toHaveLength(1);
});
