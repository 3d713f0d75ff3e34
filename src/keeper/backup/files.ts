/** Files that appear whole or not at all, and what they weigh. */
import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { open, rename, rm } from 'node:fs/promises';
import { dirname } from 'node:path';
import { Transform, type Readable, type Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';

export type Weight = { bytes: number; sha256: string };

/** Counts and hashes what flows through. */
export function scales(): { stream: Transform; weight: () => Weight } {
  const hash = createHash('sha256');
  let bytes = 0;
  const stream = new Transform({
    transform(chunk: Buffer, _, done) {
      hash.update(chunk);
      bytes += chunk.length;
      done(null, chunk);
    },
  });
  let said: string | undefined;
  return { stream, weight: () => ({ bytes, sha256: (said ??= hash.digest('hex')) }) };
}

export async function weigh(path: string): Promise<Weight> {
  const { stream, weight } = scales();
  await pipeline(createReadStream(path), stream, async (chunks) => {
    for await (const _ of chunks);
  });
  return weight();
}

async function settle(path: string): Promise<void> {
  const handle = await open(path, 'r');
  try {
    await handle.sync();
  } finally {
    await handle.close();
  }
}

/** Writes a file beside its place, has the disk keep it, and moves it there. */
export async function writeWhole(path: string, write: (to: Writable) => Promise<void>): Promise<Weight> {
  const partial = `${path}.part`;
  const file = createWriteStream(partial, { mode: 0o600 });
  try {
    const { stream, weight } = scales();
    const landed = pipeline(stream, file);
    // Whichever of the two fails, the other is told.
    await Promise.all([
      write(stream).catch((error: unknown) => {
        stream.destroy(error as Error);
        throw error;
      }),
      landed,
    ]);
    await settle(partial);
    await rename(partial, path);
    await settle(dirname(path));
    return weight();
  } catch (error) {
    // A file that is still being opened would come into being after it was taken away.
    file.destroy();
    if (!file.closed) await new Promise<void>((closed) => file.once('close', () => closed()));
    await rm(partial, { force: true });
    throw error;
  }
}

export const writeText = (path: string, text: string): Promise<Weight> =>
  writeWhole(path, async (to) => {
    to.end(text);
  });

export const copyWhole = (from: string | Readable, path: string): Promise<Weight> =>
  writeWhole(path, (to) => pipeline(typeof from === 'string' ? createReadStream(from) : from, to));
