import { useState } from 'react';
import { SI } from '@/core/units';
import { person, press, screen, show, within } from '../../../../test-support/dom';
import { NOTHING_SEEN, type SeenInput } from '../contracts';

const { SeenFields, toggledWord } = await import('./SeenFields');

test.each([
  [null, 'straw', 'straw'],
  ['straw', 'blue', 'straw, blue'],
  ['straw, blue', 'straw', 'blue'],
  ['straw', 'straw', null],
  ['dark blue', 'blue', 'dark blue, blue'],
])('“%s” and a touch of “%s”', (text, word, after) => {
  expect(toggledWord(text, word)).toBe(after);
});

let seen: SeenInput;
function Fields({ start = NOTHING_SEEN, whole = true }: { start?: SeenInput; whole?: boolean }) {
  const [now, setNow] = useState(start);
  seen = now;
  return (
    <SeenFields
      seen={now}
      onChange={setNow}
      stacked
      whole={whole}
      units={SI}
      cautions={[]}
      words={['straw', 'dark blue']}
    />
  );
}

test('words that the studio uses are a touch each, beside what is typed', async () => {
  const hand = person();
  show(<Fields />);
  await press(hand, 'dark blue');
  await press(hand, 'straw');
  expect(seen.colour).toBe('dark blue, straw');
  expect(screen.getByRole('button', { name: 'straw' }).getAttribute('aria-pressed')).toBe('true');
  await press(hand, 'dark blue');
  expect(seen.colour).toBe('straw');
  await hand.type(screen.getByLabelText('Colour in words'), ', greenish');
  expect(seen.colour).toBe('straw, greenish');
});

test('pings are counted where something crazes, and nowhere else', async () => {
  const hand = person();
  show(<Fields />);
  expect(screen.queryByRole('button', { name: 'Listen for a minute' })).toBeNull();
  await press(hand, 'Crazing');
  expect(screen.getByRole('button', { name: 'Listen for a minute' })).toBeTruthy();
});

test('a number takes a surface, a letter a fault, and ? shows which', async () => {
  const hand = person();
  show(<Fields />);
  await hand.keyboard('3');
  expect(seen.surface).toBe('matt');
  await hand.keyboard('3');
  expect(seen.surface).toBeNull();
  expect(document.querySelector('kbd')).toBeNull();
  await hand.keyboard('?');
  expect(document.querySelectorAll('kbd').length).toBeGreaterThan(20);
});

test('what a refire is for is asked with its verdict, and taken back with it', async () => {
  const hand = person();
  show(<Fields />);
  await press(hand, 'refire');
  await hand.type(screen.getByLabelText('Why again'), 'pits');
  expect(seen.refire?.why).toBe('pits');
  await press(hand, 'keep');
  expect(seen.refire).toBeNull();
  expect(screen.getByText(/only a laboratory leach test clears a glaze/)).toBeTruthy();
});

test('words for measured colours come first, are said to be measured, and are written by a touch', async () => {
  const hand = person();
  let written: string | null = null;
  show(
    <SeenFields
      seen={NOTHING_SEEN}
      onChange={({ colour }) => (written = colour)}
      stacked={false}
      whole
      units={SI}
      cautions={[]}
      words={['rust', 'teal']}
      measured={['teal', 'dark brown']}
    />,
  );
  const chips = within(screen.getByRole('group', { name: 'Usual colour words' }));
  expect(chips.getAllByRole('button').map(({ textContent }) => textContent)).toEqual([
    'teal (measured)',
    'dark brown (measured)',
    'rust',
  ]);
  await hand.click(chips.getByRole('button', { name: 'dark brown (measured)' }));
  expect(written).toBe('dark brown');
});
