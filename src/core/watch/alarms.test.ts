import { profileOf, type Segment } from '../heatwork';
import { alarmsOf, type UnderWatch } from './index';

const SEGMENTS: Segment[] = [{ rate: 120, target: 1220, holdMinutes: 10 }];
const steady = (rate: number, hours: number, from = 20, begins = 0) =>
  Array.from({ length: hours * 60 + 1 }, (_, i) => ({
    t: begins + i * 60,
    c: from + (rate * i) / 60,
  }));
const quiet: UnderWatch = {
  every: 60,
  segments: SEGMENTS,
  profile: profileOf(SEGMENTS),
  latestHours: null,
  cooling: false,
  top: 1222,
  electric: true,
  touched: [],
  doubted: 0,
};
const said = (log: readonly { t: number; c: number }[], options: Partial<UnderWatch> = {}) =>
  alarmsOf(log, log.at(-1)!.t, { ...quiet, ...options }).map(({ level, kind }) => `${level}: ${kind}`);

test('a firing that goes as planned is quiet', () => {
  expect(said(steady(120, 5))).toEqual([]);
});

test('a missed reading, and how long; read by hand once an hour, fifty minutes are nothing', () => {
  const log = steady(120, 5);
  expect(alarmsOf(log, 7 * 3600, quiet)).toEqual([
    { kind: 'missed', level: 'alarm', message: 'No reading for 2 hours.' },
  ]);
  expect(alarmsOf(log, 5 * 3600 + 3000, { ...quiet, every: 3600 })).toEqual([]);
});

test('a kiln that was weak from lighting is behind: a note, no alarm', () => {
  const weak = steady(85, 8);
  expect(said(weak)).toEqual(['note: behind']);
  expect(alarmsOf(weak, weak.at(-1)!.t, quiet)[0]!.message).toBe('280 K behind its schedule.');
});

test('power lost on the way up is an alarm, with its figures, until somebody has touched the kiln', () => {
  const log = [...steady(120, 6), ...steady(-150, 1, 735, 6 * 3600 + 60).slice(0, 12)];
  const now = log.at(-1)!.t;
  const [alarm] = alarmsOf(log, now, quiet);
  expect(alarm).toMatchObject({ level: 'alarm', kind: 'fell' });
  expect(alarm!.message).toMatch(/^Fell from 740 °C to 7\d\d °C within 15 minutes/);
  expect(said(log, { touched: [now] })).toEqual([]);
  expect(said(log, { touched: [now - 1200] })).toEqual([]);
});

test('hotter than the program explains: the relay, and what to do', () => {
  const log = [...steady(120, 5), ...steady(260, 1, 622, 5 * 3600 + 60).slice(0, 16)];
  const [alarm] = alarmsOf(log, log.at(-1)!.t, quiet);
  expect(alarm).toMatchObject({ level: 'alarm', kind: 'over-run' });
  expect(alarm!.message).toMatch(/isolator/);
});

test('two readings in a row that cannot be believed are the thermocouple', () => {
  expect(said(steady(120, 5), { doubted: 1 })).toEqual([]);
  expect(said(steady(120, 5), { doubted: 2 })).toEqual(['alarm: thermocouple']);
});

test('past its hours by hand; a hand-fired kiln that stands still is noted', () => {
  const by = { segments: null, profile: null };
  expect(said(steady(100, 9), { ...by, every: 3600, latestHours: 8 })).toEqual(['alarm: late']);
  const stands = [...steady(150, 6), ...steady(0, 2, 920, 6 * 3600 + 60)];
  expect(said(stands, by).at(-1)).toBe('note: stands');
});

test('cooling by itself after the end is no alarm, whether somebody says so or not', () => {
  const climb = steady(120, 10);
  const hold = steady(0, 1, 1220, 36_060).slice(0, 11);
  const fall = Array.from({ length: 400 }, (_, i) => ({
    t: 36_060 + 660 + 60 * i,
    c: 20 + 1200 * Math.exp(-i / 300),
  }));
  const log = [...climb, ...hold, ...fall];
  expect(said(log)).toEqual([]);
  expect(said(log, { cooling: true })).toEqual([]);
});

test('read by hand, a kiln that climbs far less than it did is asked about, and not claimed to have lost power', () => {
  const byGas: Partial<UnderWatch> = {
    segments: null,
    profile: null,
    electric: false,
    every: 2400,
  };
  const log = [0, 1, 2, 3, 4].map((i) => ({ t: i * 2400, c: 20 + i * 100 }));
  log.push({ t: 5 * 2400, c: 432 });
  const [asked] = alarmsOf(log, 5 * 2400, { ...quiet, ...byGas });
  expect(asked).toMatchObject({ level: 'question', kind: 'power', at: 5 * 2400 });
  expect(asked!.message).toMatch(
    /^From 420 °C to 432 °C in 40 minutes.*turned down\? If nobody touched it, power may be lost/,
  );
  // It was: the diary says so, and what it does then is not asked about again.
  expect(said(log, { ...byGas, touched: [5 * 2400] })).toEqual([]);
  // Nobody says so: it is asked for an hour.
  expect(alarmsOf(log, 5 * 2400 + 3500, { ...quiet, ...byGas, every: 7200 })[0]?.level).toBe('question');
  expect(alarmsOf(log, 5 * 2400 + 3700, { ...quiet, ...byGas, every: 7200 })).toEqual([]);
});

