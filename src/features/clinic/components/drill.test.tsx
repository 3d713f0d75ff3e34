import { jest } from '@jest/globals';
import type { DrillQuestion } from '@/core/diagnosis';
import { person, press, router, screen, show } from '../../../../test-support/dom';

const kept = new Map<string, unknown>();
jest.unstable_mockModule('idb-keyval', () => ({
  get: (key: string) => Promise.resolve(kept.get(key)),
  set: (key: string, value: unknown) => Promise.resolve(kept.set(key, value)),
}));
const { Drill } = await import('./Drill');

const question = (id: string, name: string): DrillQuestion => ({
  kind: 'what',
  sha: id.padEnd(64, '0'),
  code: 'PXTHW',
  asked: 'What is this?',
  choices: [
    { id, name },
    { id: 'running', name: 'Running' },
  ],
  right: [id],
  reason: `${name}: so it looks.`,
});
const TWO = [question('pit', 'Pits'), question('crazing', 'Crazing')];

test('a touch names it, the reason follows, the score stays on this device', async () => {
  const hand = person();
  show(<Drill questions={TWO} inClass={false} />);
  await press(hand, 'Pits');
  expect(screen.getByRole('status').textContent).toMatch(/^Yes\. Pits: so it looks\./);
  await press(hand, 'Next');
  await press(hand, 'Running');
  expect(screen.getByRole('status').textContent).toMatch(/^No\. Crazing: so it looks\./);
  await press(hand, 'Next');
  expect(screen.getByText('1 of 2 pictures named rightly')).toBeTruthy();
  expect(kept.get('jiten-drill-p1')).toEqual({ pit: [1, 1], crazing: [0, 1] });
  await press(hand, 'Ten others');
  expect(router.refresh).toHaveBeenCalled();
});

test('what was named wrongly twice is worth another look', async () => {
  const hand = person();
  kept.set('jiten-drill-p1', { crazing: [0, 1] });
  show(<Drill questions={[TWO[1]!]} inClass={false} />);
  await screen.findByText('1 of 1');
  await press(hand, 'Running');
  await press(hand, 'Next');
  expect(screen.getByText('Worth another look:')).toBeTruthy();
  expect(screen.getByText(/a net of fine cracks/)).toBeTruthy();
});

test('with a class hands are counted, nothing is said before it is asked for, and nothing is kept', async () => {
  const hand = person();
  kept.clear();
  show(<Drill questions={TWO} inClass />);
  await press(hand, /^Pits/);
  await press(hand, /^Pits/);
  await press(hand, /^Running/);
  expect(screen.getByLabelText('hands for Pits').textContent).toBe('2');
  expect(screen.queryByRole('status')).toBeNull();
  await press(hand, 'Show what it is');
  expect(screen.getByRole('status').textContent).toMatch(/^Pits: so it looks\./);
  expect(screen.getByLabelText('hands for Running').textContent).toBe('1');
  expect(kept.size).toBe(0);
});
