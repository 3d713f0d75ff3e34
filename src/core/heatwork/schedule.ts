/** Firing schedules: what a program asks for, what it comes to, and how long to hold. */
import { coneOrdinal } from '../cones';
import { kineticsOf, KELVIN } from './kinetics';
import { predictedOrdinal, workOf, type Reading } from './work';

/** One segment: climb or drop at `rate` °C/h (null: as fast as the kiln goes) to `target`, then hold. */
export type Segment = { rate: number | null; target: number; holdMinutes: number };

export type ScheduleProblem = { segment: number; field: keyof Segment; message: string };

/** What is wrong with a schedule, segment by segment; empty when it can be fired. */
export function checkSchedule(segments: readonly Segment[]): ScheduleProblem[] {
  const problems: ScheduleProblem[] = [];
  const say = (segment: number, field: keyof Segment, message: string): void => {
    problems.push({ segment, field, message });
  };
  segments.forEach(({ rate, target, holdMinutes }, i) => {
    if (!Number.isFinite(target) || target < 20 || target > 1400)
      say(i, 'target', 'Between 20 °C and 1400 °C.');
    if (rate !== null && (!Number.isFinite(rate) || rate <= 0 || rate > 1500))
      say(i, 'rate', 'Above 0 and at most 1500 °C/h, or as fast as it goes.');
    if (!Number.isFinite(holdMinutes) || holdMinutes < 0 || holdMinutes > 6000)
      say(i, 'holdMinutes', 'From 0 to 6000 minutes.');
    if (i > 0 && target === segments[i - 1]!.target && rate !== null && holdMinutes === 0)
      say(i, 'target', 'Neither climbs, drops nor holds.');
  });
  return problems;
}

/** How fast a kiln can go when nothing holds it back, °C/h. */
export type KilnPace = { climb: number; drop: number };
export const USUAL_PACE: KilnPace = { climb: 250, drop: 200 };

/** A schedule as a temperature history from `start` °C, straight between its corners. */
export function profileOf(segments: readonly Segment[], start = 20, pace: KilnPace = USUAL_PACE): Reading[] {
  const log: Reading[] = [{ t: 0, c: start }];
  let [t, c] = [0, start];
  for (const { rate, target, holdMinutes } of segments) {
    const speed = rate ?? (target >= c ? pace.climb : pace.drop);
    t += (Math.abs(target - c) / speed) * 3600;
    c = target;
    if (t > log.at(-1)!.t) log.push({ t, c });
    if (holdMinutes > 0) {
      t += holdMinutes * 60;
      log.push({ t, c });
    }
  }
  return log;
}

/** Where along the schedule a time lies, in °C; null past its end. */
export function plannedAt(profile: readonly Reading[], t: number): number | null {
  for (let i = 1; i < profile.length; i++) {
    const [a, b] = [profile[i - 1]!, profile[i]!];
    if (t <= b.t) return a.c + ((t - a.t) / (b.t - a.t || 1)) * (b.c - a.c);
  }
  return null;
}

export type ScheduleReading = {
  ordinal: number;
  /** 95 %: between these on the cone line, where the kiln is known; the same as `ordinal` otherwise. */
  low: number;
  high: number;
  hours: number;
  peak: number;
  /** Work done on the cone asked about, if one was. */
  work: number | null;
};

/** What a schedule comes to on this kiln: the predicted cone, how long it takes, its peak. */
export function readSchedule(
  segments: readonly Segment[],
  options: {
    offset?: number;
    /** What the next firing may feel beyond what is shown, °C (95 %). */
    next?: { low: number; high: number } | null;
    cone?: string | null;
    pace?: KilnPace;
  } = {},
): ScheduleReading {
  const profile = profileOf(segments, 20, options.pace);
  const ordinal = predictedOrdinal(profile, options.offset ?? 0);
  return {
    ordinal,
    low: options.next ? predictedOrdinal(profile, options.next.low) : ordinal,
    high: options.next ? predictedOrdinal(profile, options.next.high) : ordinal,
    hours: profile.at(-1)!.t / 3600,
    peak: Math.max(...profile.map(({ c }) => c)),
    work: options.cone ? workOf(options.cone, profile, options.offset ?? 0) : null,
  };
}

export type Hold =
  | { kind: 'hold'; minutes: number; done: number }
  | { kind: 'already'; done: number }
  | { kind: 'too cool'; minutes: number; done: number };

/** Longer than this nobody holds: the temperature is too low for the cone. */
const LONGEST_HOLD_MINUTES = 360;

/**
 * How long to hold at `celsius` (as the thermocouple shows it) until the cone's tip is down,
 * after the work that `log` has done so far.
 */
export function holdFor(cone: string, celsius: number, log: readonly Reading[], offset = 0): Hold {
  const done = workOf(cone, log, offset);
  if (done >= 1) return { kind: 'already', done };
  const second = workOf(
    cone,
    [
      { t: 0, c: celsius },
      { t: 1, c: celsius },
    ],
    offset,
  );
  const minutes = (1 - done) / second / 60;
  return { kind: minutes > LONGEST_HOLD_MINUTES ? 'too cool' : 'hold', minutes, done };
}

/** A climb of 600 °C at one rate to a temperature: the history most hold questions begin with. */
export const climbTo = (celsius: number, rate: number): Reading[] => [
  { t: 0, c: celsius - 600 },
  { t: (600 / rate) * 3600, c: celsius },
];

/** °C (as shown) at which a climb at this rate brings the cone down without a hold. */
export function endPointFor(cone: string, rate: number, offset = 0): number {
  let [low, high] = [kineticsOf(cone).t0 - KELVIN - 250, kineticsOf(cone).t0 - KELVIN + 250];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (workOf(cone, climbTo(middle, rate), offset) < 1) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/**
 * The schedule with the hold of its hottest segment set so that the cone is just down on a kiln
 * whose thermocouple reads `offset` low. Null when no hold from 0 to six hours does it.
 */
export function withHoldFor(
  segments: readonly Segment[],
  cone: string,
  offset = 0,
  pace: KilnPace = USUAL_PACE,
): Segment[] | null {
  coneOrdinal(cone);
  const top = segments.reduce((best, one, i) => (one.target > segments[best]!.target ? i : best), 0);
  const at = (holdMinutes: number): Segment[] =>
    segments.map((one, i) => (i === top ? { ...one, holdMinutes } : one));
  const work = (minutes: number): number => workOf(cone, profileOf(at(minutes), 20, pace), offset);
  if (work(0) > 1.02 || work(LONGEST_HOLD_MINUTES) < 1) return null;
  let [low, high] = [0, LONGEST_HOLD_MINUTES];
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (work(middle) < 1) low = middle;
    else high = middle;
  }
  return at(Math.round((low + high) / 2));
}
