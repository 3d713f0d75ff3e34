/** A backup in one file, to be carried: its list of contents first, then what it lists. */
import { createReadStream } from 'node:fs';
import { mkdir, rename, rm, stat } from 'node:fs/promises';
import { dirname } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { Readable, type Writable } from 'node:stream';
import tar from 'tar-stream';
import { copyWhole, writeWhole } from './files';
import { backupName } from './make';
import { NotABackup, readManifest, type BackupFile, type Manifest } from './manifest';
import { Shelf, type Backup } from './shelf';

const LIST = 'manifest.json';
/** No list of contents is as long as this. */
const LIST_BYTES = 200_000_000;

/** Writes a backup of a shelf as one stream. */
export async function packInto(shelf: Shelf, { manifest }: Backup, to: Writable): Promise<void> {
  const pack = tar.pack();
  const add = async (path: string, one: BackupFile, name: string): Promise<void> => {
    const { size } = await stat(path);
    if (size !== one.bytes) throw new NotABackup(`${one.name} is not what it was; verify the backup.`);
    await new Promise<void>((resolve, reject) => {
      const entry = pack.entry({ name, size }, (error) => (error ? reject(error) : resolve()));
      pipeline(createReadStream(path), entry as unknown as Writable).catch(reject);
    });
  };
  const fill = async (): Promise<void> => {
    pack.entry({ name: LIST }, JSON.stringify(manifest));
    await add(shelf.path(manifest.dump.name), manifest.dump, manifest.dump.name);
    for (const one of manifest.pictures) await add(shelf.picture(one.name), one, `pictures/${one.name}`);
    pack.finalize();
  };
  await Promise.all([
    fill().catch((error: unknown) => {
      pack.destroy(error as Error);
      throw error;
    }),
    pipeline(pack as unknown as Readable, to),
  ]);
}

export const packTo = (shelf: Shelf, backup: Backup, path: string) =>
  writeWhole(path, (to) => packInto(shelf, backup, to));

/** Of a file that is read as it comes: its list, and what to do with each thing listed. */
async function read(
  from: string,
  listed: (manifest: Manifest) => Promise<void>,
  take: (one: BackupFile, content: Readable, manifest: Manifest) => Promise<void>,
): Promise<Manifest> {
  const extract = tar.extract();
  let manifest: Manifest | null = null;
  const waiting = new Map<string, BackupFile>();
  let current: { destroy(error: Error): void } | null = null;
  const reading = (async () => {
    for await (const entry of extract) {
      current = entry;
      const { name } = entry.header;
      if (manifest === null) {
        if (name !== LIST || (entry.header.size ?? 0) > LIST_BYTES)
          throw new NotABackup('This file is not a backup of a studio.');
        const chunks: Buffer[] = [];
        for await (const chunk of entry) chunks.push(chunk as Buffer);
        manifest = readManifest(Buffer.concat(chunks).toString('utf8'), 'This file');
        waiting.set(manifest.dump.name, manifest.dump);
        for (const one of manifest.pictures) waiting.set(`pictures/${one.name}`, one);
        await listed(manifest);
        continue;
      }
      const one = waiting.get(name);
      if (one === undefined)
        throw new NotABackup(`This backup was altered: “${name.slice(0, 60)}” is not on its list.`);
      waiting.delete(name);
      await take(one, Readable.from(entry), manifest);
    }
  })();
  // Both are waited for: what one of them still writes is not to be tidied away under its hands.
  const ends = await Promise.allSettled([
    reading,
    pipeline(createReadStream(from), extract as unknown as Writable).catch((error: unknown) => {
      // Whoever reads the last thing would wait for its rest for ever.
      current?.destroy(error as Error);
      throw error;
    }),
  ]);
  const errors: unknown[] = ends.flatMap((end) => (end.status === 'rejected' ? [end.reason] : []));
  if (errors.length > 0)
    throw (
      errors.find((error) => error instanceof NotABackup || isOurs(error)) ??
      new NotABackup(
        manifest === null
          ? 'This file is not a backup of a studio.'
          : 'This backup is cut off: it ends before all that it lists.',
      )
    );
  if (manifest === null) throw new NotABackup('This file is not a backup of a studio.');
  if (waiting.size > 0)
    throw new NotABackup(`This backup is cut off: ${waiting.size} of the things it lists are missing.`);
  return manifest;
}

/** A disk or a database that fails is not the file's fault. */
const isOurs = (error: unknown): boolean =>
  ['ENOSPC', 'EACCES', 'EROFS', 'EDQUOT', 'ENOENT'].includes((error as NodeJS.ErrnoException).code ?? '');

/** Puts a packed backup on a shelf. Errors: NotABackup for what is foreign, newer, altered or cut off. */
export async function unpack(from: string, shelf: Shelf): Promise<Backup> {
  await mkdir(shelf.root, { recursive: true, mode: 0o700 });
  let name = '';
  const written: string[] = [];
  try {
    const manifest = await read(
      from,
      async ({ made, kind }) => {
        name = backupName(new Date(made), kind);
      },
      async (one, content, { dump }) => {
        const path = one.name === dump.name ? shelf.path(`${name}.sql.gz`) : shelf.picture(one.name);
        await mkdir(dirname(path), { recursive: true, mode: 0o700 });
        const { sha256 } = await copyWhole(content, `${path}.come`);
        written.push(`${path}.come`);
        if (sha256 !== one.sha256)
          throw new NotABackup(
            `This backup was altered: ${one.name.slice(0, 40)} is not what its list says.`,
          );
      },
    );
    for (const path of written) await rename(path, path.slice(0, -'.come'.length));
    const kept: Manifest = { ...manifest, dump: { ...manifest.dump, name: `${name}.sql.gz` } };
    await shelf.close(name, kept);
    return { name, manifest: kept, verified: null };
  } catch (error) {
    for (const path of written) await rm(path, { force: true });
    throw error;
  }
}
