/** Brings the records up to the program's version, and back again when that fails. */
import { existsSync, readFileSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import { z } from 'zod';
import type { Database } from '../data/database';
import { migrate, pendingSteps } from '../data/migrations';
import { loadDump, type Dumped } from './backup/dump';
import { writeText } from './backup/files';
import { makeBackup, tidy } from './backup/make';
import type { Shelf } from './backup/shelf';
import { openOn } from './server';

const marker = z.object({ database: z.string(), backup: z.string(), steps: z.array(z.string()) });
const markerPath = (server: Dumped): string => join(server.folder.run, 'migrating.json');

export type BringUp = {
  server: Dumped;
  database: string;
  shelf: Shelf;
  say: (word: string) => void;
  /** What follows from the records and is made again after a change of rules. */
  after: (db: Database) => Promise<void>;
};

/** A step that was broken off half-way is undone: the backup of before it is read back. */
async function mendBroken({ server, shelf, say }: BringUp): Promise<void> {
  const path = markerPath(server);
  if (!existsSync(path)) return;
  const { database, backup, steps } = marker.parse(JSON.parse(readFileSync(path, 'utf8')));
  say(
    `Bringing the records up to date was broken off (${steps.join(', ')}); they are put back as they were …`,
  );
  const { dump } = await shelf.manifest(backup);
  await loadDump(server, database, shelf.path(dump.name));
  await rm(path);
}

async function hasRecords(db: Database): Promise<boolean> {
  return (await db.schema.hasTable('studio')) && (await db('studio').first('id')) !== undefined;
}

/**
 * Takes the steps that are missing. Where there are records, a backup is made just before, and read
 * back when a step fails or is killed. Says which steps were taken.
 * Errors: TooNew; a step's own, after everything is as it was.
 */
export async function bringUp(work: BringUp): Promise<string[]> {
  const { server, database, shelf, say, after } = work;
  await mendBroken(work);
  const db = openOn(server, database);
  try {
    const steps = await pendingSteps(db);
    if (steps.length === 0) return [];
    if (!(await hasRecords(db))) {
      await migrate(db);
      return steps;
    }
    say(`A backup before the records are brought up to date (${steps.join(', ')}) …`);
    const { name, manifest } = await makeBackup(server, database, shelf, 'before-migration');
    await writeText(markerPath(server), JSON.stringify({ database, backup: name, steps }));
    try {
      await migrate(db);
      say('Brought up to date; making the summaries again …');
      await after(db);
    } catch (error) {
      say('That failed; the records are put back as they were …');
      await loadDump(server, database, shelf.path(manifest.dump.name));
      await rm(markerPath(server));
      const why = error instanceof Error ? error.message : String(error);
      throw new Error(
        `The records could not be brought up to date: ${why.slice(0, 400)}\nThey are as they were before, for version ${manifest.application} with its last step ${manifest.steps.at(-1)}: start that version again, and report this.`,
        { cause: error },
      );
    }
    await rm(markerPath(server));
    await tidy(shelf);
    return steps;
  } finally {
    await db.destroy();
  }
}
