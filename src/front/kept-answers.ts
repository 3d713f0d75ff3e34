/**
 * Boards and closer looks at them, answered at the front: they are asked for with every touch of the chart,
 * lie ready in memory, and are the same for everybody who may see the same.
 */
import type { IncomingMessage, ServerResponse } from 'node:http';
import { parseCookie } from 'cookie';
import type { Source } from '@/data/database';
import { boardAnswer, zoomAnswer } from '@/features/chart/server';
import { database } from '@/platform/database';
import { problemOf } from '@/platform/operation';
import type { Sent } from '@/platform/sent';
import { viewerBy, type Viewer } from '@/platform/who';
import { refuse, STRANGER } from './refusing';

type Read = (src: Source, viewer: Viewer, query: URLSearchParams) => Promise<Sent>;

const READS: Readonly<Record<string, Read>> = {
  '/api/board': boardAnswer,
  '/api/zoom': zoomAnswer,
};

/** Answers such a request; false when it is for something else. */
export async function answerKept(from: IncomingMessage, to: ServerResponse): Promise<boolean> {
  const { pathname, searchParams } = new URL(from.url!, 'http://here');
  const read = Object.hasOwn(READS, pathname) ? READS[pathname] : undefined;
  if (read === undefined || (from.method !== 'GET' && from.method !== 'HEAD')) return false;
  try {
    const cookies = parseCookie(from.headers.cookie ?? '');
    const viewer = await viewerBy(database(), (name) => cookies[name], searchParams.get('share'), new Date());
    if (viewer === null) return (refuse(to, STRANGER), true);
    sendKept(from, to, await read(database(), viewer, searchParams));
  } catch (error) {
    if (to.headersSent) to.destroy();
    else refuse(to, problemOf(error, pathname));
  }
  return true;
}

/** Sends an answer in the form that is understood, or says that it is still the one that is there. */
export function sendKept(from: IncomingMessage, to: ServerResponse, sent: Sent): void {
  to.setHeader('etag', sent.mark);
  to.setHeader('cache-control', 'private, no-cache');
  to.setHeader('vary', 'accept-encoding');
  if (from.headers['if-none-match'] === sent.mark) {
    to.writeHead(304).end();
    return;
  }
  const small = /\bgzip\b/.test(String(from.headers['accept-encoding']));
  const body = small ? sent.small : sent.plain;
  to.writeHead(200, {
    'content-type': 'application/json',
    'content-length': body.length,
    ...(small ? { 'content-encoding': 'gzip' } : {}),
  });
  to.end(from.method === 'HEAD' ? undefined : body);
}
