import { clockAhead, noteClock, studioNow } from './clock';

const date = (ms: number): string => new Date(ms).toUTCString();
const SERVER = Date.UTC(2026, 5, 1, 12, 0, 0);

test('a clock a day ahead is known to be so, to within the second that a server says', () => {
  noteClock(date(SERVER), SERVER + 86_400_000, SERVER + 86_400_200);
  expect(Math.abs(clockAhead()! - 86_400_000)).toBeLessThan(1000);
  expect(Math.abs(studioNow() - (Date.now() - 86_400_000))).toBeLessThan(1000);
});

test('a difference within what was measured is none; an answer without a date says nothing', () => {
  noteClock(date(SERVER), SERVER - 300, SERVER + 1200);
  expect(clockAhead()).toBe(0);
  noteClock(null, 0, 0);
  noteClock('no date', 0, 0);
  expect(clockAhead()).toBe(0);
  expect(Math.abs(studioNow() - Date.now())).toBeLessThan(50);
});
