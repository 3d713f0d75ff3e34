import { jest } from '@jest/globals';
import { person, press, screen, show } from '../../../../test-support/dom';

const { NotOpen } = await import('./NotOpen');

test.each([
  ['cooling', 'It cools', 'The kiln is open'],
  ['firing', 'It burns', 'The fire is out, and the kiln is open'],
])('%s: how hot is too hot stands before the word that it is open', async (status, title, act) => {
  const onOpen = jest.fn();
  const hand = person();
  show(<NotOpen status={status} crackAtC={95} pieces={18} onOpen={onOpen} />);
  expect(screen.getByRole('heading', { name: title })).toBeTruthy();
  expect(screen.getByText(/Below 95 °C the lid may be cracked, not before/)).toBeTruthy();
  expect(screen.getByText(/^18 pieces are in it/)).toBeTruthy();
  await press(hand, act);
  expect(onOpen).toHaveBeenCalledTimes(1);
});
