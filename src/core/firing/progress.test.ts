import { NEXT_ACT, WAY, checkMove } from './progress';

test('a firing goes one step on freely, and back or over a step only with a reason', () => {
  for (const from of WAY) {
    for (const to of WAY) {
      const step = WAY.indexOf(to) - WAY.indexOf(from);
      expect(checkMove(from, to, '') === null).toBe(step === 1);
      expect(checkMove(from, to, 'the lid was opened by mistake') === null).toBe(step !== 0);
    }
  }
  expect(checkMove('cooling', 'firing', '  ')).toContain('Say why');
});

test('every status but the last has one next act, to the next status', () => {
  for (const [i, status] of WAY.entries()) expect(NEXT_ACT[status]?.to).toBe(WAY[i + 1]);
});
