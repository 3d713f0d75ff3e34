import { person, press, screen, show } from '../../../test-support/dom';
import { useRoomLeft } from './useRoomLeft';

function Room({ work }: { work: () => Promise<void> }) {
  const { words, trying } = useRoomLeft(0);
  return (
    <>
      <button onClick={() => void trying(work)}>Keep</button>
      <p role="alert">{words}</p>
    </>
  );
}
const storage = (said: object) =>
  Object.defineProperty(navigator, 'storage', {
    configurable: true,
    value: { estimate: () => Promise.resolve(said) },
  });
const said = () => screen.getByRole('alert').textContent;

test('that it will soon be full is said before it is', async () => {
  storage({ quota: 100e6, usage: 60e6 });
  show(<Room work={() => Promise.resolve()} />);
  expect(await screen.findByText(/room for about 10 more pictures/)).toBeTruthy();
});

test('what a full device did not keep is said, until something is kept again', async () => {
  storage({});
  let full = true;
  const hand = person();
  const work = () =>
    full ? Promise.reject(Object.assign(new Error('x'), { name: 'QuotaExceededError' })) : Promise.resolve();
  show(<Room work={work} />);
  await press(hand, 'Keep');
  expect(said()).toMatch(/This device is full, and that was not kept. It is still on the screen/);
  full = false;
  await press(hand, 'Keep');
  expect(said()).toBe('');
});

test('another trouble of the device is not called a full one', async () => {
  storage({});
  const hand = person();
  show(<Room work={() => Promise.reject(new Error('closed'))} />);
  await press(hand, 'Keep');
  expect(said()).toMatch(/did not keep that/);
});
