/** What has changed in a firing that somebody reads now and then: by two readings, not by twenty. */
import type { Reading } from '../heatwork';
import { LID_BELOW, type AlarmKind, type Change, type WatchedKiln } from './kiln';

/** What a kiln may lose at once when its fire goes out, °C, and °C an hour beyond that. */
const AT_ONCE = 330;
const BEYOND = 150;
/**
 * Shut off, a small kiln's heat above the room falls by a factor e^−0.7 an hour at most: to a half. Common
 * practice, no source.
 */
const COOLS_BY = 0.7;
/** °C of a room. */
const ROOM = 20;
/** °C that it may lose beyond that once its chamber has come down to its brick. */
const SLACK = 20;
/** Before this a kiln only begins to warm, seconds; without a program, that much longer. */
const WARMING = 4500;

const { exp, max, min } = Math;

/** °C that a kiln which is shut off may lose within some hours. */
const coolsAtMost = (c: number, hours: number): number => (c - ROOM) * (1 - exp(-COOLS_BY * hours));

const rateOf = (a: Reading, b: Reading): number => ((b.c - a.c) / (b.t - a.t)) * 3600;

export function lookByHand(kiln: WatchedKiln, before: Reading, one: Reading): Change | null {
  const ceiling = kiln.ceiling();
  const minutes = (one.t - before.t) / 60;
  if (one.c > ceiling + 18) return { kind: 'over-run', at: one.t, from: ceiling, to: one.c, minutes };
  const earlier = kiln.window.back(2);
  const longer = kiln.window.back(3) ?? earlier;
  if (earlier === undefined || longer === undefined || kiln.touchedSince(before.t, one.t)) return null;
  const seconds = one.t - before.t;
  const hours = seconds / 3600;
  const rate = (one.c - before.c) / hours;
  const prior = ((before.c - earlier.c) / (before.t - earlier.t)) * 3600;
  const long = earlier === longer ? prior : rateOf(longer, earlier);
  const seen = (kind: AlarmKind): Change => ({
    kind,
    at: one.t,
    from: before.c,
    to: one.c,
    minutes,
  });
  // Between two readings it may have been at its top.
  const off = kiln.mayFall(one.t, before.t, before.c + max(0, prior) * hours, rate, true);
  // It may have been cooling for three readings; the second of a fall is held against those before.
  const slowest = max(prior, long);
  const warmStill = before.c + slowest * hours >= LID_BELOW;
  const settled = warmStill && kiln.falling === before.t && kiln.fellFrom <= longer.t;
  const most = off ? coolsAtMost(before.c, hours) : 0;
  const allowed = settled ? most + SLACK : max(AT_ONCE + BEYOND * hours, most);
  if (before.c - one.c > allowed) return seen('fell');
  if (off) {
    const ended = kiln.clocks.every(({ mode, since }) => mode === 'ended' && before.t > since);
    if (kiln.clocks.length > 0 && ended && one.c > LID_BELOW && rate > 0 && !kiln.cools(one.t))
      return seen('over-run');
    const longest = kiln.window.back(4);
    const fellBefore = kiln.falling === before.t ? kiln.fellFrom : Infinity;
    kiln.fellFrom = rate < 0 ? min(fellBefore, before.t) : Infinity;
    if (rate < 0 || kiln.clocks.length === 0) kiln.falling = one.t;
    if (longest === undefined || !warmStill || !kiln.coolsByItself(longer, one.t)) return null;
    if (kiln.corner(one.t - longest.t, one.t)) return null;
    return max(slowest, rateOf(longest, longer)) < -40 && rate < 2 * slowest - 70 ? seen('open') : null;
  }
  const followed = kiln.clocks.filter(({ mode, followed }) => mode !== 'rises' && followed > 0);
  if (followed.length > 0 && followed.every(({ setpoint }) => setpoint - one.c > 14)) return seen('fell');
  if (kiln.clocks.length > 0 && kiln.clocks.every(({ mode }) => mode === 'holds')) return null;
  if (slowest < 15) return null;
  const highest = max(before.c, earlier.c);
  if (highest - one.c > (kiln.tended ? 60 : 8)) return seen('fell');
  const program = kiln.clocks.length > 0;
  const warm = one.t > (program ? WARMING : 2.5 * WARMING);
  const missing = earlier.c + (long * (one.t - earlier.t)) / 3600 - one.c;
  if (kiln.tended) return long > 40 && one.c < earlier.c - 5 && missing > 130 ? seen('power') : null;
  const wanted = program ? min(...kiln.clocks.map((clock) => clock.rate())) : slowest;
  // Hardly moving after it moved, and no corner near: more needs a longer way without one.
  const moved = min(prior, wanted);
  if (program && !kiln.corner(one.t - earlier.t, one.t) && rate < 0.15 * moved && (moved - rate) * hours > 14)
    return seen('power');
  if (!warm || kiln.corner(one.t - longer.t, one.t)) return null;
  const expected = min(slowest, wanted);
  if (rate < (program ? 0.4 : 0.3) * expected && (rate - expected) * hours < (program ? -14 : -25))
    return seen('power');
  return program && rate > 1.3 * max(prior, wanted) + 15 && (rate - prior) * hours > 16
    ? { ...seen('over-run'), from: before.c + prior * hours }
    : null;
}
