/** When a backup is due, and which are kept. */
import dayjs from 'dayjs';
import isoWeek from 'dayjs/plugin/isoWeek.js';
import type { BackupKind } from './manifest';

dayjs.extend(isoWeek);

/** Local hour of the nightly backup. */
const HOUR = 3;
export const KEPT = { days: 7, weeks: 4, months: 12 } as const;
/** Those that were asked for, or made before something was changed, are kept at least so many. */
const OTHERS_KEPT: Record<Exclude<BackupKind, 'night'>, number> = {
  asked: 10,
  'before-migration': 5,
  'before-restore': 5,
};

/** The last hour of three before a moment: what was made since is tonight's. */
export function lastNight(now: Date): Date {
  const today = dayjs(now).hour(HOUR).startOf('hour');
  return (today.isAfter(now) ? today.subtract(1, 'day') : today).toDate();
}

/**
 * Has the night passed without a backup? One that was slept through is made up as soon as somebody is awake.
 */
export const isDue = (now: Date, last: Date | null): boolean => last === null || last < lastNight(now);

type Kept = { name: string; kind: BackupKind; made: Date };

/** The newest of each of the last `most` periods that have one. */
function newestOf(nights: readonly Kept[], period: (made: Date) => string, most: number): Kept[] {
  const newest = new Map<string, Kept>();
  for (const one of nights) if (!newest.has(period(one.made))) newest.set(period(one.made), one);
  return [...newest.values()].slice(0, most);
}

/** Which backups may go: nights beyond 7 days, 4 weeks and 12 months, others beyond the last few. */
export function toForget(backups: readonly Kept[]): string[] {
  const sorted = [...backups].sort((a, b) => b.made.getTime() - a.made.getTime());
  const nights = sorted.filter(({ kind }) => kind === 'night');
  const keep = new Set<Kept>([
    ...newestOf(nights, (made) => dayjs(made).format('YYYY-MM-DD'), KEPT.days),
    ...newestOf(nights, (made) => dayjs(made).isoWeek() + '/' + dayjs(made).isoWeekYear(), KEPT.weeks),
    ...newestOf(nights, (made) => dayjs(made).format('YYYY-MM'), KEPT.months),
  ]);
  for (const [kind, most] of Object.entries(OTHERS_KEPT))
    for (const one of sorted.filter((other) => other.kind === kind).slice(0, most)) keep.add(one);
  return sorted.filter((one) => !keep.has(one)).map(({ name }) => name);
}
