/** Brings a backup back as the studio's records. */
import { mkdir } from 'node:fs/promises';
import { existsSync } from 'node:fs';
import { dirname } from 'node:path';
import type { Database } from '../../data/database';
import { migrate } from '../../data/migrations';
import { noRoom } from '../folder';
import { dropDatabase, openOn } from '../server';
import { loadDump, type Dumped } from './dump';
import { copyWhole } from './files';
import type { Progress } from './make';
import { NotABackup } from './manifest';
import { pictureIn, type Backup, type Shelf } from './shelf';

/**
 * Reads a backup into a database beside the studio's and brings it up to date; it is for whoever called
 * to point at it. Broken off at any moment, the studio is what it was. Pictures are added, none is
 * taken away. Says what the new database is called.
 * Errors: NotABackup; no room.
 */
export async function bringBack(
  server: Dumped,
  shelf: Shelf,
  backup: Backup,
  {
    after,
    said = () => undefined,
    now = new Date(),
  }: { after: (db: Database) => Promise<void>; said?: Progress; now?: Date },
): Promise<string> {
  const { folder } = server;
  said('weighing the backup');
  const wrong = await shelf.missing(backup);
  if (wrong !== null) throw new NotABackup(`${wrong} Nothing was changed.`);
  const full = noRoom(folder.data);
  if (full !== null) throw new Error(full);
  const database = `jiten_${now.getTime().toString(36)}`;
  try {
    said('bringing the database back');
    await loadDump(server, database, shelf.path(backup.manifest.dump.name));
    const db = openOn(server, database);
    try {
      const steps = await migrate(db);
      if (steps.length > 0) {
        said('bringing it up to date');
        await after(db);
      }
    } finally {
      await db.destroy();
    }
    for (const [i, { name }] of backup.manifest.pictures.entries()) {
      const target = pictureIn(folder.pictures, name);
      if (existsSync(target)) continue;
      await mkdir(dirname(target), { recursive: true });
      await copyWhole(shelf.picture(name), target);
      if (i % 50 === 49) said(`pictures: ${i + 1} of ${backup.manifest.pictures.length}`);
    }
  } catch (error) {
    await dropDatabase(server, database);
    throw error;
  }
  return database;
}
