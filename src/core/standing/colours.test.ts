import { colourLikeness } from './colours';

/** What is looked for, and answers to it, the best first. */
test.each([
  ['dark blue', ['dark blue', 'navy', 'blue', 'pale blue']],
  ['blue', ['blue', 'turquoise']],
  ['blue', ['blue', 'dark blue', 'dark blue grey']],
  ['tenmoku', ['tenmoku', 'black', 'brown', 'amber']],
  ['white', ['White', 'bone', 'yellow white', 'pale grey']],
  ['red', ['straw, red', 'dark red', 'plum', 'green']],
])('%s is answered best by the first of %p', (asked, said) => {
  const likeness = said.map((words) => colourLikeness(words, asked));
  expect(likeness[0]).toBe(1);
  expect([...likeness].sort((a, b) => b - a)).toEqual(likeness);
  expect(new Set(likeness).size).toBe(said.length);
});

test('no colour in common, or none that is known, is no likeness; more than enough is never just that', () => {
  expect(colourLikeness('green', 'red')).toBe(0);
  expect(colourLikeness('nice', 'red')).toBe(0);
  expect(colourLikeness('', '')).toBe(1);
  expect(colourLikeness('nice', 'lovely')).toBe(0);
  expect(colourLikeness('navy', 'dark blue')).toBeCloseTo(0.95, 9);
  expect(colourLikeness('pale blue', 'dark blue')).toBeCloseTo(0.475, 9);
  expect(colourLikeness('blue', 'dark blue')).toBeCloseTo(0.7125, 9);
});
