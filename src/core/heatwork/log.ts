/** Reading a firing's log: what is believed of it, and how fast it goes. */
import type { Reading } from './work';

/** Why a reading is kept but not believed. */
export const DOUBTS = ['broken', 'unit', 'jump', 'future'] as const;
export type Doubt = (typeof DOUBTS)[number];

export const DOUBT_WORDS: Record<Doubt, string> = {
  broken: 'a thermocouple that is broken or not connected',
  unit: 'degrees Fahrenheit sent as Celsius',
  jump: 'a jump no kiln makes',
  future: 'a clock that is ahead',
};

/** No studio kiln heats or cools faster than this between readings, °C/h. Common practice, no source. */
const FASTEST = 1500;
/** Jitter of a thermocouple near a switching element, °C. */
const JITTER = 12;
const HOTTEST = 1450;

/**
 * Is a new reading believable after the last believed one? `celsius` may be NaN. A value that fits
 * the kiln's way when read as °F is a unit mixed up; 0, below freezing, and beyond the range of
 * a kiln are a broken thermocouple.
 */
export function doubtOf(celsius: number, t: number, last: Reading | null, now: number): Doubt | null {
  if (t > now + 120) return 'future';
  if (!Number.isFinite(celsius) || celsius < -30 || celsius > 2500) return 'broken';
  if (celsius === 0 && (last === null || last.c > 25)) return 'broken';
  const asFahrenheit = ((celsius - 32) * 5) / 9;
  if (last === null) {
    if (celsius > 1800) return asFahrenheit <= HOTTEST && celsius < 1990 ? 'unit' : 'broken';
    return null;
  }
  const hours = Math.max(0, t - last.t) / 3600;
  const room = JITTER + FASTEST * hours;
  if (Math.abs(celsius - last.c) <= room && celsius <= HOTTEST) return null;
  if (celsius > 60 && Math.abs(asFahrenheit - last.c) <= Math.min(room, 60)) return 'unit';
  if (celsius > HOTTEST) return 'broken';
  return 'jump';
}

/** A room of so many degrees is one in °F; °C for a kiln that is nearly cold. */
const COLD_IN_F = [48, 112] as const;
/** Beyond its cone by so much a firing is no firing of that cone, °C. */
const PAST_TOP = 130;

/**
 * Does a whole log look as if it had been kept in °F and taken for °C? `top` is the end point of its
 * cone, `wanted` what the program asked for at a time (both °C; null where there is none). It is a
 * question to a person, never a change by itself.
 */
export function looksFahrenheit(
  log: readonly Reading[],
  top: number | null,
  wanted: ((t: number) => number | null) | null = null,
): boolean {
  if (log.length < 4) return false;
  const asCelsius = (f: number): number => ((f - 32) * 5) / 9;
  const peak = log.reduce((most, { c }) => Math.max(most, c), -Infinity);
  if (peak > HOTTEST) return true;
  const begins = log.find(({ t }) => t > -3600 && t < 2700)?.c;
  const coldInF = begins !== undefined && begins >= COLD_IN_F[0] && begins <= COLD_IN_F[1];
  if (top !== null && peak > top + PAST_TOP) return coldInF || asCelsius(peak) > top - 60;
  if (wanted === null || !coldInF) return false;
  const compared = log.flatMap(({ t, c }) => {
    const asked = wanted(t);
    return asked === null || asked < 120 ? [] : [{ apart: c - asked, inF: asCelsius(c) - asked }];
  });
  const near = compared.filter(({ apart, inF }) => Math.abs(inF) < 40 && apart > 60).length;
  return compared.length >= 4 && near > 0.8 * compared.length;
}

/** So many readings after a jump that agree with each other are the kiln, not the thermocouple. */
const AGREE = 3;

/**
 * Judges readings in the order of their time, each by the last one believed. A jump that stays
 * (a door opened on a hot kiln) is believed from its third reading on; a single leap is not.
 * `jumped` are the readings doubted as jumps since the last believed one, newest last.
 */
export function judgeReadings(
  readings: readonly Reading[],
  last: Reading | null,
  jumped: readonly Reading[],
  now: number,
): (Doubt | null)[] {
  let believed = last;
  let apart = [...jumped];
  return readings.map((one) => {
    let doubt = doubtOf(one.c, one.t, believed, now);
    if (doubt === 'jump') {
      const before = apart.at(-1);
      const follows = before !== undefined && doubtOf(one.c, one.t, before, now) === null;
      apart = follows ? [...apart, one] : [one];
      if (apart.length >= AGREE) doubt = null;
    }
    if (doubt === null) {
      believed = one;
      apart = [];
    }
    return doubt;
  });
}

/** Climb at the end of a log over the last `minutes`, °C/h; null when it was not read that long. */
export function rateNow(log: readonly Reading[], minutes = 15): number | null {
  const last = log.at(-1);
  if (last === undefined) return null;
  let from: Reading | null = null;
  for (let i = log.length - 2; i >= 0; i--) {
    from = log[i]!;
    if (last.t - from.t >= minutes * 60) break;
  }
  if (from === null || last.t - from.t < 60) return null;
  return ((last.c - from.c) / (last.t - from.t)) * 3600;
}

export type Stretch = {
  from: Reading;
  to: Reading;
  rate: number;
  kind: 'climb' | 'hold' | 'drop';
};

/** Slower than this is a hold, °C/h. */
const HOLD_RATE = 15;

/** A log cut into climbs, holds and drops, each with its mean rate in °C/h. */
export function stretchesOf(log: readonly Reading[], gatherSeconds = 900): Stretch[] {
  const corners: Reading[] = [];
  for (const one of log)
    if (corners.length === 0 || one.t - corners.at(-1)!.t >= gatherSeconds || one === log.at(-1))
      corners.push(one);
  const stretches: Stretch[] = [];
  for (let i = 1; i < corners.length; i++) {
    const [from, to] = [corners[i - 1]!, corners[i]!];
    if (to.t <= from.t) continue;
    const rate = ((to.c - from.c) / (to.t - from.t)) * 3600;
    const kind = Math.abs(rate) < HOLD_RATE ? 'hold' : rate > 0 ? 'climb' : 'drop';
    const last = stretches.at(-1);
    if (last !== undefined && last.kind === kind && alike(last.rate, rate)) {
      last.to = to;
      last.rate = ((to.c - last.from.c) / (to.t - last.from.t)) * 3600;
    } else stretches.push({ from, to, rate, kind });
  }
  return stretches;
}

const alike = (a: number, b: number): boolean =>
  Math.abs(a - b) <= Math.max(25, 0.35 * Math.max(Math.abs(a), Math.abs(b)));

/** Thins a log for drawing to about `most` points, keeping the lowest and highest of every bucket. */
export function decimated(log: readonly Reading[], most: number): Reading[] {
  if (log.length <= most) return [...log];
  const size = Math.ceil((2 * log.length) / most);
  const kept: Reading[] = [];
  for (let i = 0; i < log.length; i += size) {
    const bucket = log.slice(i, i + size);
    let [low, high] = [bucket[0]!, bucket[0]!];
    for (const one of bucket) {
      if (one.c < low.c) low = one;
      if (one.c > high.c) high = one;
    }
    if (low === high) kept.push(low);
    else kept.push(...(low.t < high.t ? [low, high] : [high, low]));
  }
  if (kept.at(-1) !== log.at(-1)) kept.push(log.at(-1)!);
  return kept;
}
