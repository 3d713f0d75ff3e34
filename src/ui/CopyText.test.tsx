import { person, press, screen, show } from '../../test-support/dom';

const { CopyText } = await import('./CopyText');
const clipboard = (value: object | undefined) =>
  Object.defineProperty(navigator, 'clipboard', { configurable: true, value });

test('words are taken along in one touch', async () => {
  const hand = person();
  const written: string[] = [];
  clipboard({ writeText: (text: string) => Promise.resolve(void written.push(text)) });
  show(<CopyText text="Kit: A7CFK" label="Copy the words" />);
  await press(hand, 'Copy the words');
  expect(written).toEqual(['Kit: A7CFK']);
  expect(screen.getByRole('button', { name: 'Copied' })).toBeTruthy();
});

test('where the browser lends no clipboard, the words stand there to be marked', async () => {
  const hand = person();
  clipboard(undefined);
  show(<CopyText text="Kit: A7CFK" label="Copy the words" />);
  await press(hand, 'Copy the words');
  expect(screen.getByText('Kit: A7CFK')).toBeTruthy();
});
