import '../../../test-support/on-device';
import { webcrypto } from 'node:crypto';
import { jest } from '@jest/globals';
import { waitFor } from '@testing-library/react';
import { person, press, screen, server, show } from '../../../test-support/dom';
import type { RoomPiece } from './room';

const { SenderHost } = await import('@/platform/sender/host');
const { useLoad } = await import('./useLoad');
const { useOpeningTray } = await import('./useOpeningTray');
const { byLabel, useTaking } = await import('./useTaking');
const { useLaying } = await import('./useLaying');
const { canFrameHere } = await import('./useLoad');

const ID = '0192c7cd-5baa-71a4-a619-90db87e9';
const FIRING = `${ID}0000`;
const piece = (n: number, code: string) =>
  ({ id: `${ID}100${n}`, code, photos: [], looks: {} }) as unknown as RoomPiece;
const PIECES = [piece(1, 'A7CFK'), piece(2, 'FNY3R')];
const MADE = { pieces: PIECES, at: 0 };
const hold = jest.fn();
const trying = { words: null, trying: (work: () => Promise<void>) => work().then(() => true) };

const sound = {
  file: new File(['o'], 'a.webm', { type: 'audio/webm' }),
  lengthS: 3,
  startedAt: Date.UTC(2026, 4, 3),
};
const picture = new File(['x'], 'p.jpg', { type: 'image/jpeg' });

/** What the stand-in for a browser's memory gives back is no file any more. */
const fileIs = (files: object, text: string | null) =>
  jest
    .spyOn(files as { get: () => Promise<unknown> }, 'get')
    .mockResolvedValue(
      text === null
        ? undefined
        : { blob: { arrayBuffer: async () => new TextEncoder().encode(text).buffer } },
    );
/** As the dialog answers it. */
const ACCEPTED = {
  frames: [
    {
      face: 1,
      guessed: true,
      shape: {
        kind: 'corners' as const,
        corners: [
          [0.2, 0.8],
          [0.6, 0.8],
          [0.6, 0.2],
          [0.2, 0.2],
        ].map(([x, y]) => ({ x: x!, y: y! })) as never,
      },
    },
  ],
  grey: null,
};

function Room({ at, me }: { at: 'tray' | 'piece' | 'finish'; me: string }) {
  const load = useLoad(FIRING, MADE, { id: me, name: 'Iben' });
  const tray = useOpeningTray(load, FIRING);
  const inHand = at === 'piece' ? PIECES[0]! : null;
  const taking = useTaking({ load, firingId: FIRING, piece: inHand, at, tray, room: trying, hold });
  const laying = useLaying(tray, PIECES);
  return (
    <>
      <p>
        {load.sender === null
          ? 'not yet'
          : `of ${taking.spokenOf}; tray: ${tray.items.map(({ kind }) => kind).join()}`}
      </p>{' '}
      <button onClick={() => void taking.speak(sound)}>Speak</button>
      <button onClick={() => void taking.pictures([picture])}>Shoot</button>
      <button
        onClick={() => {
          fileIs(load.sender!.store.files, 'x');
          void load.frame(PIECES[0]!, load.items[0]!.id, ACCEPTED);
        }}
      >
        Frame
      </button>
      <button
        onClick={() => {
          fileIs(load.sender!.store.files, null);
          const { id } = load.items[0]!;
          void load
            .sender!.store.items.where({ id })
            .modify({ answer: { sha: 'a'.repeat(64) } })
            .then(() => load.frame(PIECES[0]!, id, ACCEPTED));
        }}
      >
        Frame what went out
      </button>
      <p>{[...load.framed].map((id) => (id === load.items[0]!.id ? 'its picture is framed' : 'another'))}</p>
      <pre>{JSON.stringify(load.items.find(({ name }) => name === 'frames.set-of')?.input ?? null)}</pre>
      <button onClick={() => tray.choose(tray.items[0]!.id)}>Choose</button>
      <button onClick={() => laying.drop(tray.items[0]!.id, PIECES[1]!.id)}>Drop on FNY3R</button>
      <button onClick={() => laying.drop(tray.items[0]!.id, 'elsewhere')}>Drop elsewhere</button>
      <button onClick={() => void laying.onto(PIECES[0]!.id)}>On A7CFK</button>
      <ul>
        {load.items.map(({ id, name, label, state }) => (
          <li key={id}>{`${name}: ${label} (${state})`}</li>
        ))}
      </ul>
    </>
  );
}
let no = 0;
function room(at: 'tray' | 'piece' | 'finish') {
  server(() => {
    throw new TypeError('no network');
  });
  const me = `${ID}20${String(++no).padStart(2, '0')}`;
  show(
    <SenderHost>
      <Room at={at} me={me} />
    </SenderHost>,
    { person: me },
  );
  return person();
}
const lines = () => screen.queryAllByRole('listitem').map((one) => one.textContent!.replace(/ \(\w+\)$/, ''));

