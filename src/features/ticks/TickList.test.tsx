import '../../../test-support/on-device';
import { waitFor } from '@testing-library/react';
import { person, press, screen, server, show } from '../../../test-support/dom';

const { SenderHost } = await import('@/platform/sender/host');
const { TickList } = await import('./TickList');

let no = 0;
const me = () => `0192c7cd-5baa-71a4-a619-90db87e85${String(++no).padStart(3, '0')}`;
const sheet = (person: string, id = 'sheet/7/weigh') =>
  show(
    <SenderHost>
      <TickList
        id={id}
        columns={['What', 'Weigh']}
        groups={[
          {
            title: 'Cup A',
            rows: [
              ['Silica', '20 g'],
              ['Whiting', '5 g'],
            ],
          },
        ]}
      />{' '}
    </SenderHost>,
    { person },
  );
const row = (name: string) => screen.getByRole<HTMLInputElement>('checkbox', { name });

test('what was ticked elsewhere is there; a tick here goes out under its own name', async () => {
  const sent = server(({ path }) => ({ ok: true, data: path.startsWith('/api/ticks') ? ['0/1'] : null }));
  const hand = person();
  const own = me();
  sheet(own);
  await waitFor(() => expect(row('Whiting, 5 g').checked).toBe(true));
  expect(screen.getByText(/^1 of 2 done/)).toBeTruthy();
  await hand.click(row('Silica, 20 g'));
  await screen.findByText(/^2 of 2 done/);
  await waitFor(() => expect(sent.filter(({ path }) => path === '/api/act/ticks.tick')).toHaveLength(1));
  expect(sent.at(-1)!.body).toMatchObject({
    as: own,
    input: { sheet: 'sheet/7/weigh', line: '0/0', done: true },
  });
  await press(hand, 'Start over');
  await screen.findByText(/^0 of 2 done/);
});

test('without a network ticks stay on the device, also over a reload, and nobody else on it sees them', async () => {
  server(() => {
    throw new TypeError('no network');
  });
  const hand = person();
  const own = me();
  const { unmount } = sheet(own);
  await waitFor(async () => {
    if (!row('Silica, 20 g').checked) await hand.click(row('Silica, 20 g'));
    expect(screen.getByText(/^1 of 2 done/)).toBeTruthy();
  });
  unmount();
  const again = sheet(own);
  await screen.findByText(/^1 of 2 done/);
  again.unmount();
  sheet(me());
  expect(screen.getByText(/^0 of 2 done/)).toBeTruthy();
});
