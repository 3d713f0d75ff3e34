/**
 * Where a program stands, for each way in which a controller's clock may go on, followed minute by minute.
 */
import { ProgramClock, WAYS, type Waiting } from './clocks';
import type { Segment } from '../heatwork';

const START = { t: 0, c: 20 };
/** Up to 220, half an hour there, as fast as it falls to 100, up again, ten minutes. */
const DROPS: Segment[] = [
  { rate: 120, target: 220, holdMinutes: 30 },
  { rate: null, target: 100, holdMinutes: 0 },
  { rate: 60, target: 160, holdMinutes: 10 },
];
/** Up to 220, half an hour there, led down to 160, twenty minutes. */
const LED: Segment[] = [
  { rate: 120, target: 220, holdMinutes: 30 },
  { rate: 60, target: 160, holdMinutes: 20 },
];

/**
 * Each new mode with the minute at which it began and what is asked for then; a kiln so far behind what is
 * asked.
 */
function modes(segments: Segment[], way: Waiting, lag: number | ((minute: number) => number)): string[] {
  const clock = new ProgramClock(segments, way, START);
  const found: string[] = [];
  let [before, last]: [typeof START, string] = [START, ''];
  for (let minute = 1; minute <= 260; minute++) {
    const c = typeof lag === 'number' ? Math.max(20, clock.setpoint - lag) : lag(minute);
    clock.follow(before, { t: minute * 60, c });
    before = { t: minute * 60, c };
    if (clock.mode !== last)
      found.push(`${clock.mode} ${minute}: ${clock.setpoint.toFixed(0)}, ${clock.rate()}/h`);
    last = clock.mode;
  }
  return found;
}

const rises = 'rises 1: 22, 120/h';
const holds = 'holds 100: 220, 0/h';
const free = 'free 130: 220, -1000/h';
const ledDown = ['falls 130: 220, -60/h', 'holds 190: 160, 0/h', 'ended 210: 160, 0/h'];
const names = WAYS.map((way, i) => [`${way.kind} (${i})`, way] as const);

test.each(names)('a kiln that keeps up goes through it alike: %s', (_, way) => {
  expect(modes(LED, way, 0)).toEqual([rises, holds, ...ledDown]);
  // A clock that runs begins the next minute; one that waits sees first that the kiln is down.
  const on = way.kind === 'runs' ? 131 : 132;
  expect(modes(DROPS, way, 0)).toEqual([
    rises,
    holds,
    free,
    `rises ${on}: 100, 60/h`,
    `holds ${on + 60}: 160, 0/h`,
    `ended ${on + 70}: 160, 0/h`,
  ]);
});

test.each(names)('one that is 3 behind arrives only where that counts as near: %s', (_, way) => {
  const near = way.kind === 'runs' || way.near > 3;
  expect(modes(DROPS, way, 3).slice(0, 3)).toEqual(near ? [rises, holds, free] : [rises, holds]);
  expect(modes(DROPS, way, 3)).toHaveLength(near ? 6 : 2);
});

test.each(names)('one that is 12 behind, and one that is 40: %s', (_, way) => {
  const stands = (lag: number): boolean => way.kind === 'waits' && way.band < lag;
  for (const lag of [12, 40]) {
    const expected =
      way.kind === 'runs' ? [rises, holds, ...ledDown] : stands(lag) ? [rises] : [rises, holds];
    expect(modes(LED, way, lag)).toEqual(expected);
  }
});

test('a clock that waits stands as soon as the kiln is further behind than its band, and goes on with it', () => {
  const clock = new ProgramClock(LED, { kind: 'waits', band: 10, near: 6 }, START);
  let before = START;
  for (let minute = 1; minute <= 60; minute++) {
    const now = { t: minute * 60, c: 20 };
    clock.follow(before, now);
    before = now;
  }
  expect(clock.setpoint).toBe(32);
  clock.follow(before, { t: 3660, c: 24 });
  expect(clock.setpoint).toBe(34);
});

