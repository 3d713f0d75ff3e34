/**
 * What the log of a firing answers by itself: how its top was, how it fell, how it cooled, how hot it was
 * when it was opened. Read from readings with lines between them; gaps that are too wide say nothing.
 * Thresholds are judgement.
 */
import type { Reading } from '../heatwork';
import { told, type Told } from './told';

/** Between two readings further apart than this nobody knows what it did, seconds. */
const WIDE = 45 * 60;
const HOUR = 3600;

/**
 * The moment at which it passes a temperature on the way from reading `from` on, or back from it; null in a
 * gap.
 */
function passes(log: readonly Reading[], celsius: number, from: number, step: 1 | -1): number | null {
  for (let i = from; i + step >= 0 && i + step < log.length; i += step) {
    const [a, b] = [log[i]!, log[i + step]!];
    if (a.c < celsius || b.c > celsius) continue;
    if (Math.abs(b.t - a.t) > WIDE) return null;
    const part = a.c === b.c ? 0 : (a.c - celsius) / (a.c - b.c);
    return a.t + (b.t - a.t) * part;
  }
  return null;
}

/** Seconds within `below` degrees of the peak, without a gap. */
function near(log: readonly Reading[], peak: number, below: number): number {
  const first = passes(log, log[peak]!.c - below, peak, -1);
  const last = passes(log, log[peak]!.c - below, peak, 1);
  return first === null || last === null ? 0 : last - first;
}

const perHour = (kelvin: number, seconds: number): number => (kelvin * HOUR) / Math.max(1, seconds);
const rate = (value: number): string => `${Math.round(value)} K/h`;

/** The highest reading; the first of equals. */
const peakOf = (log: readonly Reading[]): number =>
  log.reduce((best, { c }, i) => (c > log[best]!.c ? i : best), 0);

function top(log: readonly Reading[], peak: number): Told | null {
  const from = passes(log, log[peak]!.c - 100, peak, -1);
  const to = passes(log, log[peak]!.c - 5, peak, -1);
  if (from === null || to === null) return null;
  const climb = perHour(95, to - from);
  const held = near(log, peak, 5) / 60;
  const words = `the last hundred degrees at ${rate(climb)}, ${Math.round(held)} min at the top`;
  if (held >= 15 || climb <= 50) return told('top', 'held', words);
  return told('top', climb > 120 ? 'fast' : 'usual', words);
}

function fall(log: readonly Reading[], peak: number): Told | null {
  const from = passes(log, log[peak]!.c - 10, peak, 1);
  const to = passes(log, log[peak]!.c - 100, peak, 1);
  if (from === null || to === null) return null;
  // A drop and hold: a quarter of an hour between thirty and a hundred below, at a walking pace.
  const resting = log.some(
    (one, i) =>
      i > peak &&
      one.c < log[peak]!.c - 30 &&
      one.c > log[peak]!.c - 100 &&
      log.some((two) => two.t - one.t >= 900 && two.t - one.t < 2700 && Math.abs(two.c - one.c) < 8),
  );
  const pace = perHour(90, to - from);
  if (resting) return told('fall', 'drop-hold', 'it dropped and held');
  const words = `from the peak it fell at ${rate(pace)}`;
  return told('fall', pace > 300 ? 'fast' : pace < 100 ? 'slow' : 'usual', words);
}

function cooling(log: readonly Reading[], peak: number): Told | null {
  const from = passes(log, 1100, peak, 1);
  const to = passes(log, 900, peak, 1);
  if (from === null || to === null) return null;
  const pace = perHour(200, to - from);
  const words = `from 1100 to 900 °C at ${rate(pace)}`;
  return told('cooling', pace > 150 ? 'faster' : pace < 60 ? 'slower' : 'usual', words);
}

/** How hot it was when it was opened: the last reading, when it is of that time. */
function opened(log: readonly Reading[], at: number | null): Told | null {
  const last = log.findLast(({ t }) => at !== null && t <= at);
  if (at === null || last === undefined || at - last.t > 2 * HOUR) return null;
  const value = last.c > 150 ? 'hot' : last.c > 80 ? 'warm' : 'cool';
  return told('opened', value, `${Math.round(last.c)} °C on its last reading before it was opened`);
}

/**
 * Facts that a firing's log answers.
 * @param log readings in order, seconds from its start and °C; `openedAt` in the same seconds.
 */
export function readLog(log: readonly Reading[], openedAt: number | null): Told[] {
  if (log.length < 5) return [];
  const peak = peakOf(log);
  return [top(log, peak), fall(log, peak), cooling(log, peak), opened(log, openedAt)].flatMap(
    (one) => one ?? [],
  );
}
