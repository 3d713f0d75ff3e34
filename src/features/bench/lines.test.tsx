/** What the kiln room leaves on the day sheet: a line where there is something, none where there is not. */
import type { ReactElement } from 'react';
import { screen, show } from '../../../test-support/dom';

const { keyLines } = await import('../keys/rooms/KeyLines');
const { soundLines } = await import('../sounds/rooms/SoundLines');

const on = (lines: ReactElement[]) => show(<>{lines}</>);
const href = (name: string) => screen.getByRole('link', { name }).getAttribute('href');

test.each([
  [1, '1 spoken note to type up'],
  [12, '12 spoken notes to type up'],
])('%i spoken and not typed up', (n, words) => {
  on(soundLines(n));
  expect(screen.getByText(words)).toBeTruthy();
  expect(href('Type up')).toBe('/sounds');
});

test.each([
  [1, /1 piece without a key: nobody has said what lies on it$/],
  [27, /27 pieces without a key: nobody has said what lies on them$/],
])('%i without a key', (n, words) => {
  on(keyLines(n));
  expect(screen.getByText(words)).toBeTruthy();
  expect(href('Fill in')).toBe('/tests/keys');
});

test('where there is nothing to do there is no line', () => {
  expect([...soundLines(0), ...keyLines(0)]).toEqual([]);
});
