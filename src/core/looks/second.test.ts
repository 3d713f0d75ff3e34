import { dayAfter, dueAfter, pingsWords, SPANS, spanWord } from './second';

test.each([
  ['2026-02-27', 2, '2026-03-01'],
  ['2028-02-28', 1, '2028-02-29'],
  ['2026-12-31', 1, '2027-01-01'],
  // Over a change of the clocks it is still a day.
  ['2026-03-28', 1, '2026-03-29'],
  ['2026-03-29', 1, '2026-03-30'],
  ['2026-03-01', -1, '2026-02-28'],
])('%s and %i days is %s', (day, days, after) => {
  expect(dayAfter(day, days)).toBe(after);
});

test('a look counts a quarter of the span early, and one of a week does not stand for a month', () => {
  expect(dueAfter('2026-05-01', 7)).toEqual({ dueOn: '2026-05-08', countsFrom: '2026-05-07' });
  expect(dueAfter('2026-05-01', 30)).toEqual({ dueOn: '2026-05-31', countsFrom: '2026-05-24' });
  expect(dueAfter('2026-05-01', 365).countsFrom).toBe('2027-01-30');
  for (const [i, { days }] of SPANS.entries())
    for (const later of SPANS.slice(i + 1))
      expect(dueAfter('2026-05-01', later.days).countsFrom > dueAfter('2026-05-01', days).dueOn).toBe(true);
});

test('spans and pings in words', () => {
  expect([spanWord(7), spanWord(365), spanWord(10)]).toEqual(['a week', 'a year', '10 days']);
  expect(pingsWords([12, 5, 3])).toBe('pinged 12 times a minute, now 3');
  expect(pingsWords([2, 2])).toBe('pings 2 times a minute still');
  expect([pingsWords([]), pingsWords([4])]).toEqual(['', '']);
});
