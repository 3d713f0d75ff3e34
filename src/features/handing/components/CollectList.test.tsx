import '../../../../test-support/on-device';
import { waitFor } from '@testing-library/react';
import { person, press, router, screen, server, show, type Posted } from '../../../../test-support/dom';

const { SenderHost } = await import('@/platform/sender/host');
const { CollectList } = await import('./CollectList');
const { CollectFrom } = await import('./CollectFrom');

const ID = '0192c7cd-5baa-71a4-a619-90db87e8600';
const PIECES = [1, 2, 9].map((n) => ({ pieceId: `${ID}${n}`, code: `A7CF${n}`, collected: false }));
let no = 3;
const list = () =>
  show(
    <SenderHost>
      <CollectList firingId={`${ID}0`} pieces={PIECES} />
    </SenderHost>,
    { person: `${ID}${no++}` },
  );
const box = (code: string) => screen.getByRole<HTMLInputElement>('checkbox', { name: `${code} collected` });

const acts = (sent: readonly Posted[]) =>
  sent
    .filter(({ path }) => path.startsWith('/api/act/'))
    .map(({ body }) => body.input as { pieceIds: string[] });

test('one by one, or all that are left, with the way back', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  list();
  await hand.click(box('A7CF1'));
  expect(sent[0]!.body.input).toEqual({
    firingId: `${ID}0`,
    pieceIds: [`${ID}1`],
    collected: true,
  });
  expect(router.refresh).toHaveBeenCalled();
  await press(hand, 'All collected');
  await waitFor(() => expect(acts(sent)[1]?.pieceIds).toEqual([`${ID}2`, `${ID}9`]));
  await press(hand, 'Undo');
  await waitFor(() => expect(acts(sent)[2]).toMatchObject({ collected: false }));
});

test('at a rack without a network a tick stays ticked on this device', async () => {
  server(() => {
    throw new TypeError('no network');
  });
  const hand = person();
  list();
  await waitFor(async () => {
    if (!box('A7CF1').checked) await hand.click(box('A7CF1'));
    expect(box('A7CF1').checked).toBe(true);
  });
  expect(box('A7CF2').checked).toBe(false);
});

test('where it lies is one of the usual places, or another', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  show(<CollectFrom firingId={`${ID}0`} place="" usual={['the low rack']} />);
  expect(screen.getByRole('button', { name: 'Say so' })).toHaveProperty('disabled', true);
  await hand.type(screen.getByRole('combobox'), 'the shelf by the door');
  await press(hand, 'Say so');
  expect(sent[0]!.body.input).toEqual({ firingId: `${ID}0`, place: 'the shelf by the door', before: '' });
});
