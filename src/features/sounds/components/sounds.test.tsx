import '../../../../test-support/on-device';
import { jest } from '@jest/globals';
import { fireEvent } from '@testing-library/react';
import { act, waitFor } from '@testing-library/react';
import { hydrateRoot } from 'react-dom/client';
import { named, person, press, screen, server, show } from '../../../../test-support/dom';
import type { Recorded } from '../useRecorder';

/** A browser that records: what it was asked, and what it gives when it is stopped. */
class Recorder {
  static isTypeSupported = (kind: string) => kind === 'audio/webm;codecs=opus';
  static last: Recorder;
  state = 'inactive';
  mimeType = 'audio/webm;codecs=opus';
  ondataavailable?: (event: { data: Blob }) => void;
  onstop?: () => void;
  constructor() {
    Recorder.last = this;
  }
  start() {
    this.state = 'recording';
  }
  stop() {
    this.state = 'inactive';
    this.ondataavailable?.({ data: new Blob(['spoken']) });
    this.onstop?.();
  }
}
const stopped = jest.fn();
const stream = { getTracks: () => [{ stop: stopped }] };
const media = { getUserMedia: jest.fn(() => Promise.resolve(stream as unknown as MediaStream)) };
Object.assign(globalThis, { MediaRecorder: Recorder });
Object.defineProperty(navigator, 'mediaDevices', { configurable: true, value: media });
HTMLElement.prototype.setPointerCapture = () => undefined;

// What draws as a server does wants one when it is loaded, and does not use it for a whole page at once.
Object.assign(globalThis, {
  MessageChannel: class {
    port1 = {};
    port2 = {};
  },
});
const { renderToString } = await import('react-dom/server');
const { SenderHost } = await import('@/platform/sender/host');
const { HoldToTalk } = await import('./HoldToTalk');
const { SpeakHere } = await import('./SpeakHere');
const { SpokenNote } = await import('./SpokenNote');
const { microphoneTrouble } = await import('../useRecorder');

let clock = 0;
beforeEach(() => {
  clock = Date.UTC(2026, 4, 3, 9, 30);
  jest.spyOn(Date, 'now').mockImplementation(() => clock);
});
afterEach(() => void jest.restoreAllMocks());
const later = (seconds: number): void => void (clock += seconds * 1000);
const down = async (name: RegExp) =>
  act(async () => void fireEvent.pointerDown(screen.getByRole('button', { name }), { pointerId: 1 }));
const up = async (name: RegExp) =>
  act(async () => void fireEvent.pointerUp(screen.getByRole('button', { name }), { pointerId: 1 }));

function talk() {
  const heard: Recorded[] = [];
  show(<HoldToTalk of="K3RVT" onRecorded={(recorded) => heard.push(recorded)} />);
  return heard;
}

test('held it records as long as it is held, and lets the microphone go', async () => {
  const heard = talk();
  await down(/^Speak of K3RVT/);
  expect(Recorder.last.state).toBe('recording');
  later(4.2);
  await up(/^Recording/);
  expect(heard.map(({ file, lengthS }) => [file.name, file.type, lengthS])).toEqual([
    ['2026-05-03T093000.webm', 'audio/webm', 4.2],
  ]);
  expect(stopped).toHaveBeenCalled();
});

test('touched for a moment it goes on without a hand, until it is touched again', async () => {
  const heard = talk();
  await down(/^Speak/);
  later(0.2);
  await up(/^Recording/);
  expect(heard).toEqual([]);
  later(30);
  await down(/^Recording/);
  expect(heard.map(({ lengthS }) => lengthS)).toEqual([30.2]);
});

test('another piece taken in hand ends the note, and it is of the one it was begun for', async () => {
  const heard: string[] = [];
  const of = (code: string) => <HoldToTalk key={code} of={code} onRecorded={() => heard.push(code)} />;
  const { rerender } = show(of('K3RVT'));
  await down(/^Speak of K3RVT/);
  later(2);
  await act(async () => rerender(of('PXTHW')));
  expect(heard).toEqual(['K3RVT']);
  expect(screen.getByRole('button', { name: 'Speak of PXTHW' })).toBeTruthy();
});

