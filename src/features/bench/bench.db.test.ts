import { readStudio } from '@/data/studio';
import { lit, ownKiln } from '../../../test-support/kiln';
import { layer, makePieces, testStudio, type TestStudio } from '../../../test-support/studio';
import { daySheet } from './sheet';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

/** A kiln lit two hours ago, read four times. */
async function hotKiln(): Promise<void> {
  const { firingId, at } = await lit(studio, await ownKiln(studio, { control: 'by hand' }), 2);
  for (let i = 1; i <= 4; i++)
    await studio.must('firelog.read', {
      firingId,
      at: new Date(at.getTime() + i * 600_000).toISOString(),
      celsius: 20 + 25 * i,
      sure: true,
    });
}

const asked = async (): Promise<{ queries: number; hot: number }> => {
  const settings = (await readStudio(studio.db))!;
  let queries = 0;
  const heard = (): void => void queries++;
  studio.db.on('query', heard);
  try {
    const sheet = await daySheet(studio.db, settings, studio.technician);
    return { queries, hot: sheet.hot.length };
  } finally {
    studio.db.off('query', heard);
  }
};

test('the day sheet costs at most 12 round trips, however many kilns are hot', async () => {
  await makePieces(studio, [layer(studio.version('tarn'))]);
  const none = await asked();
  expect(none.hot).toBe(0);
  await hotKiln();
  const one = await asked();
  for (let i = 0; i < 4; i++) await hotKiln();
  const five = await asked();
  expect([one.hot, five.hot]).toEqual([1, 5]);
  expect(five.queries).toBe(one.queries);
  // The person and the studio's settings are two more.
  expect(five.queries + 2).toBeLessThanOrEqual(12);
  expect(none.queries).toBeGreaterThan(4);
});
