/** What has changed in a firing that is read every few minutes. */
import type { Reading } from '../heatwork';
import { LID_BELOW, SAID_FOR, type AlarmKind, type Change, type WatchedKiln } from './kiln';
import { alongLine, lineOf, type Line } from './window';

/** What is explained by a touch: so many seconds after it. */
const TOUCH_EXPLAINS = 1800;
/** A controller may be beyond its setpoint by so much for a while, °C; more while a kiln is cool. */
const OVERSHOOT = 11;
const OVERSHOOT_COOL = 17;
/** How much further ahead of its climb than for half an hour is a change, °C. */
const GREW = 5;
/** Slower than this a kiln does not fall, °C/h. */
const FALLS = -20;
/** A program that has ended in all ways may hold the kiln for so long, seconds: clocks do not agree. */
const ENDED = 780;
/** Before this a kiln only begins to warm: how fast it goes changes by itself, seconds. */
const WARMING = 4500;
/** And cooler than this, where somebody turns it up step by step, °C. */
const WARM = 200;

const { max, min } = Math;

export function lookByMinutes(kiln: WatchedKiln, one: Reading): Change | null {
  const { window } = kiln;
  const t = one.t;
  const { spacing, stretch: s } = window;
  /** What was read from so long ago until so long ago, seconds at a reading a minute. */
  const ago = (from: number, until = 0): Reading[] => window.between(t - from * s, t - until * s);
  const recent = ago(420);
  const prior = lineOf(ago(2100, 540));
  const now = lineOf(recent);
  if (now === null) return null;
  const jitter = window.jitter();
  const over = overRun(kiln, one, jitter);
  if (over !== null) return over;
  if (prior === null || prior.span < 600 || prior.n < 5) return null;
  const fell = (kind: AlarmKind): Change => {
    const from = max(...window.between(t - 900, t).map(({ c }) => c));
    return { kind, at: t, from, to: one.c, minutes: 15 };
  };
  const tenAgo = window.between(t - 540 - max(120, spacing), t - 540)[0];
  if (tenAgo !== undefined && tenAgo.c - one.c > 240) return fell('fell');
  if (kiln.touchedSince(t - TOUCH_EXPLAINS, t)) return null;
  const last = lineOf(ago(130));
  const level = last?.c ?? one.c;
  const apartFrom = (line: Line): number => level - alongLine(line, last?.t ?? t);
  const short = -apartFrom(prior);
  const recent15 = max(...window.between(t - 900, t).map(({ c }) => c));
  if (kiln.mayFall(t, t - 900, recent15, now.rate)) {
    // On the way down: nothing but a door makes brick cool faster than it just did.
    const far = ago(3900, 2100);
    const long = lineOf(far);
    const settled =
      long !== null &&
      kiln.coolsByItself(far[0]!, t) &&
      !kiln.corner(3000 * s, t) &&
      long.span > 900 &&
      long.rate < -40 &&
      prior.rate > 1.4 * long.rate - 15;
    const quick = lineOf(window.between(t - max(300 * s, 2.1 * spacing), t));
    return settled &&
      one.c > LID_BELOW &&
      prior.rate < -15 &&
      quick !== null &&
      quick.n >= 3 &&
      short > max(9, 6 * jitter) &&
      quick.rate < 2 * prior.rate - 40
      ? fell('open')
      : null;
  }
  const program = kiln.clocks.length > 0;
  const holding = kiln.clocks.filter(({ mode }) => mode === 'holds');
  if (leftAndFell(kiln, level, jitter)) return fell('fell');
  // What stood still before may have been given up.
  if (prior.rate < 15) return null;
  const highest = max(...ago(900, 130).map(({ c }) => c));
  const settles =
    holding.length > 0 && level > min(...holding.map((one) => one.setpoint)) - max(6, 4 * jitter);
  const falls = now.rate < -15 && highest - level > max(kiln.tended ? 18 * s : 7, 5 * jitter);
  if (falls && !settles) return fell('fell');
  if (kiln.tended)
    return -apartFrom(prior) > max(27 * s, 5 * jitter) && now.rate < 0.3 * prior.rate && t > WARMING
      ? fell('power')
      : null;
  const warm = t > WARMING && (program || one.c > WARM);
  if (kiln.corner(2400 * s, t) || !warm || now.span < 240) return null;
  const wanted = program ? min(...kiln.clocks.map((clock) => clock.rate())) : prior.rate;
  // What comes slowly shows against a quarter of an hour earlier.
  const priors = [prior];
  const earlier = lineOf(ago(3000, 1320));
  if (program && earlier !== null && earlier.span > 1200 && !kiln.corner(4500 * s, t)) priors.push(earlier);
  for (const [i, was] of priors.entries()) {
    const apart = apartFrom(was);
    const slack = max((5.5 + 4 * i) * s, 5.5 * jitter);
    // It may have been catching up: it owes no more than its program asks for.
    const owed = apartFrom({ ...was, rate: min(was.rate, wanted) });
    if (-owed > slack && now.rate < (i === 0 ? 0.5 : 0.4) * min(was.rate, wanted) - 5 * jitter)
      return fell('power');
    if (program && apart > slack + 3 && now.rate > max(was.rate, wanted) + 14 + 6 * jitter)
      return { ...fell('over-run'), from: alongLine(was, t) };
  }
  return null;
}

/** It held or came down just as it was asked to, and fell away from that. */
function leftAndFell(kiln: WatchedKiln, level: number, jitter: number): boolean {
  const followed = kiln.clocks.filter(({ mode, followed }) => mode !== 'rises' && followed > 600);
  return followed.length > 0 && followed.every(({ setpoint }) => setpoint - level > max(9, 5 * jitter));
}

/** Hotter than any way of following the program explains. */
function overRun(kiln: WatchedKiln, one: Reading, jitter: number): Change | null {
  const ceiling = kiln.ceiling();
  if (ceiling === Infinity) return null;
  const t = one.t;
  const seen: Change = { kind: 'over-run', at: t, from: ceiling, to: one.c, minutes: 0 };
  const { spacing, stretch: s } = kiln.window;
  const last = kiln.window.between(t - max(130, 1.1 * spacing), t);
  const least = min(...last.map(({ c }) => c));
  const slack = max(one.c < 500 ? OVERSHOOT_COOL : OVERSHOOT, 4 * jitter);
  const now = lineOf(kiln.window.between(t - 420 * s, t));
  // What falls is only slower than it was asked to be.
  const falls = now !== null && now.rate < FALLS;
  const grew = least - ceiling - kiln.leads(t) > max(GREW, 4 * jitter);
  if (last.length >= 2 && least > ceiling + slack && grew && !falls) return seen;
  // Whatever way it follows, nothing should heat it now, and it climbs.
  const cold = kiln.clocks.every(
    ({ mode, setpoint, since }) =>
      ((mode === 'ended' || mode === 'free') && t - since > 480) ||
      (mode === 'holds' && least > setpoint + 9),
  );
  const lowest = min(...kiln.window.between(t - 720 * s, t).map(({ c }) => c));
  const quick = lineOf(kiln.window.between(t - 310 * s, t));
  if (cold && one.c > LID_BELOW && quick !== null && quick.rate > 25 && least - lowest > slack)
    return { ...seen, from: lowest };
  // Its program has ended in every way, and it does not begin to cool.
  const ended = kiln.clocks.every(
    ({ mode, since }) => mode === 'ended' && t - since > ENDED && t - since < SAID_FOR,
  );
  return ended && one.c > LID_BELOW && now !== null && now.span >= 180 && now.rate > FALLS ? seen : null;
}
