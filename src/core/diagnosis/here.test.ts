/** What a studio has found itself moves what is said, by as much as its cases are worth. */
import { causeOf, confirmedOf, confirmedWords, diagnose, hereOf, type Confirmed } from '.';

const pits = (turnedOut: readonly string[]): Confirmed => ({ complaints: ['pit'], turnedOut });
const chance = (
  confirmed: readonly Confirmed[],
  id: string,
  said: Parameters<typeof hereOf>[1] = [],
): number =>
  diagnose({ findings: [{ sign: 'pit' }], facts: {} }, hereOf(confirmed, said)).causes.find(
    (one) => one.id === id,
  )!.probability;

test('five of seven confirmed: thirty in a hundred becomes forty, and the rest follows', () => {
  const confirmed = [...Array.from({ length: 5 }, () => pits(['thick'])), pits(['body-gas']), pits([])];
  expect(confirmedOf(confirmed, 'pit', 'thick')).toEqual({ of: 7, with: 5 });
  // (20 × 30 + 100 × 5) / 27, by hand.
  const here = hereOf(confirmed, []);
  expect(causeOf('thick')!.shares.pit).toBe(30);
  expect(here.thick!.shares!.pit).toBeCloseTo(1100 / 27, 9);
  expect(here['body-gas']!.shares!.pit).toBeCloseTo((20 * 25 + 100) / 27, 9);
  // What was never complained of here stays as the tables say.
  expect(here.thick!.shares!.crazing).toBe(25);
  expect(chance(confirmed, 'thick')).toBeGreaterThan(chance([], 'thick') * 1.15);
  expect(confirmedWords(confirmed, ['pit'], 'thick')).toBe(
    'It was this in 5 of 7 confirmed cases here; counted as if 20 had been known before.',
  );
  expect(confirmedWords([], ['pit'], 'thick')).toBeNull();
  expect(confirmedWords(confirmed, ['crazing'], 'thick')).toBeNull();
});

test('without cases of its own a studio has the tables', () => {
  expect(hereOf([], []).frozen).toEqual({ off: false, shares: causeOf('frozen')!.shares });
});

test('a cause is turned off, or commoner, or rarer, and never certain', () => {
  expect(chance([], 'thick')).toBeGreaterThan(0.15);
  const off = diagnose(
    { findings: [{ sign: 'pit' }], facts: {} },
    hereOf([], [{ cause: 'thick', off: true, factor: 1 }]),
  );
  expect(off.causes.some(({ id }) => id === 'thick')).toBe(false);
  const as = (factor: number): number => chance([], 'frozen', [{ cause: 'frozen', off: false, factor }]);
  expect(as(2)).toBeGreaterThan(as(1));
  expect(as(0.5)).toBeLessThan(as(1));
  const always = Array.from({ length: 500 }, () => pits(['grit']));
  expect(hereOf(always, []).grit!.shares!.pit).toBe(95);
  expect(chance(always, 'grit')).toBeLessThan(1);
});
