import { reachedWords } from './words';

const firing = (
  reachedOrdinal: number | null,
  reachedBound: 'exact' | 'at least' | 'less than' | null,
  targetCone: string | null = '6',
) => ({ reachedOrdinal, reachedBound, targetCone });

test('what was reached is said as cones, never as a decimal', () => {
  expect(reachedWords(firing(6.3, 'exact'))).toBe('cone 6 down, 7 bent 30 %');
  expect(reachedWords(firing(5.5, 'exact'))).toBe('cone 5½');
  expect(reachedWords(firing(6, 'exact'))).toBe('cone 6');
  expect(reachedWords(firing(7, 'at least'))).toBe('at least cone 7');
  expect(reachedWords(firing(5, 'less than'))).toBe('less than cone 6');
  expect(reachedWords(firing(null, null))).toBe('cone unknown, 6 intended');
  expect(reachedWords(firing(null, null, null))).toBe('cone unknown');
});
