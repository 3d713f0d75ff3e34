import { bandWords, coneOf, coneWords, intendedOf, type ConeRecord } from './index';

const record = (rest: Partial<ConeRecord>): ConeRecord => ({
  reachedOrdinal: null,
  reachedBound: null,
  byLog: null,
  targetCone: '6',
  ...rest,
});
const log = (ordinal: number, half: number) => ({
  ordinal,
  low: ordinal - half,
  high: ordinal + half,
});
/** Cone 6 is the sixth above cone 1, which stands at ordinal 1 on this line. */
const SIX = 6;

test.each([
  ['cones that came down', { reachedOrdinal: SIX, reachedBound: 'exact' }, 'read', '6', 'cone 6'],
  [
    'a guide that stood',
    { reachedOrdinal: 5, reachedBound: 'less than' },
    'intended',
    '?6',
    'cone unknown, 6 intended',
  ],
  ['nothing read', {}, 'intended', '?6', 'cone unknown, 6 intended'],
  ['nothing read nor intended', { targetCone: null }, 'unknown', 'unknown', 'cone unknown'],
  ['a log of a kiln that is known', { byLog: log(SIX, 0.7) }, 'by log', '6', 'about cone 6, by its log'],
  [
    'a log of a kiln that is hardly known',
    { byLog: log(SIX, 0.85) },
    'intended',
    '?6',
    'cone unknown, 6 intended',
  ],
  [
    'a log that says another cone than was intended',
    { byLog: log(5, 0.3) },
    'by log',
    '5',
    'about cone 5, by its log',
  ],
  [
    'cones outrank the log',
    { reachedOrdinal: SIX, reachedBound: 'at least', byLog: log(4, 0.1) },
    'read',
    '6',
    'cone 6',
  ],
  [
    'the log where a guide stood',
    { reachedOrdinal: 5, reachedBound: 'less than', byLog: log(4.9, 0.3) },
    'by log',
    '5',
    'about cone 5, by its log',
  ],
  [
    'a half cone that was hit',
    { reachedOrdinal: 5.6, reachedBound: 'exact', targetCone: '5.5' },
    'read',
    '5.5',
    'cone 5½',
  ],
  [
    'a half cone that was missed',
    { reachedOrdinal: 6.1, reachedBound: 'exact', targetCone: '5.5' },
    'read',
    '6',
    'cone 6',
  ],
] as [string, Partial<ConeRecord>, string, string, string][])('%s', (_, rest, known, band, words) => {
  const found = coneOf(record(rest));
  expect(found).toEqual({ known, band });
  expect(coneWords(found)).toBe(words);
});

test('a heading says what it was intended for, and only such a heading does', () => {
  expect(intendedOf('?06')).toBe('06');
  expect(intendedOf('6')).toBeNull();
  expect(intendedOf('?x')).toBeNull();
  expect(bandWords('?06')).toBe('cone unknown, 06 intended');
  expect(bandWords('?x')).toBe('cone unknown');
});
