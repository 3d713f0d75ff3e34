/** Attempts beside what they are to match, by the colours in their pictures. */
import { nearerFirst, nearTo } from './near';
import { measure } from '../../../test-support/measured';
import { fired, layer, recordInput, testStudio } from '../../../test-support/studio';

test('attempts to match stand by their distance, those that were measured first', async () => {
  const studio = await testStudio();
  const made = await fired(studio, [layer(studio.version('tarn'), 0, 1)], { count: 4 });
  await studio.must('opening.record', recordInput(made.firingId, made.ids, { surface: 'gloss' }));
  const [aim, far, close, unmeasured] = made.ids as [string, string, string, string];
  const light: Record<string, number> = { [aim]: 50, [far]: 70, [close]: 53 };
  const measured = [aim, far, close];
  await measure(studio.db, studio.technician.id, made.firingId, measured, (_, i) => [
    light[measured[i]!]!,
    0,
    0,
  ]);
  const near = await nearTo(studio.db, aim, [far, close, aim, unmeasured]);
  expect([...near!.distances.keys()].sort()).toEqual([close, far].sort());
  expect(near!.distances.get(close)!).toBeLessThan(4);
  expect(near!.distances.get(far)!).toBeGreaterThan(12);
  expect([unmeasured, far, close].sort((a, b) => nearerFirst(near, a, b))).toEqual([close, far, unmeasured]);
  expect(nearerFirst(near, unmeasured, unmeasured)).toBe(0);
  expect(nearerFirst(null, far, close)).toBe(0);
  expect(await nearTo(studio.db, unmeasured, [close])).toBeNull();
  await studio.db.destroy();
});