test('a kiln by program that climbs at less than half its rate is asked about; one that goes on is not', () => {
  const by = { segments: [{ rate: 120, target: 1220, holdMinutes: 60 }], every: 2400 };
  const climbing = (last: number): { t: number; c: number }[] => [
    ...[0, 1, 2, 3, 4].map((i) => ({ t: i * 2400, c: 20 + i * 80 })),
    { t: 5 * 2400, c: last },
  ];
  expect(said(climbing(418), by)).toEqual([]);
  expect(said(climbing(374), by)).toContain('question: power');
});

describe('in words', () => {
  const words = (log: readonly { t: number; c: number }[], options: Partial<UnderWatch> = {}) =>
    alarmsOf(log, log.at(-1)!.t, { ...quiet, ...options }).map(({ message }) => message);
  const after = (rate: number, minutes: number, from = 620) => [
    ...steady(120, 5),
    ...steady(rate, 2, from + rate / 60, 5 * 3600 + 60).slice(0, minutes),
  ];

  test('what to look at first, for each kind of alarm', () => {
    expect(words(after(0, 12))).toEqual([
      'At 620 °C it climbs far less than it just did: an element, a fuse, a phase, or gas running out?',
    ]);
    expect(words(after(260, 16))).toEqual([
      'At 689 °C, where its program explains 652 °C at most: has the relay stuck? Go and look; if it heats on, cut its power at the isolator.',
    ]);
    expect(words(after(-300, 12))).toEqual([
      'Fell from 620 °C to 560 °C within 15 minutes: power lost, the door, or the thermocouple?',
    ]);
    // Cooling at 90 °C an hour, then at 400.
    const cooled = [...steady(120, 8), ...steady(-90, 3, 978.5, 28_860)];
    const opened = [...cooled, ...steady(-400, 1, 708, 39_720).slice(0, 14)];
    expect(words(cooled, { cooling: true })).toEqual([]);
    expect(words(opened, { cooling: true })).toEqual([
      'Cools much faster than it just did (710 °C to 621 °C within 15 minutes): does the door stand open?',
    ]);
    expect(words(steady(120, 5), { doubted: 2 })).toEqual([
      'The last 2 readings cannot be believed: is the thermocouple out, or broken? Until it is mended its controller heats blindly.',
    ]);
    expect(words(steady(120, 5), { latestHours: 4 })).toEqual([
      'Past the 4 hours this firing may take: go and look, and shut it off by hand if need be.',
    ]);
  });

  test('a reading is missed after two and a half intervals, and never within five minutes of one', () => {
    const missed = (every: number, since: number): string | undefined =>
      alarmsOf(steady(120, 5), 5 * 3600 + since, { ...quiet, every })[0]?.message;
    expect([missed(60, 360), missed(60, 361)]).toEqual([undefined, 'No reading for 6 minutes.']);
    expect([missed(900, 2250), missed(900, 2251)]).toEqual([undefined, 'No reading for 38 minutes.']);
    expect(missed(900, 7140)).toBe('No reading for 119 minutes.');
    // Nothing has been read yet: it is counted from lighting.
    expect(alarmsOf([], 361, quiet).map(({ message }) => message)).toEqual(['No reading for 6 minutes.']);
  });

  test('late by a second, and not at all once it cools', () => {
    const late = (now: number, cooling = false): string[] =>
      alarmsOf(steady(120, 5), now, { ...quiet, latestHours: 5, cooling }).map(({ kind }) => kind);
    expect([late(18_000), late(18_001), late(18_001, true)]).toEqual([[], ['late'], []]);
  });

  test('61 behind is worth a word and 60 is not; nothing is behind while something is alarmed about, or it cools', () => {
    const behind = (by: number) => steady(120, 5).map((one) => ({ ...one, c: Math.max(20, one.c - by) }));
    expect(words(behind(60))).toEqual([]);
    expect(words(behind(61))).toEqual(['61 K behind its schedule.']);
    expect(words(behind(61), { cooling: true })).toEqual([]);
    const lost = [...behind(61), ...steady(0, 1, 559, 18_060).slice(0, 12)];
    expect(said(lost)).toEqual(['alarm: power']);
    // A hold that is not reached yet: what is asked for stays as it is.
    expect(words(behind(200), { profile: null })).toEqual([]);
  });

  test('a kiln fired by hand stands: hot, for an hour, after two, and well below its cone', () => {
    const by = { segments: null, profile: null };
    const standing = (c: number, hours = 2) => [...steady((c - 20) / 2, 2), ...steady(0, hours, c, 7260)];
    expect(words(standing(920), by)).toEqual([
      expect.stringMatching(/^Stands at 920 °C, 302 K below its cone\.$/),
    ]);
    expect(words(standing(200), by)).toEqual([]);
    expect(words(standing(201), by)).toHaveLength(1);
    expect(words(standing(1182), by)).toEqual([]);
    expect(words(standing(1181), by)).toHaveLength(1);
    expect(words(standing(920), { ...by, top: null })).toEqual([]);
    expect(words(steady(0, 2, 920), by)).toEqual([]);
    // It creeps: 7 °C an hour, and 9.
    expect(words([...standing(920, 0), ...steady(7, 2, 920, 7260)], by)).toHaveLength(1);
    expect(words([...standing(920, 0), ...steady(9, 2, 920, 7260)], by)).toEqual([]);
  });
});
