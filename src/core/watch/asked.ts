/**
 * What a firing that is read by hand might have lost, asked and not claimed: from two readings nobody
 * can tell power that is gone from a fire turned down, a slower switch or a program that has gone on.
 * The person who took the reading can.
 */
import type { Reading } from '../heatwork';
import { LID_BELOW, type Change, type WatchedKiln } from './kiln';

/** It climbed faster than this before, °C/h; what hardly climbed has nothing to lose. */
const CLIMBED = 25;
/** It climbs less than this share of what it did, over one interval and over two. */
const OF_ONE = 0.45;
const OF_TWO = 0.55;
/** °C that are missing against going on as it went; by flame, which wavers, more. */
const MISSING = 18;
const MISSING_TENDED = 60;
/** A kiln that kept up to so many °C is behind all at once by so many more. */
const KEPT_UP = 15;
const BEHIND = 22;

/** So far below its top, °C, and below where a lid may be cracked, its firing is over. */
const COOLED = 200;

const { max, min } = Math;
const rateOf = (a: Reading, b: Reading): number => ((b.c - a.c) / (b.t - a.t)) * 3600;

/** °C that it is behind, by the way of following its program that says least; null without one. */
const behind = (kiln: WatchedKiln, one: Reading): number | null =>
  kiln.clocks.length === 0
    ? null
    : min(
        ...kiln.clocks.map(({ mode, setpoint }) =>
          mode === 'ended' || mode === 'free' ? -Infinity : setpoint - one.c,
        ),
      );

/**
 * A change that ought to be asked about: °C and seconds. Null where nothing speaks for one, where
 * somebody has touched the kiln, and where its program or the end of its firing explains it.
 */
export function askByHand(kiln: WatchedKiln, before: Reading, one: Reading): Change | null {
  const earlier = kiln.window.back(2);
  const longer = kiln.window.back(3);
  const now = behind(kiln, one);
  const was = kiln.wasBehind;
  kiln.wasBehind = now;
  if (earlier === undefined || kiln.touchedSince(before.t, one.t) || kiln.cools(one.t)) return null;
  // Nobody need be asked about a kiln that has been hot and is cold.
  if (one.c < LID_BELOW && kiln.peak.c - one.c > COOLED) return null;
  const seen: Change = {
    kind: 'power',
    at: one.t,
    from: before.c,
    to: one.c,
    minutes: (one.t - before.t) / 60,
  };
  if (now !== null && was !== null && was < KEPT_UP && now - max(0, was) > BEHIND) return seen;
  const { clocks } = kiln;
  const corner = clocks.some(({ mode, since }) => mode !== 'rises' || since > before.t);
  if (clocks.length > 0 && corner) return null;
  const { top } = kiln.options;
  if (top !== null && max(before.c, kiln.peak.c) > top - 40) return null;
  const wanted = min(Infinity, ...clocks.map((clock) => clock.rate()));
  const prior = min(wanted, rateOf(earlier, before));
  const rate = rateOf(before, one);
  const hours = (one.t - before.t) / 3600;
  const enough = kiln.tended ? MISSING_TENDED : MISSING;
  if (prior > CLIMBED && rate < OF_ONE * prior && (prior - rate) * hours > enough) return seen;
  if (longer === undefined) return null;
  const long = min(wanted, rateOf(longer, earlier));
  const both = rateOf(earlier, one);
  const missing = ((long - both) * (one.t - earlier.t)) / 3600;
  return long > CLIMBED && both < OF_TWO * long && rate < OF_TWO * long && missing > enough ? seen : null;
}
