/** Temperatures of firings as they were read, and of kilns that had no firing under way. */
import { TOUCHES } from '@/core/firing';
import type { Doubt, Reading } from '@/core/heatwork';

import type { Knex } from 'knex';
import { insertMany, insertNew, type Row, type Source } from './database';

const SOURCES = ['hand', 'device', 'file'] as const;
export type ReadingSource = (typeof SOURCES)[number];
export type NewReading = {
  at: Date;
  celsius: number | null;
  probeMv: number | null;
  doubt: Doubt | null;
};
export type KeptReading = {
  at: Date;
  celsius: number | null;
  probeMv: number | null;
  source: ReadingSource;
  doubt: Doubt | 'struck' | null;
  /**
   * When it was written down, where that was not at once by a device; what it was before, and why it changed.
   */
  addedAt: Date | null;
  wasCelsius: number | null;
  why: string | null;
};

/** Keeps readings; those of a moment that has one already are left out. Says how many were new. */
export const keepReadings = (
  src: Source,
  firingId: string,
  readings: readonly NewReading[],
  source: ReadingSource,
  by: string | null,
  now: Date,
): Promise<number> =>
  insertNew(
    src,
    'reading',
    { firing_id: firingId },
    readings.map(({ at, celsius, probeMv, doubt }) => ({
      at,
      celsius,
      probe_mv: probeMv,
      source,
      doubt,
      by_person: by,
      added_at: source === 'device' ? null : now,
    })),
  );

/** Keeps readings of a kiln that no firing claims. Says how many were new. */
export const keepStrays = (
  src: Source,
  kilnId: string,
  readings: readonly Omit<NewReading, 'doubt'>[],
): Promise<number> =>
  insertNew(
    src,
    'stray_reading',
    { kiln_id: kilnId },
    readings.map(({ at, celsius, probeMv }) => ({
      at,
      celsius,
      probe_mv: probeMv,
    })),
  );

/** The log of a firing as far as it is believed: seconds since `from`, °C. One indexed read. */
export async function logOf(src: Source, firingId: string, from: Date): Promise<Reading[]> {
  const rows: Row[] = await src('reading')
    .where({ firing_id: firingId })
    .whereNull('doubt')
    .orderBy('at')
    .select('at', 'celsius');
  const start = from.getTime();
  return rows.map((row) => ({ t: (row.at.getTime() - start) / 1000, c: row.celsius }));
}

export const reading = (row: Row): KeptReading => ({
  at: row.at,
  celsius: row.celsius,
  probeMv: row.probe_mv,
  source: row.source,
  doubt: row.doubt,
  addedAt: row.added_at,
  wasCelsius: row.was_celsius,
  why: row.changed_why,
});

/** The last believed reading before a moment. */
export async function believedBefore(
  src: Source,
  firingId: string,
  at: Date,
): Promise<{ at: Date; celsius: number } | null> {
  const row = await src('reading')
    .where({ firing_id: firingId })
    .where('at', '<', at)
    .whereNull('doubt')
    .orderBy('at', 'desc')
    .first('at', 'celsius');
  return row === undefined ? null : { at: row.at, celsius: row.celsius };
}

/** The last readings doubted as jumps between two moments, oldest first. */
export async function jumpsBetween(
  src: Source,
  firingId: string,
  from: Date | null,
  to: Date,
): Promise<{ at: Date; celsius: number }[]> {
  const query = src('reading')
    .where({ firing_id: firingId, doubt: 'jump' })
    .where('at', '<', to)
    .orderBy('at', 'desc')
    .limit(3)
    .select('at', 'celsius');
  if (from !== null) query.where('at', '>', from);
  return ((await query) as Row[])
    .map((row) => ({ at: row.at as Date, celsius: row.celsius as number }))
    .reverse();
}

/** Is there anything in a firing's log but what a device read: a probe's voltage, doubts, what people told? */
export async function exceptionsOf(
  src: Source,
  firingId: string,
): Promise<{ probed: boolean; doubted: boolean; told: boolean }> {
  const some = (where: object): Knex.QueryBuilder =>
    src('reading')
      .where({ firing_id: firingId, ...where })
      .limit(1)
      .select(src.raw('1'));
  // The sources are named so that each is one look into the key.
  const [row] = (await src.select({
    told: some({}).whereIn(
      'source',
      SOURCES.filter((one) => one !== 'device'),
    ),
    doubted: some({}).whereIn('source', SOURCES).whereNotNull('doubt'),
    probed: some({ doubt: null }).whereIn('source', SOURCES).whereNotNull('probe_mv'),
  })) as [Row];
  return { probed: row.probed !== null, doubted: row.doubted !== null, told: row.told !== null };
}

/** How many readings are kept but not believed, by why. */
export async function countDoubts(src: Source, firingId: string): Promise<Map<string, number>> {
  const rows: Row[] = await src('reading')
    .where({ firing_id: firingId })
    .whereNotNull('doubt')
    .groupBy('doubt')
    .select('doubt')
    .count({ n: '*' });
  return new Map(rows.map((row) => [row.doubt as string, Number(row.n)]));
}

