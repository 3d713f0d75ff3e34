import { IDBKeyRange, indexedDB } from 'fake-indexeddb';
import { strToU8, zipSync } from 'fflate';
import { v7 } from 'uuid';
import { Sender } from '@/platform/sender/sender';
import { DeviceStore, type Item } from '@/platform/sender/store';
import { packUnsent, takeInUnsent } from './parcel';

const IBEN = v7();
let no = 0;
const stores: DeviceStore[] = [];
const device = (person = IBEN): Sender => {
  const store = new DeviceStore(`parcel-${++no}`, { indexedDB, IDBKeyRange });
  stores.push(store);
  return new Sender(
    store,
    person,
    () => Promise.resolve({ outcome: 'later', message: 'away' }),
    undefined,
    undefined,
  );
};
afterAll(() => Promise.all(stores.map((store) => store.delete())));
const open = (sender: Sender): Promise<Item[]> => sender.store.items.orderBy('seq').toArray();
const act = (label: string) => ({ id: v7(), name: 'test.act', input: { label }, label, about: 'test' });

test('what waits under an old address goes out under the new one: same acts, same order, with their files', async () => {
  const old = device();
  const [first, second] = [act('first'), act('second')];
  await old.add({ ...first, back: { name: 'test.back', input: 1 }, anyway: { input: 2 } });
  await old.add({ ...second, file: new File(['abc'], 'tile.jpg', { type: 'image/jpeg' }) });
  const parcel = await packUnsent(old, await open(old));
  const here = device();
  await here.add({ ...first, label: 'known here' });
  expect(await takeInUnsent(here, parcel)).toEqual({ ok: true, taken: 1, known: 1 });
  expect((await open(here)).map(({ id, label }) => [id, label])).toEqual([
    [first.id, 'known here'],
    [second.id, 'second'],
  ]);
  expect((await open(here))[1]).toMatchObject({ fileName: 'tile.jpg', person: IBEN });
  expect(await takeInUnsent(here, parcel)).toEqual({ ok: true, taken: 0, known: 2 });
});

test.each([
  ['no archive', strToU8('PK nothing'), /no file of unsent work/],
  ['another archive', zipSync({ 'a.txt': strToU8('a') }), /no file of unsent work/],
  ['a broken list', zipSync({ 'unsent.json': strToU8('{') }), /no file of unsent work/],
  ['a list of something else', zipSync({ 'unsent.json': strToU8('{"kind":"x"}') }), /no file/],
])('%s is refused in words, and nothing is taken', async (_, bytes, why) => {
  const here = device();
  const answer = await takeInUnsent(here, bytes);
  expect(answer).toMatchObject({ ok: false, why: expect.stringMatching(why) });
  expect(await open(here)).toEqual([]);
});

test('nobody takes in what another wrote', async () => {
  const old = device();
  await old.add(act('hers'));
  const other = device(v7());
  expect(await takeInUnsent(other, await packUnsent(old, await open(old)))).toMatchObject({
    ok: false,
    why: expect.stringContaining('Somebody else wrote this'),
  });
  expect(await open(other)).toEqual([]);
});
