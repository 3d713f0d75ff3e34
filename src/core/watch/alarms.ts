/** What is amiss with a firing under way, in words: alarms to run for, and notes to know. */
import { plannedAt, rateNow, type Reading, type Segment } from '../heatwork';
import type { Change, WatchOptions } from './kiln';
import { Watch } from './watch';

export type Alarm = {
  kind: Change['kind'] | 'thermocouple' | 'missed' | 'late' | 'behind' | 'stands';
  /** An alarm wants somebody at the kiln, a question an answer; a note is only said. */
  level: 'alarm' | 'question' | 'note';
  message: string;
  /** Of a question: seconds at which it was seen. */
  at?: number;
};

export type UnderWatch = {
  /** Seconds between readings, as it was agreed. */
  every: number;
  segments: readonly Segment[] | null;
  /** The program as a temperature history, for how far behind it is; null without one. */
  profile: readonly Reading[] | null;
  /** After so many hours it is late; null where nothing was said. */
  latestHours: number | null;
  cooling: boolean;
  /** °C of the target cone's end point; null without one. */
  top: number | null;
  electric: boolean;
  /** Seconds at which the diary says that somebody touched the kiln. */
  touched: readonly number[];
  /** Readings not believed since the last that was. */
  doubted: number;
};

/** So many readings in a row that cannot be believed are no mishap. */
const DOUBTED = 2;
/** Further behind its program than this is worth a word, K. */
const BEHIND = 60;
/** Slower than this for an hour a kiln stands still, °C/h. */
const STANDS = 8;

const minutesWords = (minutes: number): string =>
  minutes >= 120 ? `${Math.round(minutes / 60)} hours` : `${Math.round(minutes)} minutes`;

/** A change in words, with what to look at first. */
function changeWords({ kind, from, to, minutes }: Change): string {
  const degrees = (c: number): string => `${Math.round(c)} °C`;
  switch (kind) {
    case 'over-run':
      return `At ${degrees(to)}, where its program explains ${degrees(from)} at most: has the relay stuck? Go and look; if it heats on, cut its power at the isolator.`;
    case 'fell':
      return `Fell from ${degrees(from)} to ${degrees(to)} within ${minutesWords(minutes)}: power lost, the door, or the thermocouple?`;
    case 'power':
      return `At ${degrees(to)} it climbs far less than it just did: an element, a fuse, a phase, or gas running out?`;
    case 'open':
      return `Cools much faster than it just did (${degrees(from)} to ${degrees(to)} within ${minutesWords(minutes)}): does the door stand open?`;
  }
}

/** What two readings by hand leave open. */
const askedWords = ({ from, to, minutes }: Change): string =>
  `From ${Math.round(from)} °C to ${Math.round(to)} °C in ${minutesWords(minutes)}, much less than before. Was it turned down? If nobody touched it, power may be lost: look at fuses, elements, each phase, the gas.`;

const watchOptions = (log: readonly Reading[], options: UnderWatch): WatchOptions => {
  const peak = log.reduce((best, one) => (one.c > best.c ? one : best), { t: 0, c: -Infinity });
  return {
    segments: options.segments,
    top: options.top,
    electric: options.electric,
    touched: options.touched,
    ...(options.cooling ? { coolsFrom: peak.t } : {}),
  };
};

/**
 * What is amiss. `log` holds the readings that are believed, in seconds since the kiln was lit and °C;
 * `now` in the same seconds. A kiln that is late from lighting on is behind: a note, not an alarm.
 */
export function alarmsOf(log: readonly Reading[], now: number, options: UnderWatch): Alarm[] {
  const alarms: Alarm[] = [];
  const alarm = (kind: Alarm['kind'], message: string): void => {
    alarms.push({ kind, level: 'alarm', message });
  };
  const last = log.at(-1);
  if (options.doubted >= DOUBTED)
    alarm(
      'thermocouple',
      `The last ${options.doubted} readings cannot be believed: is the thermocouple out, or broken? Until it is mended its controller heats blindly.`,
    );
  const since = now - (last?.t ?? 0);
  if (since > Math.max(2.5 * options.every, options.every + 300))
    alarm('missed', `No reading for ${minutesWords(since / 60)}.`);
  const { latestHours } = options;
  if (!options.cooling && latestHours !== null && now > latestHours * 3600)
    alarm(
      'late',
      `Past the ${latestHours} hours this firing may take: go and look, and shut it off by hand if need be.`,
    );
  if (last === undefined) return alarms;
  const watch = new Watch(watchOptions(log, options));
  for (const one of log) watch.read(one);
  const change = watch.change(now);
  if (change !== null) alarm(change.kind, changeWords(change));
  const asked = watch.question(now);
  if (asked !== null)
    alarms.push({ kind: asked.kind, level: 'question', message: askedWords(asked), at: asked.at });
  if (change === null && !options.cooling) alarms.push(...notesOf(log, last, options));
  return alarms;
}

function notesOf(log: readonly Reading[], last: Reading, options: UnderWatch): Alarm[] {
  const wanted = options.profile === null ? null : plannedAt(options.profile, last.t);
  if (wanted !== null && wanted - last.c > BEHIND)
    return [
      {
        kind: 'behind',
        level: 'note',
        message: `${Math.round(wanted - last.c)} K behind its schedule.`,
      },
    ];
  const rate = rateNow(log, 60);
  const { top } = options;
  const stands = rate !== null && Math.abs(rate) < STANDS && last.t > 2 * 3600 && last.c > 200;
  return stands && top !== null && last.c < top - 40 && options.profile === null
    ? [
        {
          kind: 'stands',
          level: 'note',
          message: `Stands at ${Math.round(last.c)} °C, ${Math.round(top - last.c)} K below its cone.`,
        },
      ]
    : [];
}
