import { server, show } from '../../../test-support/dom';
import type { Item } from './store';

const { deliver } = await import('./deliver');

const item = (rest: Partial<Item> = {}): Item =>
  ({ id: 'i', name: 'test.act', input: 1, person: 'iben', fileName: null, ...rest }) as Item;
const refused = (code: string) => () => ({ ok: false, problem: { code, message: code, details: 7 } });

test('an item goes out under its writer’s name, whoever the page was made for', async () => {
  const sent = server(() => ({ ok: true, data: { sha: 'x' } }));
  show(<p>A page</p>, { person: 'tomasz' });
  expect(await deliver(item(), null)).toEqual({ outcome: 'done', answer: { sha: 'x' } });
  expect(sent[0]).toMatchObject({ path: '/api/act/test.act', body: { id: 'i', input: 1, as: 'iben' } });
});

test.each(['database-away', 'too-many', 'other-person', 'no-room'])('%s passes: it waits', async (code) => {
  server(refused(code));
  expect(await deliver(item(), null)).toEqual({ outcome: 'later', message: code, tried: false });
});

test('a server that answers, and fails, is counted; what it refuses is for the writer', async () => {
  server(refused('failed'));
  expect(await deliver(item(), null)).toMatchObject({ outcome: 'later', tried: true });
  server(refused('conflict'));
  expect(await deliver(item(), null)).toEqual({
    outcome: 'refused',
    problem: { code: 'conflict', message: 'conflict', details: 7 },
  });
});

test('an item whose file is gone is not sent without it', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  expect(await deliver(item({ fileName: 'tile.jpg' }), null)).toMatchObject({ outcome: 'refused' });
  expect(sent).toEqual([]);
});