test('with a piece in hand, what is taken and spoken is of it, and it stays in hand', async () => {
  const hand = room('piece');
  await screen.findByText('of A7CFK; tray:');
  await press(hand, 'Shoot');
  await press(hand, 'Speak');
  await waitFor(() =>
    expect(lines()).toEqual(['media.add-picture: Picture of A7CFK', 'sounds.speak: Spoken of A7CFK']),
  );
  expect(hold).toHaveBeenCalledTimes(2);
  expect(screen.getByText('Spoken of A7CFK: 0:03')).toBeTruthy();
  await press(hand, 'Undo');
  await waitFor(() => expect(screen.getAllByRole('listitem')).not.toHaveLength(0));
});

test('a piece is held when its picture is taken, not when it is kept: by then the next one may be in hand', async () => {
  const hand = room('piece');
  await screen.findByText('of A7CFK; tray:');
  hold.mockClear();
  await press(hand, 'Shoot');
  const [called] = hold.mock.invocationCallOrder;
  await waitFor(() => expect(lines()).toHaveLength(1));
  expect(hold.mock.invocationCallOrder).toEqual([called]);
});

test('in the tray both lie in the order of taking, and become what they are when they are laid', async () => {
  const hand = room('tray');
  await screen.findByText('of one for the tray; tray:');
  await press(hand, 'Speak');
  await screen.findByText(/tray: sound$/);
  await press(hand, 'Shoot');
  await screen.findByText(/tray: sound,picture$/);
  expect(lines()).toEqual([]);
  await press(hand, 'Drop elsewhere');
  expect(lines()).toEqual([]);
  await press(hand, 'Drop on FNY3R');
  await screen.findByText(/tray: picture$/);
  await screen.findByText('1 thing laid on FNY3R');
  await press(hand, 'Choose');
  await press(hand, 'On A7CFK');
  await waitFor(() =>
    expect(lines()).toEqual(['sounds.speak: Spoken of FNY3R', 'media.add-picture: Picture of A7CFK']),
  );
});

test('nothing chosen, nothing laid: the touch is for the plan', async () => {
  const hand = room('tray');
  await screen.findByText('of one for the tray; tray:');
  await press(hand, 'On A7CFK');
  expect(lines()).toEqual([]);
});

test('on the last page what is spoken is of the load', async () => {
  const hand = room('finish');
  await screen.findByText('of the load; tray:');
  await press(hand, 'Speak');
  await waitFor(() => expect(lines()).toEqual(['sounds.speak: Spoken of the load']));
});

test('a label names a piece of the load, and nothing else', () => {
  expect(byLabel(PIECES, 'https://jiten.local/pieces/FNY3R')?.code).toBe('FNY3R');
  expect(byLabel(PIECES, 'https://jiten.local/pieces/K3RVT')).toBeUndefined();
  expect(byLabel(PIECES, 'https://jiten.local/store/buckets/x')).toBeUndefined();
});

test('a picture that waits is framed beside it: the frame names it by its content, and goes out after it', async () => {
  Object.defineProperty(globalThis, 'crypto', { value: webcrypto, configurable: true });
  expect(canFrameHere()).toBe(true);
  const hand = room('piece');
  await screen.findByText('of A7CFK; tray:');
  await press(hand, 'Shoot');
  await waitFor(() => expect(lines()).toHaveLength(1));
  await press(hand, 'Frame');
  await screen.findByText('its picture is framed');
  expect(lines()).toEqual(['media.add-picture: Picture of A7CFK', 'frames.set-of: Frame of A7CFK']);
  const input = JSON.parse(document.querySelector('pre')!.textContent) as object;
  // SHA-256 of "x".
  expect(input).toMatchObject({
    pieceId: PIECES[0]!.id,
    firingId: FIRING,
    sha: '2d711642b726b04401627ca9fbac32f5c8530fb1903cc4db02258717921a4881',
    nothing: false,
    frames: [{ face: 1, guessed: true }],
  });
});

test('a picture that went out while it was framed is named as the studio calls it', async () => {
  const hand = room('piece');
  await screen.findByText('of A7CFK; tray:');
  await press(hand, 'Shoot');
  await waitFor(() => expect(lines()).toHaveLength(1));
  await press(hand, 'Frame what went out');
  await waitFor(() =>
    expect(JSON.parse(document.querySelector('pre')!.textContent)).toMatchObject({ sha: 'a'.repeat(64) }),
  );
});
