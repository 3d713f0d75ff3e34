import '../../../../test-support/on-device';
import { waitFor } from '@testing-library/react';
import { person, press, router, screen, server, show } from '../../../../test-support/dom';

const { SenderHost, useSender } = await import('@/platform/sender/host');
const { Why } = await import('./Why');

const [PIECE, FIRING] = ['0192c7cd-5baa-71a4-a619-90db87e84771', '0192c7cd-5baa-71a4-a619-90db87e84772'];
/** The device has been looked through. */
const Ready = () => (useSender().open === null ? null : <p>ready</p>);
const why = (who: string) =>
  show(
    <SenderHost>
      <Why pieceId={PIECE} firingId={FIRING} signs={['pit', 'off-colour']} open={null} />
      <Ready />
    </SenderHost>,
    { person: who },
  );

test('asked where there is no network, it is kept on the device and asked as soon as there is', async () => {
  const lost = server(() => {
    throw new TypeError('no network');
  });
  const hand = person();
  why('0192c7cd-5baa-71a4-a619-90db87e84773');
  await screen.findByText('ready');
  await press(hand, 'Why?');
  expect(await screen.findByText(/is kept on this device, and asked when/)).toBeTruthy();
  expect(router.push).not.toHaveBeenCalled();
  const sent = server(() => ({ ok: true, data: { id: 'x', no: 1 } }));
  window.dispatchEvent(new Event('online'));
  const asked = () => sent.filter(({ path }) => path === '/api/act/clinic.open');
  await waitFor(() => expect(asked()).toHaveLength(1), { timeout: 5000 });
  // The first try may have arrived after all: this is the same act, of the same case.
  const tried = lost.find(({ path }) => path === '/api/act/clinic.open');
  expect([asked()[0]!.body.id, asked()[0]!.body.input]).toEqual([tried!.body.id, tried!.body.input]);
  // A colour that is off says not which: the sheet asks.
  expect(asked()[0]!.body.input).toMatchObject({ pieceId: PIECE, firingId: FIRING, complaints: ['pit'] });
});

test('asked with a network it leads to its sheet; a case that is open is gone on with', async () => {
  server(() => ({ ok: true, data: { id: 'case-1', no: 1 } }));
  const hand = person();
  const { unmount } = why('0192c7cd-5baa-71a4-a619-90db87e84774');
  await press(hand, 'Why?');
  await waitFor(() => expect(router.push).toHaveBeenCalledWith('/clinic/cases/case-1'));
  unmount();
  show(<Why pieceId={PIECE} firingId={FIRING} signs={['pit']} open="case-1" />);
  expect(screen.getByRole('link', { name: 'Its case in the clinic' }).getAttribute('href')).toBe(
    '/clinic/cases/case-1',
  );
});
