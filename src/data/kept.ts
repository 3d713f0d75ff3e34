/** Reads that are kept in memory until something they were made from is written. */
import { LRUCache } from 'lru-cache';
import { changesOf, type Changes } from './changes';
import type { Source } from './database';

type Entry<T> = {
  value: T;
  /** How much was written when the read began. */
  since: number;
  tables: Set<string>;
  mark: string | null;
  at: number;
  /** Is it being asked for its mark right now? Others who want to know wait for the same answer. */
  asked: { now: number; same: Promise<boolean> } | null;
};

export type KeptRead<A extends unknown[], T> = {
  key: (...args: A) => string;
  read: (src: Source, ...args: A) => Promise<T>;
  /** At most so many are kept. */
  most: number;
  /** Is this worth keeping? */
  worth?: (value: T) => boolean;
  /**
   * Tables of which each write says by itself what it touched: when only they were written, the mark is
   * asked for, which costs less than the read, and what has the same mark still holds.
   */
  marked?: { tables: readonly string[]; mark: (src: Source, ...args: A) => Promise<string> };
};

/** Older ones are read again whatever was written: another process may have, as a script that mends does. */
const OLDEST_MS = 30_000;

/** A read that is kept; inside a transaction it is always made anew. */
export function keepRead<A extends unknown[], T>(
  of: KeptRead<A, T>,
): (src: Source, ...args: A) => Promise<T> {
  const stores = new WeakMap<Changes, LRUCache<string, Entry<T>>>();
  const underWay = new WeakMap<Changes, Map<string, { since: number; entry: Promise<Entry<T>> }>>();

  async function make(src: Source, changes: Changes, args: A): Promise<Entry<T>> {
    const since = changes.now;
    // The mark before the read: what is written between the two is then asked for again, not missed.
    const mark = of.marked === undefined ? null : await of.marked.mark(src, ...args);
    const { value, tables } = await changes.reading(() => of.read(src, ...args));
    return { value, since, tables, mark, at: Date.now(), asked: null };
  }

  /** Does it still hold? One that was marked is brought up to now by its mark. */
  async function holds(src: Source, changes: Changes, entry: Entry<T>, args: A): Promise<boolean> {
    if (Date.now() - entry.at > OLDEST_MS) return false;
    if (!changes.since(entry.since, entry.tables)) return true;
    if (of.marked === undefined) return false;
    const apart = new Set(of.marked.tables);
    if (
      changes.since(
        entry.since,
        [...entry.tables].filter((one) => !apart.has(one)),
      )
    )
      return false;
    const now = changes.now;
    if (entry.asked?.now !== now) {
      const same = of.marked.mark(src, ...args).then((one) => one === entry.mark);
      entry.asked = { now, same };
      // One that failed is asked again.
      same.catch(() => (entry.asked = null));
    }
    if (!(await entry.asked.same)) return false;
    entry.since = Math.max(entry.since, now);
    return true;
  }

  return async (src, ...args) => {
    const changes = changesOf(src);
    if (changes === null) return of.read(src, ...args);
    const store = stores.get(changes) ?? new LRUCache<string, Entry<T>>({ max: of.most });
    stores.set(changes, store);
    const flying = underWay.get(changes) ?? new Map<string, { since: number; entry: Promise<Entry<T>> }>();
    underWay.set(changes, flying);
    const key = of.key(...args);
    const kept = store.get(key);
    if (kept !== undefined && (await holds(src, changes, kept, args))) {
      changes.readAlso(kept.tables);
      return kept.value;
    }
    // Several who ask at once wait for one read, as long as nothing was written since it began.
    const same = flying.get(key);
    const making =
      same !== undefined && same.since === changes.now
        ? same
        : { since: changes.now, entry: make(src, changes, args) };
    flying.set(key, making);
    try {
      const entry = await making.entry;
      if (of.worth?.(entry.value) ?? true) store.set(key, entry);
      changes.readAlso(entry.tables);
      return entry.value;
    } finally {
      if (flying.get(key) === making) flying.delete(key);
    }
  };
}
