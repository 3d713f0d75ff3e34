/** A controller's log as a file: which columns are the time and the temperature, and what they come to. */
import { fahrenheitToCelsius, parseNumber } from '@/core/units';

export type LogColumns = {
  time: number;
  temperature: number;
  unit: 'C' | 'F';
  /** What the time column holds. */
  clock: 'date' | 'minutes' | 'seconds' | 'hours' | 'h:mm';
};

const looksLikeDate = (text: string): boolean =>
  /^\d{4}-\d{2}-\d{2}[ T]\d{1,2}:\d{2}/.test(text) && !Number.isNaN(Date.parse(text.replace(' ', 'T')));
const clockTime = (text: string): number | null => {
  const match = /^(\d{1,3}):(\d{2})(?::(\d{2}))?$/.exec(text.trim());
  return match ? Number(match[1]) * 3600 + Number(match[2]) * 60 + Number(match[3] ?? 0) : null;
};
const number = (text: string): number | null => {
  const read = parseNumber(text);
  return read.ok ? read.value : null;
};

/** A first guess at the columns from the head row and the rows themselves. */
export function guessColumns(rows: readonly (readonly string[])[]): LogColumns {
  const head = (rows[0] ?? []).map((text) => text.toLowerCase());
  const body = rows.slice(1, 40);
  const share = (column: number, test: (text: string) => boolean): number =>
    body.filter((row) => test(row[column] ?? '')).length / Math.max(1, body.length);
  const columns = head.map((_, i) => i);
  const dated = columns.find((i) => share(i, looksLikeDate) > 0.8);
  const clocked = columns.find((i) => share(i, (text) => clockTime(text) !== null) > 0.8);
  const named = columns.find((i) => /time|min|sec|hour|zeit|elapsed/.test(head[i]!));
  const time = dated ?? clocked ?? named ?? 0;
  const temperature =
    columns.find(
      (i) =>
        i !== time &&
        /temp|°|deg|pv|actual|celsius|fahrenheit/.test(head[i]!) &&
        !/set|sp\b|target/.test(head[i]!),
    ) ??
    columns.find((i) => i !== time && share(i, (text) => number(text) !== null) > 0.8) ??
    (time === 0 ? 1 : 0);
  const hottest = Math.max(...body.map((row) => number(row[temperature] ?? '') ?? 0), 0);
  return {
    time,
    temperature,
    unit: /°?f\b|fahrenheit/.test(head[temperature] ?? '') || hottest > 1450 ? 'F' : 'C',
    clock:
      dated !== undefined
        ? 'date'
        : clocked !== undefined
          ? 'h:mm'
          : /sec|\bs\b/.test(head[time] ?? '')
            ? 'seconds'
            : /hour|\bh\b/.test(head[time] ?? '')
              ? 'hours'
              : 'minutes',
  };
}

export type ReadLog = {
  readings: [number, number | null][];
  /** Rows that could not be read: their number and text. */
  wrong: { row: number; text: string }[];
};

const SECONDS = { minutes: 60, seconds: 1, hours: 3600 } as const;

/** Turns rows into readings: milliseconds since 1970 and °C. Times without a date count from `startedAt`. */
export function readLog(rows: readonly (readonly string[])[], columns: LogColumns, startedAt: Date): ReadLog {
  const read: ReadLog = { readings: [], wrong: [] };
  rows.slice(1).forEach((row, i) => {
    const [time, temperature] = [row[columns.time] ?? '', row[columns.temperature] ?? ''];
    if (time.trim() === '' && temperature.trim() === '') return;
    let at: number | null = null;
    if (columns.clock === 'date') at = looksLikeDate(time) ? Date.parse(time.replace(' ', 'T')) : null;
    else if (columns.clock === 'h:mm') {
      const seconds = clockTime(time);
      at = seconds === null ? null : startedAt.getTime() + seconds * 1000;
    } else {
      const value = number(time);
      at = value === null ? null : startedAt.getTime() + value * SECONDS[columns.clock] * 1000;
    }
    const value = number(temperature);
    // A thermocouple that said nothing is a reading of nothing, not a row that cannot be read.
    const broken = /^(nan|err|open|fault|-+)?$/i.test(temperature.trim());
    if (at === null || Number.isNaN(at) || (value === null && !broken)) {
      read.wrong.push({ row: i + 2, text: row.join(', ').slice(0, 80) });
      return;
    }
    const celsius = value === null ? null : columns.unit === 'F' ? fahrenheitToCelsius(value) : value;
    read.readings.push([Math.round(at), celsius === null ? null : Math.round(celsius * 10) / 10]);
  });
  return read;
}
