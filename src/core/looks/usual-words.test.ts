import { lookWords, NOTHING, usualWords } from './index';
import { SI } from '../units';

test('words are counted apart, the commonest first, one that stands once is nobody’s habit', () => {
  const texts = [
    { text: 'dark blue, straw', n: 3 },
    { text: 'Straw; grey', n: 2 },
    { text: 'straw, straw', n: 1 },
    { text: 'celadon', n: 1 },
    { text: 'a very long description of a colour', n: 9 },
    { text: ' , ', n: 4 },
  ];
  expect(usualWords(texts, 8)).toEqual(['straw', 'dark blue', 'grey']);
  expect(usualWords(texts, 1)).toEqual(['straw']);
  expect(usualWords([], 8)).toEqual([]);
});

test('words of one count stand in a fixed order', () => {
  expect(usualWords([{ text: 'b, a, c', n: 2 }], 8)).toEqual(['a', 'b', 'c']);
});

test('what pings says so', () => {
  expect(lookWords({ ...NOTHING, surface: 'gloss', pings: 1 }, SI)).toBe('gloss, 1 ping a minute');
  expect(lookWords({ ...NOTHING, pings: 12 }, SI)).toBe('12 pings a minute');
  expect(lookWords({ ...NOTHING, pings: null, surface: 'matt' }, SI)).toBe('matt');
});
