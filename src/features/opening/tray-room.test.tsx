import '../../../test-support/on-device';
import { person, press, screen, server, show } from '../../../test-support/dom';
import type { RoomPiece } from './room';

const { SenderHost } = await import('@/platform/sender/host');
const { useLoad } = await import('./useLoad');
const { backWords, useOpeningTray } = await import('./useOpeningTray');

const FIRING = '0192c7cd-5baa-71a4-a619-90db87e84780';
const ME = { id: '0192c7cd-5baa-71a4-a619-90db87e84781', name: 'Iben' };
const piece = (id: string, code: string, photos: string[] = []) =>
  ({ id, code, photos, looks: {} }) as unknown as RoomPiece;
const MADE = { pieces: [piece('a', 'K3RVT'), piece('b', 'PXTHW', ['f00']), piece('c', 'A7CFK')], at: 0 };

function Room() {
  const load = useLoad(FIRING, MADE, ME);
  const tray = useOpeningTray(load, FIRING);
  const shot = (name: string) => tray.put(new File([name], name, { type: 'image/jpeg' }), null);
  return (
    <>
      <button onClick={() => void shot('1.jpg').then(() => shot('2.jpg'))}>Two pictures</button>
      <p>{load.sender === null ? 'not yet' : `ready, ${tray.items.length} in the tray`}</p>
      {tray.items.map(({ id, fileName }) => (
        <button key={id} aria-pressed={tray.chosen.has(id)} onClick={() => tray.choose(id)}>
          {fileName}
        </button>
      ))}
      <button onClick={() => void tray.layChosen(MADE.pieces[2]!)}>On A7CFK</button>
      <button onClick={() => void tray.layAll(tray.inOrder(null))}>By the plan</button>
      <button onClick={() => void tray.throwChosen()}>Away</button>
      <ul>
        {load.items.map(({ id, label, fileName }) => (
          <li key={id}>{`${label}: ${fileName}`}</li>
        ))}
      </ul>
    </>
  );
}
const room = () =>
  show(
    <SenderHost>
      <Room />
    </SenderHost>,
    { person: ME.id },
  );
const lines = () => screen.queryAllByRole('listitem').map((one) => one.textContent);

test('shot, chosen, laid on a piece; the rest by the plan on pieces that have no picture; nothing goes out twice', async () => {
  server(() => {
    throw new TypeError('no network');
  });
  const hand = person();
  room();
  await screen.findByText('ready, 0 in the tray');
  await press(hand, 'Two pictures');
  await screen.findByText('ready, 2 in the tray');
  await press(hand, '2.jpg');
  expect(screen.getByRole('button', { name: '2.jpg' }).getAttribute('aria-pressed')).toBe('true');
  await press(hand, 'On A7CFK');
  await screen.findByText('ready, 1 in the tray');
  await screen.findByText('Picture of A7CFK: 2.jpg');
  // K3RVT alone has none: PXTHW has one on the server, A7CFK one on this device.
  await press(hand, 'By the plan');
  await screen.findByText('ready, 0 in the tray');
  await screen.findByText('Picture of K3RVT: 1.jpg');
  expect(lines()).toEqual(['Picture of A7CFK: 2.jpg', 'Picture of K3RVT: 1.jpg']);
});

test('taken back: silent where all of it lies in the tray again, in words where it does not', () => {
  expect(backWords(['picked up', 'picked up'])).toBeNull();
  expect(backWords(['picked up', 'taken off'])).toMatch(/^Taken off: 1 thing was/);
  expect(backWords(['taken off', 'gone out', 'gone out'])).toMatch(/^2 things are on the way/);
});
