import { progressOf, telling } from './progress';

test('while it goes on it says how far it is, and nothing once it is done or has failed', async () => {
  expect(progressOf('a')).toBeNull();
  const said = await telling('a', async (tell) => {
    tell(0.25, 'reading');
    const first = progressOf('a');
    tell(0.5, 'writing');
    return [first, progressOf('a'), progressOf('b')];
  });
  expect(said).toEqual([{ share: 0.25, doing: 'reading' }, { share: 0.5, doing: 'writing' }, null]);
  expect(progressOf('a')).toBeNull();
  const failing = telling('a', async (tell) => {
    tell(0.1, 'reading');
    throw new Error('no');
  });
  await expect(failing).rejects.toThrow('no');
  expect(progressOf('a')).toBeNull();
});
