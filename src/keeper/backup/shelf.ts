/** The folder of backups: for each a dump and its list of contents, and every picture once. */
import { existsSync } from 'node:fs';
import { link, mkdir, readdir, readFile, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { z } from 'zod';
import { copyWhole, weigh, writeText, type Weight } from './files';
import { NotABackup, readManifest, type BackupFile, type Manifest } from './manifest';

const LIST = '.json';
const WORD = '.verified.json';
const PICTURES = 'pictures';

const verified = z.object({ at: z.iso.datetime(), ok: z.boolean(), said: z.string() });
export type Verified = z.output<typeof verified>;

export type Backup = { name: string; manifest: Manifest; verified: Verified | null };

/** Where a picture lies under its own name: in folders of two letters, as it does in the studio. */
export const pictureIn = (root: string, name: string): string => join(root, name.slice(0, 2), name);

/** Every picture that lies in a folder of them, with nothing of what is still being written. */
export async function picturesIn(root: string): Promise<string[]> {
  if (!existsSync(root)) return [];
  const found: string[] = [];
  for (const two of await readdir(root))
    if (/^[0-9a-f]{2}$/.test(two))
      for (const name of await readdir(join(root, two)))
        if (/^[0-9a-f]{64}[\w.-]*$/.test(name) && /\.(original|webp)$/.test(name)) found.push(name);
  return found.sort();
}

/** A folder with backups in it. */
export class Shelf {
  constructor(readonly root: string) {}

  path(name: string): string {
    return join(this.root, name);
  }

  picture(name: string): string {
    return pictureIn(join(this.root, PICTURES), name);
  }

  /** All that lie here, newest first; what cannot be read is left out of the list, never thrown away. */
  async list(): Promise<Backup[]> {
    if (!existsSync(this.root)) return [];
    const names = (await readdir(this.root)).filter((name) => name.endsWith(LIST) && !name.endsWith(WORD));
    const found = await Promise.all(names.map((name) => this.read(name.slice(0, -LIST.length))));
    return found.filter((one) => one !== null).sort((a, b) => b.manifest.made.localeCompare(a.manifest.made));
  }

  private async read(name: string): Promise<Backup | null> {
    try {
      return { name, manifest: await this.manifest(name), verified: await this.wordOf(name) };
    } catch (error) {
      if (error instanceof NotABackup) return null;
      throw error;
    }
  }

  async manifest(name: string): Promise<Manifest> {
    return readManifest(await readFile(this.path(`${name}${LIST}`), 'utf8'), name);
  }

  private async wordOf(name: string): Promise<Verified | null> {
    try {
      return verified.parse(JSON.parse(await readFile(this.path(`${name}${WORD}`), 'utf8')));
    } catch {
      return null;
    }
  }

  /** Writes down that a backup was tried, and with what result. */
  async tell(name: string, word: Verified): Promise<void> {
    await writeText(this.path(`${name}${WORD}`), JSON.stringify(word));
  }

  /** The last thing that is written of a backup: from then on it is one. */
  async close(name: string, manifest: Manifest): Promise<void> {
    await writeText(this.path(`${name}${LIST}`), JSON.stringify(manifest));
  }

  /** Takes a picture in unless it lies here; on the same disk that costs no room. */
  async take(from: string, name: string): Promise<void> {
    const target = this.picture(name);
    if (existsSync(target)) return;
    await mkdir(join(target, '..'), { recursive: true, mode: 0o700 });
    try {
      await link(from, target);
    } catch {
      await copyWhole(from, target);
    }
  }

  /** Throws backups away, and pictures that none of the others holds. */
  async forget(names: readonly string[]): Promise<void> {
    if (names.length === 0) return;
    for (const name of names) {
      // The list goes first: without it the rest is no backup any more.
      for (const end of [LIST, WORD, '.sql.gz']) await rm(this.path(`${name}${end}`), { force: true });
    }
    const lists = await this.everyList();
    if (lists === null) return;
    const held = new Set(lists.flatMap(({ pictures }) => pictures.map(({ name }) => name)));
    for (const name of await picturesIn(join(this.root, PICTURES)))
      if (!held.has(name)) await rm(this.picture(name), { force: true });
  }

  /** Null when one list cannot be read: then nobody knows which pictures may go. */
  private async everyList(): Promise<Manifest[] | null> {
    try {
      const names = (await readdir(this.root)).filter((name) => name.endsWith(LIST) && !name.endsWith(WORD));
      return await Promise.all(names.map((name) => this.manifest(name.slice(0, -LIST.length))));
    } catch (error) {
      if (error instanceof NotABackup) return null;
      throw error;
    }
  }

  /** Are all files there, as heavy as when they were put here? Says what is wrong, or null. */
  async missing({ manifest }: Pick<Backup, 'manifest'>): Promise<string | null> {
    const dump = await wrong(this.path(manifest.dump.name), manifest.dump, 'The database');
    if (dump !== null) return dump;
    for (const one of manifest.pictures) {
      const found = await wrong(this.picture(one.name), one, `The picture ${one.name.slice(0, 12)}…`);
      if (found !== null) return found;
    }
    return null;
  }
}

async function wrong(path: string, wanted: BackupFile, what: string): Promise<string | null> {
  const size = await stat(path).then(
    (found) => found.size,
    () => null,
  );
  if (size === null) return `${what} is missing.`;
  if (size < wanted.bytes) return `${what} is cut off: ${size} of ${wanted.bytes} bytes are there.`;
  const { sha256 }: Weight = await weigh(path);
  return sha256 === wanted.sha256 ? null : `${what} was altered since it was put away.`;
}
