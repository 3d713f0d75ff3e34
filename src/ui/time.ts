import dayjs from 'dayjs';
import timezone from 'dayjs/plugin/timezone';
import utc from 'dayjs/plugin/utc';

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

/** Today in the studio, YYYY-MM-DD. */
export const today = (timeZone: string, now = new Date()): string =>
  dayjs(now).tz(timeZone).format('YYYY-MM-DD');
