/** Which nights are kept, against a plain simulation; the counts are common practice, no source. */
import dayjs from 'dayjs';
import isoWeek from 'dayjs/plugin/isoWeek.js';
import { isDue, KEPT, lastNight, toForget } from './nights';

dayjs.extend(isoWeek);

const night = (made: Date, kind: 'night' | 'asked' = 'night') => ({
  name: made.toISOString(),
  kind,
  made,
});

test.each([
  ['2026-03-05T12:00:00', '2026-03-05T03:00:00', false],
  ['2026-03-05T12:00:00', '2026-03-05T02:59:00', true],
  // Before three it is still last night's turn.
  ['2026-03-05T02:00:00', '2026-03-04T03:10:00', false],
  ['2026-03-05T02:00:00', '2026-03-03T23:00:00', true],
  // A week that was slept through is made up once.
  ['2026-03-12T08:00:00', '2026-03-05T03:00:00', true],
])('at %s, the last being of %s: due %s', (now, last, due) => {
  expect(isDue(new Date(now), new Date(last))).toBe(due);
});

test('without any a backup is due at once; the night begins at three', () => {
  expect(isDue(new Date('2026-03-05T12:00:00'), null)).toBe(true);
  expect(lastNight(new Date('2026-03-05T02:00:00'))).toEqual(new Date('2026-03-04T03:00:00'));
  expect(lastNight(new Date('2026-03-05T03:00:00'))).toEqual(new Date('2026-03-05T03:00:00'));
});

test('night after night for two years: 7 days, 4 weeks and 12 months are there, and little else', () => {
  let kept: ReturnType<typeof night>[] = [];
  for (let day = 0; day < 800; day++) {
    const now = dayjs('2024-01-01T03:05:00').add(day, 'day');
    kept.push(night(now.toDate()));
    const gone = new Set(toForget(kept));
    kept = kept.filter(({ name }) => !gone.has(name));
    if (day < 400 || day % 5 !== 0) continue;
    const days = new Set(kept.map(({ made }) => dayjs(made).format('YYYY-MM-DD')));
    for (let back = 0; back < KEPT.days; back++)
      expect(days.has(now.subtract(back, 'day').format('YYYY-MM-DD'))).toBe(true);
    for (let back = 0; back < KEPT.weeks; back++)
      expect(kept.some(({ made }) => dayjs(made).isSame(now.subtract(back, 'week'), 'isoWeek'))).toBe(true);
    for (let back = 0; back < KEPT.months; back++)
      expect(kept.some(({ made }) => dayjs(made).isSame(now.subtract(back, 'month'), 'month'))).toBe(true);
    expect(kept.length).toBeLessThanOrEqual(KEPT.days + KEPT.weeks + KEPT.months);
  }
});

test('nights that were missed do not shorten what is kept; what was asked for is not counted among them', () => {
  const rare = Array.from({ length: 20 }, (_, i) =>
    night(
      dayjs('2026-06-01T03:00:00')
        .subtract(i * 3, 'day')
        .toDate(),
    ),
  );
  const gone = new Set(toForget(rare));
  // The seven newest are of seven days, though they reach back over three weeks.
  expect(rare.slice(0, 7).some(({ name }) => gone.has(name))).toBe(false);
  const asked = Array.from({ length: 12 }, (_, i) => night(new Date(Date.UTC(2026, 5, 1, i)), 'asked'));
  expect(toForget(asked)).toEqual([asked[1]!.name, asked[0]!.name]);
  expect(toForget([])).toEqual([]);
});
