/**
 * The page of the chart is asked for again and again and is the same for every board, which comes by itself:
 * it leaves with a mark, and whoever still has the one with that mark is told so instead of being sent it
 * anew.
 */
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { join } from 'node:path';
import { parseCookie } from 'cookie';
import { keepRead } from '@/data/kept';
import { boardAhead, viewOf } from '@/features/chart/server';
import { readStudio } from '@/data/studio';
import { database } from '@/platform/database';
import { pageFaults } from '@/platform/faults';
import { viewerBy } from '@/platform/who';

let build: string | undefined;
/** Another version of the program writes another page. */
const buildId = (): string =>
  (build ??= readFileSync(join(process.env.JITEN_BUILD_DIR ?? '.next', 'BUILD_ID'), 'utf8'));

/** What the framework asks by header instead of by address: parts of a page are another thing than it. */
const PARTS = ['rsc', 'next-router-prefetch', 'next-router-segment-prefetch', 'next-router-state-tree'];

const studioNow = keepRead({ most: 1, key: () => '', read: readStudio });

/**
 * The mark of what would be sent; null where none is kept: another page, a stranger, a database away. What
 * the page will ask for is said ahead of it.
 */
export async function markOf(from: IncomingMessage, to: ServerResponse): Promise<string | null> {
  if (from.method !== 'GET' && from.method !== 'HEAD') return null;
  const url = new URL(from.url!, 'http://here');
  if (url.pathname !== '/chart') return null;
  try {
    const cookies = parseCookie(from.headers.cookie ?? '');
    const viewer = await viewerBy(database(), (name) => cookies[name], null, new Date());
    if (viewer === null || viewer.person === null) return null;
    const shown = JSON.stringify([viewer.person, await studioNow(database()), url.search]);
    const parts = PARTS.map((name) => String(from.headers[name] ?? ''));
    const whole = createHash('sha256')
      // A page that failed was sent with a mark too, and must not be taken for the real one.
      .update([shown, buildId(), pageFaults(), from.headers['accept-encoding'], ...parts].join('\n'))
      .digest('base64url');
    if (parts.every((part) => part === ''))
      to.setHeader('link', await boardAhead(database(), viewOf(url.searchParams)));
    return `W/"${whole}"`;
  } catch {
    return null;
  }
}

/** Answers “still the same” where it is; else lets the answer leave with its mark. True when answered. */
export function answerByMark(from: IncomingMessage, to: ServerResponse, mark: string): boolean {
  const kept = 'private, no-cache';
  if (from.headers['if-none-match'] === mark) {
    // What was said with the page still holds for it: its own nonce above all.
    to.removeHeader('content-security-policy');
    to.writeHead(304, { etag: mark, 'cache-control': kept }).end();
    return true;
  }
  const writeHead = to.writeHead.bind(to) as (...args: unknown[]) => ServerResponse;
  to.writeHead = ((status: number, ...rest: unknown[]) => {
    if (status === 200) {
      to.setHeader('etag', mark);
      to.setHeader('cache-control', kept);
    }
    return writeHead(status, ...rest);
  }) as ServerResponse['writeHead'];
  return false;
}
