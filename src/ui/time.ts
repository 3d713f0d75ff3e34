import dayjs from 'dayjs';
import timezone from 'dayjs/plugin/timezone.js';
import utc from 'dayjs/plugin/utc.js';

dayjs.extend(utc);
dayjs.extend(timezone);

/** A day as the studio's wall calendar has it: "5 Mar 2026". */
export const day = (at: Date | string, timeZone: string): string =>
  dayjs(at).tz(timeZone).format('D MMM YYYY');

/** A moment: "5 Mar, 14:30". */
export const moment = (at: Date | string, timeZone: string): string =>
  dayjs(at).tz(timeZone).format('D MMM, HH:mm');

/** A date without a time, as kept: "2026-03-05" → "5 Mar 2026". */
export const calendarDay = (date: string | null): string =>
  date === null ? 'no date' : dayjs(date).format('D MMM YYYY');

/**
 * The moments a wall clock can mean, in ms: none for an hour that summer time leaves out, two for one
 * that it repeats. `local` is "2026-10-25T01:30".
 */
export function momentsAt(local: string, timeZone: string): number[] {
  const one = dayjs.tz(local, timeZone);
  if (!one.isValid()) return [];
  return [-60, 0, 60]
    .map((minutes) => one.add(minutes, 'minute'))
    .filter((at) => at.tz(timeZone).format('YYYY-MM-DDTHH:mm') === local.slice(0, 16))
    .map((at) => at.valueOf());
}

/** Now on the studio's clock, as a datetime field holds it. */
export const localNow = (timeZone: string, now = new Date()): string =>
  dayjs(now).tz(timeZone).format('YYYY-MM-DDTHH:mm');

/** Today in the studio, YYYY-MM-DD. */
export const today = (timeZone: string, now = new Date()): string =>
  dayjs(now).tz(timeZone).format('YYYY-MM-DD');