test('a slip of the thumb is no note', async () => {
  const heard = talk();
  await down(/^Speak/);
  later(0.3);
  await down(/^Recording/);
  expect(heard).toEqual([]);
});

test('a device without a microphone takes the page over as the server drew it, and then offers none', async () => {
  const talk = <HoldToTalk of="K3RVT" onRecorded={() => undefined} />;
  const drawn = renderToString(talk);
  expect(drawn).toContain('Speak of K3RVT');
  Object.defineProperty(navigator, 'mediaDevices', { configurable: true, value: undefined });
  const [place, wrong] = [document.body.appendChild(document.createElement('div')), jest.fn()];
  place.innerHTML = drawn;
  const root = await act(async () => hydrateRoot(place, talk, { onRecoverableError: wrong }));
  expect(wrong).not.toHaveBeenCalled();
  expect(place.textContent).toBe('');
  await act(async () => root.unmount());
  place.remove();
  Object.defineProperty(navigator, 'mediaDevices', { configurable: true, value: media });
});

test('a microphone that is not allowed says what can be done, and the note can be typed', async () => {
  media.getUserMedia.mockImplementationOnce(() =>
    Promise.reject(Object.assign(new Error(), { name: 'NotAllowedError' })),
  );
  talk();
  await down(/^Speak/);
  expect((await screen.findByRole('alert')).textContent).toBe(microphoneTrouble('NotAllowedError'));
  const words = ['NotAllowedError', 'NotFoundError', 'NotReadableError', 'x'].map(microphoneTrouble);
  expect(new Set(words).size).toBe(4);
  for (const one of words) expect(one).toMatch(/Type the note|type the note|try again/);
});

test('what is spoken on a page waits on this device under its writer until there is a network', async () => {
  server(() => {
    throw new TypeError('no network');
  });
  jest.spyOn(Date, 'now').mockRestore();
  show(
    <SenderHost>
      <SpeakHere of={{ pieceId: null, firingId: 'f', label: 'Marta 3', about: 'firing/f' }} />
    </SenderHost>,
    { person: '0192c7cd-5baa-71a4-a619-90db87e89001' },
  );
  await screen.findByRole('button', { name: 'Speak of Marta 3' });
  await waitFor(() => screen.getByRole('button', { name: 'Speak of Marta 3' }));
  await down(/^Speak/);
  await act(() => new Promise((done) => setTimeout(done, 700)));
  await up(/^Recording/);
  expect(await screen.findByText(/1 spoken note on this device/)).toBeTruthy();
});

const NOTE = { id: 's', lengthS: 7, what: 'K3RVT, Iben', words: null, wordsBy: null };

test('typed up while it plays slower; who wrote meanwhile is told', async () => {
  jest.spyOn(Date, 'now').mockRestore();
  const play = jest.spyOn(HTMLMediaElement.prototype, 'play').mockResolvedValue(undefined);
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  show(<SpokenNote one={NOTE} writes />);
  expect(screen.getByText(/K3RVT, Iben, 0:07/)).toBeTruthy();
  await press(hand, '0.75×');
  const player = screen.getByLabelText<HTMLAudioElement>(/^Spoken note/);
  expect(player.playbackRate).toBe(0.75);
  await hand.type(named('What is said'), 'duller than last time');
  await hand.keyboard('{Control>} {/Control}');
  expect(play).toHaveBeenCalled();
  await press(hand, 'Keep the words');
  await waitFor(() =>
    expect(sent.find(({ path }) => path === '/api/act/sounds.type-up')?.body.input).toEqual({
      soundId: 's',
      words: 'duller than last time',
      before: null,
    }),
  );
});

test('words that stand say who typed them; who may only read puts nothing right', () => {
  show(<SpokenNote one={{ ...NOTE, words: 'A dull rim', wordsBy: 'Noor' }} writes={false} />);
  expect(screen.getByText(/typed up by Noor/)).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Put right' })).toBeNull();
  expect(screen.queryByRole('group', { name: 'How fast it plays' })).toBeNull();
});
