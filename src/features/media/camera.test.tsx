import { jest } from '@jest/globals';
import { person, press, screen, show } from '../../../test-support/dom';
import { shotName, smaller } from './shoot';
import { cameraTrouble } from './useCamera';

const { Camera } = await import('./components/Camera');

const camera = (getUserMedia: (() => Promise<unknown>) | undefined): void => {
  Object.defineProperty(navigator, 'mediaDevices', {
    configurable: true,
    value: getUserMedia && { getUserMedia },
  });
};
const denied = (name: string) => () => Promise.reject(Object.assign(new Error('no'), { name }));

test('where the browser gives no camera it says where it would, and asks for nothing', () => {
  camera(undefined);
  show(<Camera of="K3RVT" onShot={() => undefined} />);
  expect(screen.getByText(/under TLS it does/)).toBeTruthy();
  expect(screen.queryByRole('button')).toBeNull();
});

test.each([
  ['NotAllowedError', /was not allowed here/],
  ['NotFoundError', /has no camera/],
  ['NotReadableError', /Another program holds the camera/],
  ['TypeError', /did not start/],
])('%s is said with what to do, and it can be tried again', async (name, words) => {
  expect(cameraTrouble(name)).toMatch(words);
  camera(denied(name));
  const hand = person();
  show(<Camera of="K3RVT" onShot={() => undefined} />);
  await press(hand, 'Camera on');
  expect((await screen.findByRole('alert')).textContent).toMatch(words);
  expect(screen.getByRole('button', { name: 'Camera on' })).toBeTruthy();
});

test('once on it names what the next picture is of, and lets the camera go when it is switched off or left', async () => {
  const track = { stop: jest.fn(), addEventListener: jest.fn() };
  camera(() => Promise.resolve({ getTracks: () => [track] }));
  const hand = person();
  const { unmount } = show(<Camera of="K3RVT" onShot={() => undefined} />);
  await press(hand, 'Camera on');
  expect(await screen.findByRole('button', { name: 'Take K3RVT' })).toBeTruthy();
  await press(hand, 'Camera off');
  expect(track.stop).toHaveBeenCalledTimes(1);
  await press(hand, 'Camera on');
  await screen.findByRole('button', { name: 'Take K3RVT' });
  unmount();
  expect(track.stop).toHaveBeenCalledTimes(2);
});

test('pictures are named by their moment; a small one keeps its shape', () => {
  expect(shotName(new Date('2026-05-03T09:30:07.123Z'))).toBe('20260503-093007.jpg');
  expect(smaller(3264, 2448)).toEqual([320, 240]);
  expect(smaller(2448, 3264)).toEqual([240, 320]);
  expect(smaller(100, 50)).toEqual([100, 50]);
  expect(smaller(100_000, 1)).toEqual([320, 1]);
});
