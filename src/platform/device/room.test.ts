import { isFull, roomLeft, roomWords } from './room';

const storage = (said: object | Error) =>
  ({
    estimate: () => (said instanceof Error ? Promise.reject(said) : Promise.resolve(said)),
  }) as unknown as StorageManager;

test('room is what the browser allows less what is used; one that does not say says nothing', async () => {
  expect(await roomLeft(storage({ quota: 1000, usage: 400 }))).toBe(600);
  expect(await roomLeft(storage({ quota: 1000, usage: 1400 }))).toBe(0);
  expect(await roomLeft(storage({}))).toBeNull();
  expect(await roomLeft(storage(new Error('private window')))).toBeNull();
});

test('it is said before it is full, in pictures', () => {
  expect(roomWords(null)).toBeNull();
  expect(roomWords(10e9)).toBeNull();
  expect(roomWords(50e6)).toContain('about 12 more pictures');
  expect(roomWords(3e6)).toContain('no room for another picture');
});

test('a full device is told from another trouble, however it is wrapped', () => {
  const full = Object.assign(new Error('x'), { name: 'QuotaExceededError' });
  expect(isFull(full)).toBe(true);
  expect(isFull(Object.assign(new Error('x'), { name: 'AbortError', inner: full }))).toBe(true);
  expect(isFull(new Error('x'))).toBe(false);
  expect(isFull(undefined)).toBe(false);
});
