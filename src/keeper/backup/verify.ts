/** Tries a backup: brings it up on a server of its own and compares what follows from its records. */
import { mkdtemp, rm } from 'node:fs/promises';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { freshen } from '../../data/cell-summaries';
import { transact, type Database } from '../../data/database';
import { migrate } from '../../data/migrations';
import { rebuildSummaries } from '../../data/summaries';
import { openOn, startDatabase } from '../server';
import { loadDump } from './dump';
import type { Progress } from './make';
import type { Shelf, Backup } from './shelf';

const SCRATCH = 'jiten_scratch';

/** What follows from the records, in an order that is always the same. */
async function following(db: Database): Promise<Record<string, string[]>> {
  const rows = async (table: string, order: string[], columns: string[] = ['*']) =>
    (await db(table).orderBy(order).select(columns)).map((row) => JSON.stringify(row));
  return {
    'cells of the chart': await rows('cell', ['id']),
    'what counts for them': await rows('sighting', ['piece_id', 'firing_id', 'cell_id']),
    'what pieces wait for': await rows(
      'piece',
      ['id'],
      ['id', 'waiting_for', 'wanted_cone', 'wanted_atmosphere'],
    ),
  };
}

function different(kept: Record<string, string[]>, made: Record<string, string[]>): string | null {
  for (const [what, rows] of Object.entries(kept)) {
    const other = new Set(made[what]);
    const strange = rows.filter((row) => !other.has(row)).length;
    if (strange > 0 || rows.length !== other.size)
      return `${what} (${Math.max(strange, Math.abs(rows.length - other.size))} of ${rows.length})`;
  }
  return null;
}

export type Trial = { ok: boolean; said: string };

/** Every picture and every sound that is on record must lie among those of the backup. */
async function lostPictures(db: Database, { manifest }: Pick<Backup, 'manifest'>): Promise<number> {
  const there = new Set(manifest.pictures.map(({ name }) => name));
  const wanted: string[] = await db('photo').distinct().pluck('sha');
  // A backup from before there were any has no such table.
  if (await db.schema.hasTable('sound')) wanted.push(...(await db('sound').distinct().pluck('sha')));
  return wanted.filter((sha) => !there.has(`${sha}.original`)).length;
}

/**
 * Tries a backup in a folder of its own under `beside`, which is gone afterwards. The backup itself is
 * only read. Errors: none; what is wrong is said.
 */
export async function tryBackup(
  shelf: Shelf,
  backup: Backup,
  beside: string,
  said: Progress = () => undefined,
): Promise<Trial> {
  said('weighing its files');
  const wrong = await shelf.missing(backup);
  if (wrong !== null) return { ok: false, said: wrong };
  const scratch = await mkdtemp(join(beside, 'scratch-'));
  try {
    said('starting a server of its own');
    const server = await startDatabase(scratch, { throwaway: true });
    try {
      said('bringing the database up');
      await loadDump(server, SCRATCH, shelf.path(backup.manifest.dump.name));
      const db = openOn(server, SCRATCH);
      try {
        return await tried(db, backup, said);
      } finally {
        await db.destroy();
      }
    } finally {
      await server.stop();
    }
  } catch (error) {
    return {
      ok: false,
      said: `It does not come up: ${error instanceof Error ? error.message : String(error)}`,
    };
  } finally {
    if (existsSync(scratch)) await rm(scratch, { recursive: true, force: true });
  }
}

async function tried(db: Database, backup: Backup, said: Progress): Promise<Trial> {
  const steps = await migrate(db);
  const count = async (table: string): Promise<number> =>
    Number((await db(table).count({ n: '*' }).first())?.n);
  const lost = await lostPictures(db, backup);
  if (lost > 0) return { ok: false, said: `${lost} pictures that are on record are not in it.` };
  const [pieces, firings] = [await count('piece'), await count('firing')];
  const whole = `${pieces} pieces, ${firings} firings and ${await count('photo')} pictures come up`;
  // A newer program follows newer rules: what follows from the records is then another.
  if (steps.length > 0) return { ok: true, said: `${whole}, brought up to date by ${steps.length} steps.` };
  said('making its summaries again');
  await freshen(db);
  const kept = await following(db);
  await transact(db, (trx) => rebuildSummaries(trx));
  const differs = different(kept, await following(db));
  return differs === null
    ? { ok: true, said: `${whole}; every summary is what its records say.` }
    : { ok: false, said: `${whole}, but ${differs} are not what its records say.` };
}
