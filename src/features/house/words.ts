/** How backups and the house are spoken of. */
import type { HouseState, ListedBackup } from '@/keeper/state';

export const KIND_WORDS: Record<ListedBackup['kind'], string> = {
  night: 'nightly',
  asked: 'asked for',
  'before-migration': 'before the program was brought up to date',
  'before-restore': 'before another was brought back',
};

const DAY_MS = 86_400_000;
/** A night may be slept through; two are worth a word. */
const LATE_MS = 2 * DAY_MS;
const TRY_MS = 30 * DAY_MS;
/** Below this a technician is told: a full disk stops the studio. */
const LOW_BYTES = 2 * 1024 ** 3;

export const spokenBytes = (bytes: number): string =>
  bytes >= 1024 ** 3
    ? `${(bytes / 1024 ** 3).toFixed(1)} GB`
    : `${Math.max(1, Math.round(bytes / 1024 ** 2))} MB`;

export type Worry = { key: string; what: string; todo: string };

/** What of the house somebody should look after, gravest first. */
export function worries(state: HouseState, now: Date): Worry[] {
  const all: (Worry | false)[] = [];
  const since = (at: string): number => now.getTime() - Date.parse(at);
  const [newest] = state.backups;
  all.push(
    state.freeBytes < LOW_BYTES && {
      key: 'disk',
      what: `The disk is nearly full: ${spokenBytes(state.freeBytes)} left`,
      todo: 'Make room before the studio stops.',
    },
  );
  // A house that stands since less than that had no night yet.
  if (newest === undefined)
    all.push(
      since(state.since) > LATE_MS && {
        key: 'none',
        what: 'There is no backup',
        todo: 'Make one now, and find out why the nights make none.',
      },
    );
  else
    all.push(
      since(newest.made) > LATE_MS && {
        key: 'late',
        what: `The last backup is ${Math.floor(since(newest.made) / DAY_MS)} days old`,
        todo: 'Make one now, and find out why the nights make none.',
      },
    );
  const tried = state.backups.flatMap(({ verified }) => (verified === null ? [] : [verified]));
  const failed = state.backups.find(({ verified }) => verified?.ok === false);
  all.push(
    failed !== undefined && {
      key: 'failed',
      what: 'A backup was tried and did not come up',
      todo: failed.verified!.said,
    },
    newest !== undefined &&
      !tried.some(({ ok, at }) => ok && since(at) < TRY_MS) && {
        key: 'untried',
        what: 'No backup was tried for a month',
        todo: 'Try the newest: one that does not come up is none.',
      },
    state.elsewhere === null
      ? newest !== undefined && {
          key: 'elsewhere',
          what: 'All backups lie on the studio’s own disk',
          todo: 'Name a folder on another disk: when this one fails, everything on it is gone.',
        }
      : state.elsewhere.wrong !== null && {
          key: 'away',
          what: 'The last backup could not be copied to the other disk',
          todo: state.elsewhere.wrong,
        },
  );
  const fell = state.falls.filter(({ at }) => since(at) < DAY_MS);
  all.push(
    fell.length > 0 && {
      key: 'fell',
      what: `Something was started again ${fell.length === 1 ? 'once' : `${fell.length} times`} since yesterday`,
      todo: fell[0]!.word,
    },
  );
  return all.filter((one) => one !== false);
}
