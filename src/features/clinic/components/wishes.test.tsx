import { jest } from '@jest/globals';
import { person, press, router, screen, server, show } from '../../../../test-support/dom';

const kept = new Map<string, unknown>();
jest.unstable_mockModule('idb-keyval', () => ({
  get: (key: string) => Promise.resolve(kept.get(key)),
  set: (key: string, value: unknown) => Promise.resolve(kept.set(key, value)),
  update: (key: string, change: (old: unknown) => unknown) => Promise.resolve(kept.set(key, change(kept.get(key)))), // prettier-ignore
}));
const { Why } = await import('./Why');
const { Wishes } = await import('./Wishes');

const [PIECE, FIRING] = ['0192c7cd-5baa-71a4-a619-90db87e84771', '0192c7cd-5baa-71a4-a619-90db87e84772']; // prettier-ignore
const OFFLINE = { ok: false, problem: { code: 'offline', message: 'There is no network.' } };
const KEY = 'jiten-wishes-p1';
afterEach(() => kept.clear());

test('asked without a network it is kept, and asked once the network is back, by the same address', async () => {
  let away = true;
  const sent = server(() => (away ? OFFLINE : { ok: true, data: { id: PIECE, no: 3 } }));
  const hand = person();
  const { unmount } = show(<Why pieceId={PIECE} firingId={FIRING} signs={['pit']} open={null} />);
  await press(hand, 'Why?');
  expect((await screen.findByRole('status')).textContent).toMatch(/is kept on this device/);
  const [wish] = kept.get(KEY) as { id: string; caseId: string; complaints: string[] }[];
  expect(wish).toMatchObject({ pieceId: PIECE, firingId: FIRING, complaints: ['pit'] });
  unmount();
  const before = sent.length;
  show(<Wishes />);
  // Still away: it stays.
  await new Promise((done) => setTimeout(done, 20));
  expect(kept.get(KEY)).toHaveLength(1);
  away = false;
  window.dispatchEvent(new Event('online'));
  await screen.findByText('What you asked without a network stands in the clinic now');
  expect(kept.get(KEY)).toEqual([]);
  expect(sent.at(-1)!.body).toMatchObject({ id: wish!.id, input: { id: wish!.caseId, pieceId: PIECE } }); // prettier-ignore
  expect(sent.length).toBeGreaterThan(before);
  expect(router.push).not.toHaveBeenCalled();
});

test('what the server refuses is said and not asked again', async () => {
  kept.set(KEY, [{ id: PIECE, caseId: FIRING, pieceId: PIECE, firingId: FIRING, complaints: [] }]);
  server(() => ({ ok: false, problem: { code: 'not-found', message: 'There is no such piece.' } }));
  show(<Wishes />);
  await screen.findByText(/could not be asked: There is no such piece\./);
  expect(kept.get(KEY)).toEqual([]);
});