/** Readings of the oxygen probe, thinned to one a minute. */
export async function probeOf(
  src: Source,
  firingId: string,
): Promise<{ at: Date; celsius: number; mv: number }[]> {
  const rows: Row[] = await src('reading')
    .where({ firing_id: firingId })
    .whereNotNull('probe_mv')
    .whereNull('doubt')
    .orderBy('at')
    .select('at', 'celsius', 'probe_mv');
  const kept: { at: Date; celsius: number; mv: number }[] = [];
  for (const row of rows)
    if (kept.length === 0 || row.at.getTime() - kept.at(-1)!.at.getTime() >= 60_000)
      kept.push({ at: row.at, celsius: row.celsius, mv: row.probe_mv });
  return kept;
}

/** The last reading of each of these firings. */
export async function lastOf(
  src: Source,
  firingIds: readonly string[],
): Promise<Map<string, { at: Date; celsius: number }>> {
  const found = new Map<string, { at: Date; celsius: number }>();
  for (const id of firingIds) {
    const row = await src('reading')
      .where({ firing_id: id })
      .whereNull('doubt')
      .orderBy('at', 'desc')
      .first('at', 'celsius');
    if (row) found.set(id, { at: row.at, celsius: row.celsius });
  }
  return found;
}

/** What a kiln sent while no firing was under way: how many, from when to when, how hot. */
export async function strayOf(
  src: Source,
  kilnId: string,
): Promise<{ count: number; from: Date; to: Date; peak: number | null } | null> {
  const row: Row | undefined = await src('stray_reading')
    .where({ kiln_id: kilnId })
    .min({ from: 'at' })
    .max({ to: 'at', peak: 'celsius' })
    .count({ n: '*' })
    .first();
  const count = Number(row?.n ?? 0);
  if (row === undefined || count === 0) return null;
  return { count, from: row.from, to: row.to, peak: row.peak };
}

/** Hands strays between two moments over, oldest first, and forgets them as strays. */
export async function takeStrays(
  src: Source,
  kilnId: string,
  from: Date,
  to: Date,
): Promise<{ at: Date; celsius: number | null; probeMv: number | null }[]> {
  const rows: Row[] = await src('stray_reading')
    .where({ kiln_id: kilnId })
    .whereBetween('at', [from, to])
    .orderBy('at')
    .forUpdate();
  await src('stray_reading').where({ kiln_id: kilnId }).whereBetween('at', [from, to]).delete();
  return rows.map((row) => ({ at: row.at, celsius: row.celsius, probeMv: row.probe_mv }));
}

export async function dropStrays(src: Source, kilnId: string): Promise<number> {
  return src('stray_reading').where({ kiln_id: kilnId }).delete();
}

/** Readings of the past in one go (the demo studio's). */
export const insertReadings = (
  src: Source,
  rows: readonly { firingId: string; at: Date; celsius: number; source: ReadingSource }[],
): Promise<void> =>
  insertMany(
    src,
    'reading',
    rows.map((one) => ({
      firing_id: one.firingId,
      at: one.at,
      celsius: one.celsius,
      source: one.source,
    })),
    2000,
  );

export type Glimpse = {
  /** One believed reading a minute at most: seconds since it was lit, °C. */
  log: Reading[];
  /** Readings not believed since the last that was, at most one a minute counted. */
  doubted: number;
  /** When the diary says that somebody touched the kiln. */
  touched: Date[];
};

/** What these firings' readings and diaries come to, in one read however many they are. */
export async function glimpsesOf(
  src: Source,
  firings: readonly { id: string; startedAt: Date }[],
): Promise<Map<string, Glimpse>> {
  const start = new Map(firings.map(({ id, startedAt }) => [id, startedAt.getTime()]));
  const found = new Map(
    firings.map(({ id }): [string, Glimpse] => [id, { log: [], doubted: 0, touched: [] }]),
  );
  if (start.size === 0) return found;
  const ids = [...start.keys()];
  const numbered = src('reading')
    .whereIn('firing_id', ids)
    .where((one) => one.whereNull('doubt').orWhereNot('doubt', 'struck'))
    .select(
      'firing_id',
      'at',
      'celsius',
      src.raw(`IF(doubt IS NULL, 'read', 'doubted') AS what`),
      src.raw(
        'ROW_NUMBER() OVER (PARTITION BY firing_id, FLOOR(UNIX_TIMESTAMP(at) / 60), doubt IS NULL ORDER BY at DESC) AS nth',
      ),
    )
    .as('numbered');
  const rows: Row[] = await src
    .from(numbered)
    .where('nth', 1)
    .select('firing_id', 'at', 'celsius', 'what')
    .unionAll(
      src('firing_entry')
        .whereIn('firing_id', ids)
        .whereIn('kind', [...TOUCHES])
        .whereNull('dropped_at')
        .select('firing_id', 'at', src.raw('NULL'), src.raw(`'touched'`)),
    )
    .orderBy(['firing_id', 'at']);
  for (const { firing_id: id, at, celsius, what } of rows) {
    const glimpse = found.get(id)!;
    if (what === 'touched') glimpse.touched.push(at);
    else if (what === 'doubted') glimpse.doubted++;
    else {
      glimpse.log.push({ t: (at.getTime() - start.get(id)!) / 1000, c: celsius });
      glimpse.doubted = 0;
    }
  }
  return found;
}
