/** Makes a backup of a studio: its database as it is now, and every picture once. */
import { randomBytes } from 'node:crypto';
import { mkdir, stat } from 'node:fs/promises';
import { readFileSync } from 'node:fs';
import { noRoom } from '../folder';
import { openOn } from '../server';
import { dumpTo, type Dumped } from './dump';
import { copyWhole, weigh } from './files';
import { FORMAT, type BackupFile, type BackupKind, type Manifest } from './manifest';
import { toForget } from './nights';
import { pictureIn, picturesIn, Shelf, type Backup } from './shelf';

/** What the running program calls itself. */
export const APPLICATION: string = (
  JSON.parse(readFileSync(new URL('../../../package.json', import.meta.url), 'utf8')) as {
    version: string;
  }
).version;

export type Progress = (said: string) => void;

/** A name that sorts by time and is never given twice. */
export const backupName = (now: Date, kind: BackupKind): string =>
  `${now.toISOString().slice(0, 16).replace(/:/g, '')}-${kind}-${randomBytes(2).toString('hex')}`;

/** What the database says of itself; a studio that was not opened yet has no name. */
async function described(server: Dumped, database: string): Promise<{ studio: string; steps: string[] }> {
  const db = openOn(server, database);
  try {
    const steps = (await db.schema.hasTable('knex_migrations'))
      ? await db('knex_migrations').orderBy('id').pluck('name')
      : [];
    const studio = (await db.schema.hasTable('studio')) ? await db('studio').first('name') : null;
    return { studio: studio?.name ?? '', steps };
  } finally {
    await db.destroy();
  }
}

/** What was weighed once need not be read again: a picture's content is its name. */
function weightsOf(backups: readonly Backup[]): Map<string, BackupFile> {
  return new Map(backups.flatMap(({ manifest }) => manifest.pictures.map((one) => [one.name, one] as const)));
}

async function picturesTaken(root: string, shelf: Shelf, said: Progress): Promise<BackupFile[]> {
  const known = weightsOf(await shelf.list());
  const taken: BackupFile[] = [];
  const names = await picturesIn(root);
  for (const [i, name] of names.entries()) {
    const from = pictureIn(root, name);
    const kept = known.get(name);
    const { size } = await stat(from);
    taken.push(kept?.bytes === size ? kept : { name, ...(await weigh(from)) });
    await shelf.take(from, name);
    if (i % 50 === 49) said(`pictures: ${i + 1} of ${names.length}`);
  }
  return taken;
}

/**
 * Makes one on a shelf. The database first: a picture that arrives meanwhile is one too many, and
 * harmless; one too few would be missed.
 * Errors: no room on the disk; the tools' own words.
 */
export async function makeBackup(
  server: Dumped,
  database: string,
  shelf: Shelf,
  kind: BackupKind,
  { now = new Date(), said = () => undefined }: { now?: Date; said?: Progress } = {},
): Promise<Backup> {
  await mkdir(shelf.root, { recursive: true, mode: 0o700 });
  const full = noRoom(shelf.root);
  if (full !== null) throw new Error(full);
  const name = backupName(now, kind);
  said('the database');
  const about = await described(server, database);
  const dump = {
    name: `${name}.sql.gz`,
    ...(await dumpTo(server, database, shelf.path(`${name}.sql.gz`))),
  };
  const pictures = await picturesTaken(server.folder.pictures, shelf, said);
  const manifest: Manifest = {
    jiten: 'backup',
    format: FORMAT,
    kind,
    made: now.toISOString(),
    application: APPLICATION,
    ...about,
    dump,
    pictures,
  };
  await shelf.close(name, manifest);
  return { name, manifest, verified: null };
}

/** Throws away what is kept no longer; says which. */
export async function tidy(shelf: Shelf): Promise<string[]> {
  const names = toForget(
    (await shelf.list()).map(({ name, manifest }) => ({
      name,
      kind: manifest.kind,
      made: new Date(manifest.made),
    })),
  );
  await shelf.forget(names);
  return names;
}

/** Brings a backup to another shelf: one on another disk. */
export async function copyBackup(from: Shelf, to: Shelf, { name, manifest }: Backup): Promise<void> {
  await mkdir(to.root, { recursive: true, mode: 0o700 });
  for (const one of manifest.pictures) await to.take(from.picture(one.name), one.name);
  const { sha256 } = await copyWhole(from.path(manifest.dump.name), to.path(manifest.dump.name));
  if (sha256 !== manifest.dump.sha256) throw new Error('The copy of the database is not what was copied.');
  await to.close(name, manifest);
}
