import { comparedWords, mindsWords, sensitivities, shareWords, type Seen } from './sensitive';
import type { Lab } from '../colour';
import type { Share } from '../statistics';

let state = 3;
const uniform = (): number => ((state = (Math.imul(state, 1664525) + 1013904223) >>> 0) + 0.5) / 2 ** 32;
const noise = (): number => uniform() + uniform() + uniform() - 1.5;

const BODIES = ['Saltbox', 'Peat', 'Drift'];
const DIPS = ['dip×1', 'dip×2', 'dip×3'];

/** Ten firings: thickness moves the colour by 8 a dip, the body by nothing, the firing by a little. */
const studio = (): Seen[] =>
  Array.from({ length: 10 }, (_, f) => {
    const shift = noise();
    return BODIES.flatMap((body) =>
      DIPS.map((thickness, d): Seen => ({
        firingId: `f${f}`,
        lab: [40 + 8 * d + shift + noise(), noise(), 5 + noise()] as Lab,
        surface: d === 2 ? 'gloss' : 'satin',
        movementMm: null,
        levels: { body, thickness, cone: ['5', '6', '7'][f % 3]!, firing: `f${f}` },
      })),
    );
  }).flat();

test('what was made to matter is found to, what was not is not, and it is said so', () => {
  const list = sensitivities(studio());
  const of = (factor: string) => list.find((one) => one.factor === factor)!;
  expect(of('thickness').colour!.share).toBeGreaterThan(0.8);
  expect(mindsWords(of('thickness').colour!)).toBe('minds most of all');
  expect(of('body').colour!.share).toBeLessThan(0.1);
  expect(mindsWords(of('body').colour!)).toBe('hardly minds');
  expect(of('thickness').surface!.share).toBeGreaterThan(0.5);
  // Nobody said how far it ran, and where it stood is not known.
  expect(of('body').movement).toBeNull();
  expect(list.map(({ factor }) => factor)).toEqual(['body', 'thickness', 'cone', 'firing']);
  expect(comparedWords(list, 'movement')).toBeNull();
});

test('a few firings say nothing at all', () => {
  expect(sensitivities(studio().filter(({ firingId }) => ['f1', 'f2', 'f3'].includes(firingId)))).toEqual([]);
  expect(sensitivities([])).toEqual([]);
});

const share = (value: number, low: number, high: number, apart = 1): Share => ({
  share: value,
  interval: { low, high },
  levels: 3,
  units: 9,
  apart,
});
test.each([
  [share(0.02, 0, 0.1), 'hardly minds'],
  [share(0.8, 0.6, 0.9), 'minds most of all'],
  [share(0.4, 0.2, 0.6), 'minds'],
  [share(0.1, 0, 0.5), 'seems to mind little'],
  [share(0.5, 0, 0.9), 'seems to mind'],
])('%j is said as: %s', (of, words) => {
  expect(mindsWords(of)).toBe(words);
});

test('shares with their interval, and the strongest beside the next', () => {
  expect(shareWords('colour', share(0.044, 0, 0.123))).toBe('colour 4 % (0 to 13)');
  // Nothing is surely nothing.
  expect(shareWords('colour', share(0, 0, 0))).toBe('colour 0 % (0 to 1)');
  expect(shareWords('colour', share(1, 0.996, 1))).toBe('colour 100 % (99 to 100)');
  const row = (factor: string, colour: Share | null) => ({
    factor,
    asks: '',
    colour,
    surface: null,
    movement: null,
  });
  const told = (a: Share, b: Share | null) =>
    comparedWords([row('body', b), row('thickness', a), row('firing', share(1, 1, 1, 99))], 'colour');
  expect(told(share(0.7, 0.5, 0.8, 8), share(0.1, 0, 0.2, 4))).toBe(
    'In colour two levels of thickness lie twice as far apart as two of body.',
  );
  expect(told(share(0.7, 0.5, 0.8, 6.3), share(0.1, 0, 0.2, 4))).toMatch(/one and a half times/);
  expect(told(share(0.7, 0.5, 0.8, 5), share(0.1, 0, 0.2, 4))).toBeNull();
  expect(told(share(0.7, 0, 0.8, 8), share(0.1, 0, 0.2, 4))).toBeNull();
  expect(told(share(0.7, 0.5, 0.8, 8), null)).toBeNull();
});
