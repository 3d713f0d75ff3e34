import type { Source } from './database';

const DAY = 86_400_000;

/**
 * How long things are kept that are no record of the studio's work. A device that was out of range
 * sends again under the same id: within these days a repeat changes nothing. Readings that no
 * firing claimed are offered as long. Ticks of a sheet go when nobody has touched it for so long. Readings of
 * firings are records and are kept for good.
 */
export const KEPT_DAYS = { operation: 180, stray_reading: 90, tick: 180 } as const;

const AT_ONCE = 5000;

/** Forgets what is older than it is kept, a few thousand rows at a time; how many rows of each went. */
export async function forgetOld(
  src: Source,
  now: Date,
): Promise<Record<keyof typeof KEPT_DAYS | 'attempt', number>> {
  const gone = { operation: 0, stray_reading: 0, tick: 0, attempt: 0 };
  for (const table of Object.keys(KEPT_DAYS) as (keyof typeof KEPT_DAYS)[]) {
    const before = new Date(now.getTime() - KEPT_DAYS[table] * DAY);
    let went: number;
    do {
      went = await src(table).where('at', '<', before).limit(AT_ONCE).delete();
      gone[table] += went;
    } while (went === AT_ONCE);
  }
  // Wrong passwords say themselves until when they count.
  gone.attempt = await src('attempt').where('expire', '<', now.getTime()).delete();
  return gone;
}
