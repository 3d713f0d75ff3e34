/** Pictures are answered at the front: they are many, and need no page. */
import { createReadStream } from 'node:fs';
import { stat } from 'node:fs/promises';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { pipeline } from 'node:stream/promises';
import { parseCookie } from 'cookie';
import { PICTURE_PATH, pictureFor } from '@/features/media/server';
import { database } from '@/platform/database';
import { pictureFolder } from '@/platform/objects';
import { problemOf } from '@/platform/operation';
import type { Problem } from '@/platform/refusal';
import { STATUS } from '@/platform/respond';
import { viewerBy } from '@/platform/who';

const NO_SUCH: Problem = { code: 'not-found', message: 'There is no such picture.' };
const STRANGER: Problem = {
  code: 'not-signed-in',
  message: 'Sign in, or ask for a new share link: this one does not open any more.',
};

function refuse(to: ServerResponse, problem: Problem): void {
  to.writeHead(STATUS[problem.code], {
    'content-type': 'application/json',
    'cache-control': 'no-store',
  });
  to.end(JSON.stringify({ ok: false, problem }));
}

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
    const { size: bytes } = await stat(file.path);
    to.writeHead(200, { 'content-type': 'image/webp', 'content-length': bytes });
    if (from.method === 'HEAD') to.end();
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