test('down as fast as it falls: a clock that waits goes on when the kiln is there', () => {
  const falls = (minute: number): number =>
    minute <= 130 ? Math.min(220, 20 + 2 * minute) : Math.max(20, 220 - (minute - 130) * 1.5);
  expect(modes(DROPS, { kind: 'waits', band: 4, near: 1.5 }, falls).slice(3)).toEqual([
    'holds 209: 100, 0/h',
    'rises 210: 100, 60/h',
  ]);
  expect(modes(DROPS, { kind: 'runs' }, falls)[3]).toBe('rises 131: 100, 60/h');
});

/** Minutes, °C, °C an hour just before, and minutes since the last: what is held for and against the way. */
function judged(points: readonly (readonly [number, number, number | null, number])[]): string[] {
  const clock = new ProgramClock(LED, { kind: 'runs' }, START);
  let before = START;
  return points.map(([minute, c, rate, minutes]) => {
    const now = { t: minute * 60, c };
    clock.follow(before, now);
    clock.judge(now, rate, minutes * 60);
    before = now;
    const lets = (hourly: number, by: boolean): string =>
      clock.letsFall(hourly, now.t - 900, by) ? 'yes' : 'no';
    return `${minute} ${clock.mode}: against ${clock.against}, followed ${clock.followed}, lost ${clock.lost}${clock.refuted ? ', refuted' : ''}; may fall ${lets(-60, false)}, by hand ${lets(-100, true)}`;
  });
}

test('a kiln that follows speaks for it; one that climbs on after the end, against', () => {
  expect(
    judged([
      [50, 120, 120, 50],
      [100, 220, 120, 50],
      [110, 220, 0, 10],
      [120, 221, 0, 10],
      [128, 220, 0, 8],
      [135, 215, -60, 5],
      [150, 200, -60, 15],
      [170, 180, -60, 20],
      [190, 160, -60, 20],
      [205, 160, 0, 15],
      [225, 160, 0, 20],
      [240, 150, -30, 15],
      [260, 165, 30, 20],
    ]),
  ).toEqual([
    '50 rises: against 0, followed 3000, lost 0; may fall no, by hand no',
    '100 holds: against 0, followed 3000, lost 0; may fall no, by hand no',
    '110 holds: against 0, followed 3600, lost 0; may fall no, by hand no',
    // Read by hand its end may lie between two readings.
    '120 holds: against 0, followed 4200, lost 0; may fall no, by hand yes',
    '128 holds: against 0, followed 4680, lost 0; may fall yes, by hand yes',
    '135 falls: against 0, followed 300, lost 0; may fall yes, by hand yes',
    '150 falls: against 0, followed 1200, lost 0; may fall yes, by hand yes',
    '170 falls: against 0, followed 2400, lost 0; may fall yes, by hand yes',
    '190 holds: against 0, followed 1200, lost 0; may fall no, by hand no',
    '205 holds: against 0, followed 2100, lost 0; may fall no, by hand yes',
    // Most of what lies between these two was before the end, and says nothing of it.
    '225 ended: against 0, followed 0, lost 1200; may fall yes, by hand yes',
    '240 ended: against 0, followed 0, lost 2100; may fall yes, by hand yes',
    '260 ended: against 1200, followed 0, lost 3300, refuted; may fall yes, by hand yes',
  ]);
});

test('hotter than is asked for speaks against it, and so does cooling while heat is wanted', () => {
  expect(
    judged([
      [50, 133, 120, 10],
      [60, 160, 120, 11],
      [70, 150, 0, 5],
      [110, 200, -30, 10],
    ]),
  ).toEqual([
    '50 rises: against 600, followed 0, lost 600, refuted; may fall no, by hand no',
    '60 rises: against 1200, followed 0, lost 1260, refuted; may fall no, by hand no',
    '70 rises: against 900, followed 0, lost 1560, refuted; may fall no, by hand no',
    '110 holds: against 1200, followed 0, lost 2160, refuted; may fall no, by hand no',
  ]);
  // Just as hot as may be, and just so near as counts.
  expect(judged([[50, 132, 120, 10]])[0]).toMatch(/^50 rises: against 0, followed 0/);
  expect(judged([[50, 126, 120, 10]])[0]).toMatch(/followed 600, lost 0/);
  expect(judged([[50, 114, 120, 10]])[0]).toMatch(/followed 600, lost 0/);
  expect(judged([[50, 113, 120, 10]])[0]).toMatch(/followed 0, lost 600/);
});
