/** Pictures are answered at the front: they are many, and need no page. */
import { createReadStream } from 'node:fs';
import { readFile, stat } from 'node:fs/promises';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { pipeline } from 'node:stream/promises';
import { parseCookie } from 'cookie';
import { LRUCache } from 'lru-cache';
import { PICTURE_PATH, pictureFor } from '@/features/media/server';
import { database } from '@/platform/database';
import { pictureFolder } from '@/platform/objects';
import { problemOf } from '@/platform/operation';
import type { Problem } from '@/platform/refusal';
import { viewerBy } from '@/platform/who';
import { refuse, STRANGER } from './refusing';

/** Small ones are asked for by the dozen, and lie in memory: what a picture is called by is what it shows. */
const SMALL_BYTES = 64 * 1024;
const inMemory = new LRUCache<string, Buffer>({
  maxSize: 48 * 1024 * 1024,
  sizeCalculation: (bytes) => bytes.length,
});

/** The bytes of a small file; null of one that is better read while it is sent. */
async function smallFile(path: string): Promise<Buffer | null> {
  const kept = inMemory.get(path);
  if (kept !== undefined) return kept;
  if ((await stat(path)).size > SMALL_BYTES) return null;
  const bytes = await readFile(path);
  if (bytes.length > 0) inMemory.set(path, bytes);
  return bytes;
}

const NO_SUCH: Problem = { code: 'not-found', message: 'There is no such picture.' };

/** Answers a request for a picture; false when it is for something else. */
export async function answerPicture(from: IncomingMessage, to: ServerResponse): Promise<boolean> {
  const url = new URL(from.url!, 'http://here');
  const asked = PICTURE_PATH.exec(url.pathname);
  if (asked === null || (from.method !== 'GET' && from.method !== 'HEAD')) return false;
  try {
    const cookies = parseCookie(from.headers.cookie ?? '');
    const share = url.searchParams.get('share');
    const viewer = await viewerBy(database(), (name) => cookies[name], share, new Date());
    if (viewer === null) return (refuse(to, STRANGER), true);
    const [sha = '', size = ''] = asked.slice(1).map(decodeURIComponent);
    const file = await pictureFor(database(), pictureFolder(), viewer, { sha, size });
    if (file === null) return (refuse(to, NO_SUCH), true);
    to.setHeader('etag', file.mark);
    to.setHeader('cache-control', 'private, max-age=31536000, immutable');
    if (from.headers['if-none-match'] === file.mark) {
      to.writeHead(304).end();
      return true;
    }
    const bytes = await smallFile(file.path);
    const { length } = bytes ?? { length: (await stat(file.path)).size };
    to.writeHead(200, { 'content-type': 'image/webp', 'content-length': length });
    if (from.method === 'HEAD') to.end();
    else if (bytes !== null) to.end(bytes);
    else await pipeline(createReadStream(file.path), to);
  } catch (error) {
    if (to.headersSent) to.destroy();
    else {
      to.removeHeader('etag');
      const gone = (error as NodeJS.ErrnoException).code === 'ENOENT';
      refuse(to, gone ? NO_SUCH : problemOf(error, 'picture'));
    }
  }
  return true;
}
