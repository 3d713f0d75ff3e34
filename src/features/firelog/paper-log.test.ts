import { paperLog, type Twice } from './paper-log';

const read = (text: string, startedAt: string, twice: Twice | null = null) =>
  paperLog(text, {
    unit: 'C',
    startedAt: new Date(startedAt),
    timeZone: 'Europe/London',
    twice,
  });
const times = ({ readings }: ReturnType<typeof paperLog>): string[] =>
  readings.map(([at]) => new Date(at).toISOString().slice(0, 16));

test('clock times go on past midnight; remarks become lines of the diary', () => {
  const log = read('20:00 20\n23:30 600 damper in\n01:00 820\n02:15 off', '2026-06-01T19:00:00Z');
  expect(times(log)).toEqual(['2026-06-01T19:00', '2026-06-01T22:30', '2026-06-02T00:00']);
  expect(log.remarks.map(({ kind, text }) => [kind, text])).toEqual([
    ['damper', 'damper in'],
    ['shut-off', 'off'],
  ]);
  expect(log).toMatchObject({ wrong: [], twice: 0 });
});

test('the hour that comes twice in October is asked about, and either answer is taken', () => {
  const night = '23:00 500\n01:30 900\n03:00 1100';
  const lit = '2026-10-24T22:00:00Z';
  expect(read(night, lit).twice).toBe(1);
  expect(times(read(night, lit, 'first'))[1]).toBe('2026-10-25T00:30');
  expect(times(read(night, lit, 'second'))[1]).toBe('2026-10-25T01:30');
  expect(read(night, lit, 'second').twice).toBe(0);
});

test('the hour that is left out in March is refused and named', () => {
  const log = read('23:00 500\n01:30 900\n02:10 950', '2026-03-28T22:45:00Z');
  expect(times(log)).toEqual(['2026-03-28T23:00', '2026-03-29T01:10']);
  expect(log.wrong).toEqual([{ line: 2, text: '01:30 900', why: 'is in the hour that the clocks left out' }]);
});

test('a time shortly before lighting is the same day', () => {
  expect(times(read('7:45 18\n8:15 40', '2026-06-01T07:00:00Z'))).toEqual([
    '2026-06-01T06:45',
    '2026-06-01T07:15',
  ]);
});
