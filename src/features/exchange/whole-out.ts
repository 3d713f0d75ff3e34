/** The whole studio as one file, as it leaves. */
import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { mkdtemp, readdir, rm, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable, type Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import tar from 'tar-stream';
import type { Database } from '@/data/database';
import { inOneMoment } from '@/data/export';
import { readStudio } from '@/data/studio';
import { STEP, wholeRows, wholeTables, type TableSum } from '@/data/whole';
import { FORMAT, PICTURE, RECORDS } from './whole-format';

/** The records of one moment, a line each: what it is, then of each table its columns, its rows, its sum. */
export const wholeLines = (db: Database, now: Date): AsyncGenerator<string> =>
  inOneMoment(db, async function* (src) {
    const studio = (await readStudio(src))?.name ?? '';
    yield `${JSON.stringify({ format: FORMAT, version: 1, step: STEP, studio, made: now.toISOString() })}\n`;
    for (const table of await wholeTables(src)) {
      yield `${JSON.stringify({ table: table.name, columns: table.columns })}\n`;
      const hash = createHash('sha256');
      let rows = 0;
      for await (const line of wholeRows(src, table)) {
        hash.update(line).update('\n');
        rows++;
        yield `${line}\n`;
      }
      const sum: TableSum = { table: table.name, rows, sha256: hash.digest('hex') };
      yield `${JSON.stringify({ sum })}\n`;
    }
    yield '{"end":true}\n';
  });

/** The file as it leaves. What is written while it leaves is not in it. */
export async function* wholeBytes(db: Database, pictures: string, now: Date): AsyncGenerator<Uint8Array> {
  const folder = await mkdtemp(join(tmpdir(), 'jiten-whole-'));
  const pack = tar.pack();
  try {
    const path = join(folder, RECORDS);
    await pipeline(Readable.from(wholeLines(db, now)), createWriteStream(path, { mode: 0o600 }));
    const add = async (name: string, from: string): Promise<void> => {
      const entry = pack.entry({ name, size: (await stat(from)).size });
      await pipeline(createReadStream(from), entry as unknown as Writable);
    };
    const filled = (async () => {
      await add(RECORDS, path);
      for (const name of await pictureFiles(pictures))
        await add(`pictures/${name}`, join(pictures, name.slice(0, 2), name));
      pack.finalize();
    })();
    filled.catch((error: unknown) => pack.destroy(error as Error));
    for await (const chunk of pack as unknown as AsyncIterable<Uint8Array>) yield chunk;
    await filled;
  } finally {
    pack.destroy();
    await rm(folder, { recursive: true, force: true });
  }
}

async function pictureFiles(root: string): Promise<string[]> {
  const folders = await readdir(root).catch(() => [] as string[]);
  const found = await Promise.all(folders.sort().map((one) => readdir(join(root, one))));
  return found.flat().filter((name) => PICTURE.test(`pictures/${name}`));
}
