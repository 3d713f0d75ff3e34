/**
 * `./restore FILE [--into DIR]`: brings a backup up in a data folder, over a living studio only when its name
 * is typed.
 */
import { mkdirSync } from 'node:fs';
import { createInterface } from 'node:readline/promises';
import { parseArgs } from 'node:util';
import { bringBack } from '../src/keeper/backup/restore';
import { makeBackup } from '../src/keeper/backup/make';
import { unpack } from '../src/keeper/backup/packed';
import { Shelf } from '../src/keeper/backup/shelf';
import { currentDatabase, pointAt } from '../src/keeper/current';
import { folderOf, type Folder } from '../src/keeper/folder';
import { holdFolder } from '../src/keeper/hold';
import { endLeftovers, noteChild } from '../src/keeper/processes';
import { dropDatabase, openOn, startDatabase, type RunningDatabase } from '../src/keeper/server';
import { dataFolder, failing, makeAgain, typed } from './house';

/**
 * No such database, no such table: nothing lives here. Any other error is one, and nothing is put in its
 * place.
 */
const NOTHING_HERE = new Set([1049, 1146]);

/** The name of the studio that lives in a folder; empty when none does. Errors: it cannot be asked. */
async function livingStudio(server: RunningDatabase, folder: Folder): Promise<string> {
  const db = openOn(server, currentDatabase(folder));
  try {
    return ((await db('studio').first('name'))?.name as string | undefined) ?? '';
  } catch (error) {
    if (NOTHING_HERE.has((error as { errno?: number }).errno ?? 0)) return '';
    throw error;
  } finally {
    await db.destroy();
  }
}

async function meant(studio: string, over: string | undefined): Promise<boolean> {
  if (over !== undefined) return over.trim() === studio;
  if (!process.stdin.isTTY) return false;
  const lines = createInterface({ input: process.stdin, output: process.stdout });
  try {
    const said = await lines.question(
      `“${studio}” lives here. Type its name to put the backup in its place: `,
    );
    return said.trim() === studio;
  } finally {
    lines.close();
  }
}

async function main(): Promise<void> {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: { into: { type: 'string' }, over: { type: 'string' }, empty: { type: 'boolean' } },
  });
  if (positionals.length !== 1)
    throw new Error('Say which: ./restore FILE [--into DIR] [--over "NAME OF THE STUDIO"]');
  const folder = folderOf(values.into === undefined ? dataFolder(values.empty ?? false) : typed(values.into));
  mkdirSync(folder.data, { recursive: true });
  const hold = await holdFolder(folder, './restore');
  try {
    await endLeftovers(folder);
    const shelf = new Shelf(folder.backups);
    const backup = await unpack(typed(positionals[0]!), shelf);
    const server = await startDatabase(folder.data);
    noteChild(folder, 'database', server.pid);
    try {
      const studio = await livingStudio(server, folder);
      if (studio !== '' && !(await meant(studio, values.over)))
        throw new Error(
          `“${studio}” lives in ${folder.data}. Say --over "${studio}" to put the backup in its place; nothing was changed.`,
        );
      const before = currentDatabase(folder);
      if (studio !== '') {
        console.log('a backup of what is here now');
        await makeBackup(server, before, shelf, 'before-restore');
      }
      const database = await bringBack(server, shelf, backup, {
        after: makeAgain,
        said: console.log,
      });
      await pointAt(folder, database);
      await dropDatabase(server, before);
    } finally {
      await server.stop();
    }
    console.log(
      `“${backup.manifest.studio}” is in ${folder.data} as it was on ${backup.manifest.made.slice(0, 16).replace('T', ' ')} UTC.`,
    );
  } finally {
    hold.release();
  }
}

main().catch((error: unknown) => {
  failing(error);
  process.exitCode = 1;
});
