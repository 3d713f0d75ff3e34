import '../../../../test-support/on-device';
import { waitFor } from '@testing-library/react';
import type { Witness } from '@/data/witnesses';
import { person, press, screen, server, show } from '../../../../test-support/dom';

const { SenderHost } = await import('@/platform/sender/host');
const { ConePacks } = await import('./ConePacks');

const ID = '0192c7cd-5baa-71a4-a619-90db87ea';
const CONES = ['5', '6'].map(
  (cone, i) =>
    ({ id: `${ID}100${i}`, cone, role: 'target', place: 'top', bendDegrees: null }) as unknown as Witness,
);
let no = 0;
const packs = (firing: string) =>
  show(
    <SenderHost>
      <ConePacks firingId={firing} cones={CONES} target="6" reading edit />
    </SenderHost>,
    { person: `${ID}20${String(++no).padStart(2, '0')}` },
  );
const save = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Save what the cones say' });

test('read in a cellar the cones are kept on the device, shown as they were read, and taken back', async () => {
  server(() => {
    throw new TypeError('no network');
  });
  const hand = person();
  packs(`${ID}0001`);
  await press(hand, 'Cone 5, top: down');
  await press(hand, 'Cone 6, top: half');
  await waitFor(async () => {
    if (!save().disabled) await hand.click(save());
    expect(screen.getByText('Cones read: kept on this device until there is a network')).toBeTruthy();
  });
  await waitFor(() => expect(save().disabled).toBe(true));
  expect(screen.getByRole('button', { name: 'Cone 5, top: down' }).getAttribute('aria-pressed')).toBe('true');
});

test('with a network they are read at once, and what they teach of the kiln is said', async () => {
  const sent = server(() => ({
    ok: true,
    data: { reachedOrdinal: 1, coneBand: '5', moved: [{ title: 'Marta 30', was: '6', became: 'cone 5' }] },
  }));
  const hand = person();
  packs(`${ID}0002`);
  await press(hand, 'Cone 5, top: down');
  await hand.click(save());
  await screen.findByText(/by what they teach of the kiln Marta 30: cone 5/);
  const acts = sent.filter(({ path }) => path.endsWith('read-cones'));
  expect(acts.map(({ body }) => body.input)).toEqual([
    {
      firingId: `${ID}0002`,
      readings: [
        { coneId: CONES[0]!.id, bendDegrees: 90 },
        { coneId: CONES[1]!.id, bendDegrees: null },
      ],
    },
  ]);
});

test('without cones it is said what is known all the same: by its log, or nothing', () => {
  const none = (byLog: boolean) =>
    show(<ConePacks firingId={`${ID}0009`} cones={[]} target="6" reading edit byLog={byLog} />);
  const { unmount } = none(false);
  expect(screen.getByText(/No witness cones are set or recorded. Without them nobody knows/)).toBeTruthy();
  unmount();
  none(true);
  expect(screen.getByText(/Without them what it reached is known by its log only/)).toBeTruthy();
});
