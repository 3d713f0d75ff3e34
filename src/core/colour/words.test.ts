import { plainColours } from '../standing';
import { hexOf, labOfHex } from './spaces';
import { colourWord, colourWords, labWords } from './words';

// Names of CSS Color Module Level 4, § 6.1, that are also names in use for glazes.
test.each([
  ['#000000', 'black'],
  ['#ffffff', 'white'],
  ['#808080', 'grey'],
  ['#d3d3d3', 'pale grey'],
  ['#ff0000', 'red'],
  ['#800000', 'maroon'],
  ['#ffa500', 'orange|amber'],
  ['#ffff00', 'yellow'],
  ['#808000', 'olive'],
  ['#008000', 'green'],
  ['#006400', 'dark green'],
  ['#98fb98', 'green|pale green'],
  ['#008080', 'teal'],
  ['#40e0d0', 'turquoise'],
  ['#0000ff', 'blue'],
  ['#000080', 'navy|dark navy'],
  ['#add8e6', 'pale blue'],
  ['#800080', 'purple|dark purple'],
  ['#ffc0cb', 'pink'],
  ['#a0522d', 'brown'],
  ['#8b4513', 'brown'],
  ['#d2b48c', 'buff|brown'],
  ['#fffff0', 'white|cream|yellow white'],
  ['#4b0082', 'dark purple|purple|dark blue'],
])('%s is called %s', (hex, names) => {
  expect(names.split('|')).toContain(colourWord(labOfHex(hex)));
});

test('every word that can be proposed is one that words of people are compared with', () => {
  const seen = new Set<string>();
  for (let l = 4; l <= 98; l += 4)
    for (let a = -80; a <= 80; a += 8) for (let b = -80; b <= 80; b += 8) seen.add(colourWord([l, a, b]));
  expect(seen.size).toBeGreaterThan(30);
  for (const word of seen) expect([word, plainColours(word).length > 0]).toEqual([word, true]);
});

test('a second colour is named where it is plainly another and takes its part', () => {
  const part = (hex: string, share: number) => ({ lab: labOfHex(hex), share });
  expect(colourWords([part('#8b4513', 0.7), part('#0000ff', 0.3)])).toBe('brown, blue');
  expect(colourWords([part('#8b4513', 0.9), part('#0000ff', 0.1)])).toBe('brown');
  expect(colourWords([part('#8b4513', 0.6), part('#8d4715', 0.4)])).toBe('brown');
  expect(colourWords([])).toBe('');
});

test('in numbers a colour has a true minus, and no minus nought; a picker’s name leads there and back', () => {
  expect(labWords([30.4, -0.2, -19.6])).toBe('L* 30 a* 0 b* −20');
  for (const hex of ['#000000', '#ffffff', '#7a8f86', '#0000ff']) expect(hexOf(labOfHex(hex))).toBe(hex);
});
