import '../../../../test-support/on-device';
import { z } from 'zod';
import { contract, kept } from '@/platform/contract';
import { cleanup, waitFor } from '@testing-library/react';
import { person, press, router, screen, server, show, type Posted } from '../../../../test-support/dom';

const { SenderHost } = await import('@/platform/sender/host');
const { useSend } = await import('@/platform/useSend');
const { OnThisDevice } = await import('./OnThisDevice');
const { Keeping } = await import('./Keeping');
const { WaitingStrip } = await import('./WaitingStrip');

const read = kept(contract('test.read', z.object({ celsius: z.number() })), {
  about: () => 'test',
  label: ({ celsius }) => `Reading ${celsius}`,
  anyway: (input) => ({ celsius: input.celsius + 1000 }),
});
function Pad() {
  const { act, problem } = useSend();
  return (
    <>
      <button onClick={() => void act(read, { celsius: 812 })}>812</button>
      <p>{problem}</p>
    </>
  );
}
let no = 0;
/** A device of a person of their own, so that tests find nothing of one another. */
function device() {
  show(
    <SenderHost>
      <Pad />
      <WaitingStrip />
      <OnThisDevice />
    </SenderHost>,
    { person: `0192c7cd-5baa-71a4-a619-90db87e8${String(++no).padStart(4, '0')}` },
  );
  return person();
}
/** The same person's next page. */
function nextPage(): void {
  cleanup();
  show(
    <SenderHost>
      <WaitingStrip />
      <OnThisDevice />
    </SenderHost>,
    { person: `0192c7cd-5baa-71a4-a619-90db87e8${String(no).padStart(4, '0')}` },
  );
}
/** It tried, and waits. */
const waits = () => screen.findByRole('button', { name: 'Send now' });
const away = () => {
  throw new TypeError('no network');
};
const acts = (sent: readonly Posted[]) => sent.filter(({ path }) => path === '/api/act/test.read');

test('what cannot be sent is kept, said on every page, and sent when somebody asks and the server is there', async () => {
  server(away);
  const hand = device();
  await screen.findByText('All that was written here is on the studio’s server.');
  await press(hand, '812');
  expect(await screen.findByText(/1 entry on this device, not yet on the studio’s server/)).toBeTruthy();
  expect(screen.getByText('Reading 812')).toBeTruthy();
  await waits();
  const sent = server(() => ({ ok: true, data: null }));
  await press(hand, 'Send now');
  await screen.findByText('All that was written here is on the studio’s server.');
  expect(acts(sent)).toHaveLength(1);
  expect(acts(sent)[0]!.body.input).toEqual({ celsius: 812 });
});

test('a page that was drawn before what an earlier one left was sent is drawn anew once, and no other is', async () => {
  server(away);
  const hand = device();
  await screen.findByText('All that was written here is on the studio’s server.');
  await press(hand, '812');
  await waits();
  const sent = server(() => ({ ok: true, data: null }));
  nextPage();
  await screen.findByText('All that was written here is on the studio’s server.');
  expect(acts(sent)).toHaveLength(1);
  await waitFor(() => expect(router.refresh).toHaveBeenCalledTimes(1));
  nextPage();
  await screen.findByText('All that was written here is on the studio’s server.');
  expect(router.refresh).toHaveBeenCalledTimes(1);
});

test('what the studio doubts is settled by its writer: sent all the same, as its contract says', async () => {
  server(away);
  const hand = device();
  await screen.findByText('All that was written here is on the studio’s server.');
  await press(hand, '812');
  await screen.findByText('Reading 812');
  await waits();
  server(() => ({ ok: false, problem: { code: 'invalid', message: 'That is 300° more than before.' } }));
  await press(hand, 'Send now');
  expect(await screen.findByText(/That is 300° more than before/)).toBeTruthy();
  expect(screen.getByRole('link', { name: 'Settle it' }).getAttribute('href')).toBe('/device');
  const sent = server(() => ({ ok: true, data: null }));
  await press(hand, 'Send it all the same');
  await waitFor(() => expect(screen.queryByText(/not taken/)).toBeNull());
  await waitFor(() => expect(acts(sent)[0]?.body.input).toEqual({ celsius: 1812 }));
});

test('what waits before it goes first: with something behind, a new act waits its turn', async () => {
  server(away);
  const hand = device();
  await screen.findByText('All that was written here is on the studio’s server.');
  await press(hand, '812');
  await screen.findByText(/1 entry on this device/);
  await press(hand, '812');
  expect(await screen.findByText(/2 entries on this device/)).toBeTruthy();
  await waits();
  const sent = server(() => ({ ok: true, data: null }));
  await press(hand, 'Send now');
  await screen.findByText('All that was written here is on the studio’s server.');
  expect(new Set(acts(sent).map(({ body }) => body.id)).size).toBe(2);
});

test('a page that the device had kept says of when it is; one of now says nothing', () => {
  const { unmount } = show(<Keeping madeAt={Date.now() - 3_600_000} />);
  expect(screen.getByRole('status').textContent).toMatch(/cannot be reached\. This page is of \d\d:\d\d/);
  unmount();
  show(<Keeping madeAt={Date.now()} />);
  expect(screen.queryByRole('status')).toBeNull();
});
