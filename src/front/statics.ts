/** The scripts, styles and letters of the application: made small once, and sent from memory. */
import { readFile } from 'node:fs/promises';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { extname, join, normalize } from 'node:path';
import { promisify } from 'node:util';
import { gzip } from 'node:zlib';
import { LRUCache } from 'lru-cache';

const PREFIX = '/_next/static/';
const TYPES: Readonly<Record<string, string>> = {
  '.js': 'application/javascript; charset=UTF-8',
  '.css': 'text/css; charset=UTF-8',
  '.woff2': 'font/woff2',
};

type Kept = { plain: Buffer; small: Buffer | null };
const squeeze = promisify(gzip);
const inMemory = new LRUCache<string, Kept>({
  maxSize: 32 * 1024 * 1024,
  sizeCalculation: ({ plain, small }) => 1 + plain.length + (small?.length ?? 0),
});

async function read(path: string, type: string): Promise<Kept> {
  const kept = inMemory.get(path);
  if (kept !== undefined) return kept;
  const plain = await readFile(path);
  // Letters are small already.
  const made = { plain, small: type.startsWith('font/') ? null : await squeeze(plain) };
  inMemory.set(path, made);
  return made;
}

/**
 * The worker that holds the application on a device; its address is at the root, so that it may answer for
 * every page.
 */
export const WORKER = join('.next', 'worker.js');
const WORKER_PATH = '/sw.js';

/** The worker is asked for anew each time: by it a device learns of a newer version. */
export async function answerWorker(from: IncomingMessage, to: ServerResponse): Promise<boolean> {
  if (from.url !== WORKER_PATH || from.method !== 'GET') return false;
  try {
    const plain = await readFile(WORKER);
    to.writeHead(200, {
      'content-type': TYPES['.js'],
      'content-length': plain.length,
      'cache-control': 'no-cache',
    });
    to.end(plain);
    return true;
  } catch {
    return false;
  }
}

/** Answers from the folder of the build; false for what is not there, which the framework answers. */
export const answerStatic =
  (build: string) =>
  async (from: IncomingMessage, to: ServerResponse): Promise<boolean> => {
    const { pathname } = new URL(from.url!, 'http://here');
    const type = TYPES[extname(pathname)];
    if (!pathname.startsWith(PREFIX) || type === undefined) return false;
    if (from.method !== 'GET' && from.method !== 'HEAD') return false;
    const name = normalize(decodeURIComponent(pathname.slice(PREFIX.length)));
    if (name.startsWith('..') || name.includes('\0')) return false;
    try {
      const { plain, small } = await read(join(build, 'static', name), type);
      const sent = /\bgzip\b/.test(String(from.headers['accept-encoding'])) ? small : null;
      to.writeHead(200, {
        'content-type': type,
        'content-length': (sent ?? plain).length,
        // Its name is made from what is in it.
        'cache-control': 'public, max-age=31536000, immutable',
        vary: 'accept-encoding',
        ...(sent === null ? {} : { 'content-encoding': 'gzip' }),
      });
      to.end(from.method === 'HEAD' ? undefined : (sent ?? plain));
      return true;
    } catch {
      return false;
    }
  };
