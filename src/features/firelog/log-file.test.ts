import { guessColumns, readLog } from './log-file';

const lit = new Date('2026-03-05T08:00:00Z');
const rows = (text: string): string[][] => text.split('\n').map((line) => line.split(';'));

test('a log with dates, a set point and a measured column is understood', () => {
  const table = rows(
    'Date;Setpoint;PV °C\n2026-03-05 08:00:00;20;19.5\n2026-03-05 08:01:00;22;20.1\n2026-03-05 08:02:00;24;21',
  );
  const columns = guessColumns(table);
  expect(columns).toEqual({ time: 0, temperature: 2, unit: 'C', clock: 'date' });
  const { readings, wrong } = readLog(table, columns, lit);
  expect(readings.map(([, c]) => c)).toEqual([19.5, 20.1, 21]);
  expect(readings[1]![0] - readings[0]![0]).toBe(60_000);
  expect(wrong).toEqual([]);
});

test('minutes since lit, in °F, with decimal commas', () => {
  const table = rows('minutes;temp F\n0;68\n10;212\n20;1832,0');
  const columns = guessColumns(table);
  expect(columns).toMatchObject({ time: 0, temperature: 1, unit: 'F', clock: 'minutes' });
  const { readings } = readLog(table, columns, lit);
  expect(readings).toEqual([
    [lit.getTime(), 20],
    [lit.getTime() + 600_000, 100],
    [lit.getTime() + 1_200_000, 1000],
  ]);
});

test('°F that nobody named is told by what no kiln reaches in °C', () => {
  expect(guessColumns(rows('t;x\n0;70\n1;2200\n2;2230'))).toMatchObject({ unit: 'F' });
});

test('h:mm past a day, and seconds', () => {
  const table = rows('elapsed;deg\n0:00;20\n25:30;600');
  const columns = guessColumns(table);
  expect(columns.clock).toBe('h:mm');
  expect(readLog(table, columns, lit).readings[1]![0] - lit.getTime()).toBe(25.5 * 3_600_000);
  const seconds = guessColumns(rows('sec;deg\n0;20\n90;21'));
  expect(seconds.clock).toBe('seconds');
});

test('a silent thermocouple is a reading of nothing; nonsense is told by its row', () => {
  const table = rows('minutes;temp\n0;20\n1;NaN\n2;\n3;about 600\nsoon;30\n;');
  const { readings, wrong } = readLog(table, guessColumns(table), lit);
  expect(readings.map(([, c]) => c)).toEqual([20, null, null]);
  expect(wrong.map(({ row }) => row)).toEqual([5, 6]);
});
