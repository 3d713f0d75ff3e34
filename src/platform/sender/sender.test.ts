import { IDBKeyRange, indexedDB } from 'fake-indexeddb';
import { Sender, type Delivery, type Locks } from './sender';
import { DeviceStore, type Item } from './store';

let no = 0;
let store: DeviceStore;
beforeEach(() => {
  store = new DeviceStore(`device-${++no}`, { indexedDB, IDBKeyRange });
});
afterEach(() => store.delete());

const act = (id: string, rest: object = {}) => ({
  id,
  name: 'test.act',
  input: { id },
  label: id,
  about: 'test',
  ...rest,
});
const done: Delivery = { outcome: 'done' };
const away: Delivery = { outcome: 'later', message: 'no connection' };
const refusal: Delivery = { outcome: 'refused', problem: { code: 'conflict', message: 'no' } };

/** A device's sender, what reached the server, and the server's word for it. */
function sending(answer: (item: Item) => Delivery, person = 'iben', locks: Locks = undefined) {
  const sent: string[] = [];
  const deliver = (item: Item, file: File | null) => {
    sent.push(file === null ? item.id : `${item.id}+${file.name}`);
    return Promise.resolve(answer(item));
  };
  return { sender: new Sender(store, person, deliver, undefined, locks), sent };
}
const states = async () =>
  (await store.items.orderBy('seq').toArray()).map(({ id, state }) => `${id} ${state}`);
const drained = async (sender: Sender): Promise<void> => {
  await sender.flush();
  await sender.flush();
};

test('acts go out in the order of writing and leave the device only when the server has them', async () => {
  let online = false;
  const { sender, sent } = sending(() => (online ? done : away));
  for (const id of ['a', 'b', 'c']) await sender.add(act(id));
  await drained(sender);
  expect(sender.trouble).toBe('no connection');
  expect((await states()).filter((one) => one.endsWith('sent'))).toEqual([]);
  online = true;
  sent.length = 0;
  await drained(sender);
  expect(sent).toEqual(['a', 'b', 'c']);
  expect(await states()).toEqual(['a sent', 'b sent', 'c sent']);
  expect(sender.trouble).toBeNull();
});

test('what was being sent when the browser was killed is sent again under its id, before what came after', async () => {
  const first = sending(() => away);
  await first.sender.add(act('a'));
  await first.sender.add(act('b'));
  await drained(first.sender);
  expect(await states()).toEqual(['a sending', 'b waiting']);
  const { sender, sent } = sending(() => done);
  await drained(sender);
  expect(sent).toEqual(['a', 'b']);
});

test('what the server refuses is set aside for its writer and holds up nothing', async () => {
  const { sender, sent } = sending(({ id }) => (id === 'a' ? refusal : done));
  await sender.add(act('a', { anyway: { input: 'anyway' } }));
  await sender.add(act('b'));
  await drained(sender);
  expect(await states()).toEqual(['a refused', 'b sent']);
  expect((await store.items.get({ id: 'a' }))?.problem).toEqual({
    code: 'conflict',
    message: 'no',
  });
  sent.length = 0;
  await sender.settle('a', { id: 'a2', input: 'anyway' });
  expect(sent).toEqual(['a2']);
  expect(await states()).toEqual(['a2 sent', 'b sent']);
  // Settled twice it is settled once.
  await sender.settle('a2', null);
  expect(await states()).toEqual(['a2 sent', 'b sent']);
});

test('left out, it is gone with its file', async () => {
  const { sender } = sending(() => refusal);
  await sender.add(act('a', { file: new File(['x'], 'x.jpg') }));
  await drained(sender);
  await sender.settle('a', null);
  expect(await states()).toEqual([]);
  expect(await store.files.count()).toBe(0);
});

test('an act at which a living server fails again and again is set aside; one that cannot be reached waits for ever', async () => {
  let answers: Delivery = { ...away, tried: true };
  const { sender } = sending(({ id }) => (id === 'a' ? answers : done));
  await sender.add(act('a'));
  await sender.add(act('b'));
  for (let i = 0; i < 6; i++) await drained(sender);
  expect(await states()).toEqual(['a refused', 'b sent']);
  answers = away;
  const other = sending(() => away);
  await other.sender.add(act('c'));
  for (let i = 0; i < 20; i++) await drained(other.sender);
  expect(await states()).toContain('c sending');
});

