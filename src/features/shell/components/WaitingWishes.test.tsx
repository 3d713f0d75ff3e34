import { jest } from '@jest/globals';
import { screen, server, show } from '../../../../test-support/dom';

const kept = new Map<string, unknown>();
jest.unstable_mockModule('idb-keyval', () => ({
  get: (key: string) => Promise.resolve(kept.get(key)),
  set: (key: string, value: unknown) => Promise.resolve(kept.set(key, value)),
  update: (key: string, change: (old: unknown) => unknown) => Promise.resolve(kept.set(key, change(kept.get(key)))), // prettier-ignore
}));
const { WaitingWishes } = await import('./WaitingWishes');
const { wishesKey } = await import('@/platform/device/wishes');

const ID = '0192c7cd-5baa-71a4-a619-90db87e84771';
const WISH = { id: ID, caseId: ID, pieceId: ID, firingId: ID, complaints: ['pit'] };
const a = (ms: number) => new Promise((done) => setTimeout(done, ms));
afterEach(() => kept.clear());

test('nothing is asked where nothing waits, nor what waits for somebody else on this device', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  kept.set(wishesKey('somebody else'), [WISH]);
  show(<WaitingWishes />);
  await a(50);
  expect(sent).toHaveLength(0);
  expect(kept.get(wishesKey('somebody else'))).toEqual([WISH]);
});

test('what waits is asked when a page is opened, under the name of whoever wished it', async () => {
  const sent = server(() => ({ ok: true, data: { id: ID, no: 1 } }));
  kept.set(wishesKey('p1'), [WISH]);
  show(<WaitingWishes />);
  await screen.findByText('What you asked without a network stands in the clinic now');
  expect(sent.map(({ path }) => path)).toEqual(['/api/act/clinic.open']);
  expect(kept.get(wishesKey('p1'))).toEqual([]);
});
