import { IDBKeyRange, indexedDB } from 'fake-indexeddb';
import { Sender } from './sender';
import { DeviceStore } from './store';
import { layOn, putDown, throwAway } from './tray';

let no = 0;
let sender: Sender;
let online = false;
beforeEach(() => {
  online = false;
  const store = new DeviceStore(`tray-${++no}`, { indexedDB, IDBKeyRange });
  sender = new Sender(
    store,
    'iben',
    () => Promise.resolve(online ? { outcome: 'done' } : { outcome: 'later', message: 'away' }),
    undefined,
    undefined,
  );
});
afterEach(() => sender.store.delete());

const file = (name: string) => new File([name], name, { type: 'image/jpeg' });
const put = (name: string) =>
  putDown(sender, { about: 'opening/f', kind: 'picture', file: file(name), thumb: null });
const act = { name: 'media.add-picture', input: { pieceId: 'p' }, label: 'Picture', about: 'opening/f' };
const counts = async () => {
  const { tray, items, files } = sender.store;
  return { tray: await tray.count(), items: await items.count(), files: await files.count() };
};

test('what is laid on a piece leaves the tray and goes out with its file, under its name', async () => {
  const id = await put('a.jpg');
  expect(await counts()).toEqual({ tray: 1, items: 0, files: 1 });
  await layOn(sender, id, act);
  expect(await counts()).toEqual({ tray: 0, items: 1, files: 1 });
  expect((await sender.store.items.toArray())[0]).toMatchObject({
    ...act,
    fileName: 'a.jpg',
    person: 'iben',
  });
  online = true;
  await sender.flush();
  await sender.flush();
  expect(await counts()).toEqual({ tray: 0, items: 1, files: 0 });
});

test('laid on the wrong piece it is picked up again, as long as nobody has sent it', async () => {
  // Something before it that cannot be sent: it waits itself.
  await sender.add({ ...act, id: 'before' });
  await sender.flush();
  const id = await put('a.jpg');
  const back = await layOn(sender, id, act);
  expect(await back()).toBe('picked up');
  expect(await counts()).toEqual({ tray: 1, items: 1, files: 1 });
  expect(await sender.store.tray.get(id)).toMatchObject({ fileName: 'a.jpg' });
  const again = await layOn(sender, id, act);
  online = true;
  await sender.flush();
  await sender.flush();
  // Nobody said how it is taken off: it stays.
  expect(await again()).toBe('gone out');
  expect((await counts()).tray).toBe(0);
});

test('what the studio has already is taken off by what its answer says, or by what takes it back in any case', async () => {
  online = true;
  const off = (answer: unknown) => ({ name: 'test.bin', input: { answer } });
  const picture = await layOn(sender, await put('a.jpg'), act, off);
  await sender.flush();
  await sender.flush();
  expect(await picture()).toBe('taken off');
  const sound = await layOn(sender, await put('b.webm'), { ...act, back: { name: 'test.unsay', input: 1 } });
  await sender.flush();
  await sender.flush();
  expect(await sound()).toBe('taken off');
  const names = (await sender.store.items.orderBy('seq').toArray()).map(({ name }) => name);
  expect(names).toEqual([act.name, 'test.bin', act.name, 'test.unsay']);
  await sender.flush();
});

test('laid twice it goes out once; thrown away it comes back where it lay', async () => {
  const [first, second] = [await put('a.jpg'), await put('b.jpg')];
  await layOn(sender, first, act);
  await layOn(sender, first, act);
  expect((await counts()).items).toBe(1);
  const back = await throwAway(sender.store, second);
  expect((await counts()).tray).toBe(0);
  await back();
  expect(await sender.store.tray.get(second)).toMatchObject({ fileName: 'b.jpg' });
  expect(await sender.store.files.get(second)).toBeDefined();
});
