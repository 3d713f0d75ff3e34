import {
  Outbox,
  type Delivery,
  type OutboxItem,
  type OutboxState,
  type OutboxStore,
} from './outbox';

const item = (id: string): OutboxItem => ({
  id,
  kind: 'act',
  name: 'opening.record',
  input: { id },
  label: id,
});

function memory(start: OutboxItem[] = []): OutboxStore & { kept: OutboxItem[] } {
  const store = {
    kept: [...start],
    read: () => Promise.resolve([...store.kept]),
    write: (items: OutboxItem[]) => {
      store.kept = [...items];
      return Promise.resolve();
    },
  };
  return store;
}

function outbox(store: OutboxStore, answers: (item: OutboxItem) => Delivery) {
  const sent: string[] = [];
  const states: OutboxState[] = [];
  const box = new Outbox(
    store,
    (one) => {
      sent.push(one.id);
      return Promise.resolve(answers(one));
    },
    (state) => states.push(state),
  );
  return { box, sent, states };
}

const done: Delivery = { outcome: 'done' };

test('items go out in the order they were written and leave the device only when the server has them', async () => {
  const store = memory();
  let online = false;
  const { box, sent } = outbox(store, () =>
    online ? done : { outcome: 'later', message: 'no connection' },
  );
  await box.add(item('a'));
  await box.add(item('b'));
  await box.flush();
  expect(store.kept.map(({ id }) => id)).toEqual(['a', 'b']);
  expect(box.state()).toMatchObject({ waiting: 2, trouble: 'no connection' });
  online = true;
  sent.length = 0;
  await box.flush();
  expect(sent).toEqual(['a', 'b']);
  expect(store.kept).toEqual([]);
  expect(box.state()).toMatchObject({ waiting: 0, trouble: null });
});

test('what an earlier visit left on the device is sent first', async () => {
  const { box, sent } = outbox(memory([item('old')]), () => done);
  await box.add(item('new'));
  await box.flush();
  expect(sent).toEqual(['old', 'new']);
});

test('until the device has been looked through, nobody says that nothing waits', async () => {
  const { box } = outbox(memory([item('old')]), () => ({
    outcome: 'later',
    message: 'no connection',
  }));
  expect(box.state().ready).toBe(false);
  expect((await box.leftBehind()).map(({ id }) => id)).toEqual(['old']);
  expect(box.state()).toMatchObject({ ready: true, waiting: 1 });
});

test('a refusal holds the rest until a person has answered it', async () => {
  const store = memory();
  const { box, sent } = outbox(store, (one) =>
    one.id === 'a'
      ? { outcome: 'refused', message: 'Iben wrote this up meanwhile', details: 1 }
      : done,
  );
  await box.add(item('a'));
  await box.add(item('b'));
  await box.flush();
  expect(box.state().refused).toMatchObject({
    message: 'Iben wrote this up meanwhile',
    details: 1,
  });
  expect(store.kept).toHaveLength(2);
  await box.settle(item('a2'));
  expect(sent.slice(-2)).toEqual(['a2', 'b']);
  expect(store.kept).toEqual([]);
});

test('leaving a refused item out goes on with the next', async () => {
  const store = memory();
  const { box, sent } = outbox(store, (one) =>
    one.id === 'a' ? { outcome: 'refused', message: 'no' } : done,
  );
  await box.add(item('a'));
  await box.add(item('b'));
  await box.flush();
  await box.settle(null);
  expect(sent.at(-1)).toBe('b');
  expect(box.state()).toMatchObject({ waiting: 0, refused: null });
});