test('taken back before anybody sent it, it was never written; after that its opposite follows it', async () => {
  let hold: (() => void) | null = null;
  const sent: string[] = [];
  const deliver = async (item: Item): Promise<Delivery> => {
    sent.push(item.name);
    if (item.id === 'a') await new Promise<void>((go) => (hold = go));
    return done;
  };
  const sender = new Sender(store, 'iben', deliver, undefined, undefined);
  const back = { name: 'test.back', input: { of: 'a' } };
  await sender.add(act('a', { back }));
  await sender.add(act('b', { back, file: new File(['x'], 'x.jpg') }));
  while (hold === null) await new Promise((go) => setTimeout(go, 1));
  await sender.takeBack('b');
  await sender.takeBack('a');
  expect(await store.files.count()).toBe(0);
  (hold as () => void)();
  await drained(sender);
  expect(sent).toEqual(['test.act', 'test.back']);
  // And of what the server had long ago.
  await sender.takeBack('a');
  await drained(sender);
  expect(sent.at(-1)).toBe('test.back');
});

test('a file goes with its act, under its name, and leaves the device when the server has it', async () => {
  const { sender, sent } = sending(() => done);
  await sender.add(act('a', { file: new File(['abc'], 'tile.jpg', { type: 'image/jpeg' }) }));
  await drained(sender);
  expect(sent).toEqual(['a+tile.jpg']);
  expect(await store.files.count()).toBe(0);
});

test('on a shared tablet each person’s acts go out under their own name alone', async () => {
  const iben = sending(() => away, 'iben');
  await iben.sender.add(act('of iben'));
  const tomasz = sending(() => done, 'tomasz');
  await tomasz.sender.add(act('of tomasz'));
  await drained(tomasz.sender);
  expect(tomasz.sent).toEqual(['of tomasz']);
  const again = sending(() => done, 'iben');
  await drained(again.sender);
  expect(again.sent).toEqual(['of iben']);
});

test('two tabs write and send at once: nothing is lost, nothing goes twice, the order of each is kept', async () => {
  // As a browser's locks: one at a time, in the order of asking.
  let last = Promise.resolve();
  const locks = {
    request: (_: string, work: () => Promise<void>) => (last = last.then(work, work)),
  } as unknown as Locks;
  const tabs = [sending(() => done, 'iben', locks), sending(() => done, 'iben', locks)];
  await Promise.all(
    tabs.map(async ({ sender }, tab) => {
      for (let i = 0; i < 20; i++) await sender.add(act(`${tab}-${String(i).padStart(2, '0')}`));
      await drained(sender);
    }),
  );
  await Promise.all(tabs.map(({ sender }) => drained(sender)));
  const sent = tabs.flatMap((tab) => tab.sent);
  expect(new Set(sent).size).toBe(40);
  expect(sent).toHaveLength(40);
  const order = (await store.items.orderBy('seq').toArray()).map(({ id }) => id);
  for (const tab of ['0', '1'])
    expect(order.filter((id) => id.startsWith(tab))).toEqual(order.filter((id) => id.startsWith(tab)).sort());
  expect((await states()).every((one) => one.endsWith('sent'))).toBe(true);
});

test('what was sent is remembered for a week, and then forgotten', async () => {
  const { sender } = sending(() => done);
  await sender.add(act('old'));
  await drained(sender);
  await store.items.where({ id: 'old' }).modify({ sentAt: Date.now() - 8 * 86_400_000 });
  await sender.add(act('new'));
  await drained(sender);
  expect(await states()).toEqual(['new sent']);
});

test('one act that is kept twice, touched again before it was answered, is one act', async () => {
  const { sender, sent } = sending(() => done);
  await Promise.all([sender.add(act('a')), sender.add(act('a'))]);
  await drained(sender);
  expect(sent).toEqual(['a']);
  expect(await states()).toEqual(['a sent']);
});
