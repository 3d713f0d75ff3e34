/** `./backup [--to DIR]`: a backup of the studio in one file. */
import { existsSync } from 'node:fs';
import { mkdir, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { makeBackup, tidy } from '../src/keeper/backup/make';
import { packTo } from '../src/keeper/backup/packed';
import { Shelf } from '../src/keeper/backup/shelf';
import { currentDatabase } from '../src/keeper/current';
import { folderOf } from '../src/keeper/folder';
import { dataFolder, failing, typed } from './house';
import { borrowServer } from '../src/keeper/borrow';

async function main(): Promise<void> {
  const { values } = parseArgs({ options: { to: { type: 'string' }, empty: { type: 'boolean' } } });
  const folder = folderOf(dataFolder(values.empty ?? false));
  if (!existsSync(folder.tables)) throw new Error(`There is no studio in ${folder.data}.`);
  const to = typed(values.to ?? '.');
  await mkdir(to, { recursive: true });
  const shelf = new Shelf(folder.backups);
  const backup = await borrowServer(folder, './backup', (server) =>
    makeBackup(server, currentDatabase(folder), shelf, 'asked', { said: console.log }),
  );
  const slug = backup.manifest.studio.toLowerCase().replace(/[^a-z0-9]+/g, '-') || 'studio';
  const path = join(to, `jiten-${slug}-${backup.name}.tar`);
  await packTo(shelf, backup, path);
  await tidy(shelf);
  console.log(`${path}: ${Math.ceil((await stat(path)).size / 1024 ** 2)} MB`);
}

main().catch((error: unknown) => {
  failing(error);
  process.exitCode = 1;
});
