/** A closer look at a place of the chart, answered at the front: it is asked for with every touch of the board. */
import type { IncomingMessage, ServerResponse } from 'node:http';
import { parseCookie } from 'cookie';
import { zoomAnswer } from '@/features/chart/server';
import { database } from '@/platform/database';
import { problemOf } from '@/platform/operation';
import { viewerBy } from '@/platform/who';
import { refuse, STRANGER } from './refusing';

/** Answers a request for a zoom; false when it is for something else. */
export async function answerZoom(from: IncomingMessage, to: ServerResponse): Promise<boolean> {
  const url = new URL(from.url!, 'http://here');
  if (url.pathname !== '/api/zoom' || (from.method !== 'GET' && from.method !== 'HEAD'))
    return false;
  try {
    const cookies = parseCookie(from.headers.cookie ?? '');
    const share = url.searchParams.get('share');
    const viewer = await viewerBy(database(), (name) => cookies[name], share, new Date());
    if (viewer === null) return (refuse(to, STRANGER), true);
    const sent = await zoomAnswer(database(), viewer, url.searchParams);
    to.setHeader('etag', sent.mark);
    to.setHeader('cache-control', 'private, no-cache');
    to.setHeader('vary', 'accept-encoding');
    if (from.headers['if-none-match'] === sent.mark) {
      to.writeHead(304).end();
      return true;
    }
    const small = /\bgzip\b/.test(String(from.headers['accept-encoding']));
    const body = small ? sent.small : sent.plain;
    to.writeHead(200, {
      'content-type': 'application/json',
      'content-length': body.length,
      ...(small ? { 'content-encoding': 'gzip' } : {}),
    });
    to.end(from.method === 'HEAD' ? undefined : body);
  } catch (error) {
    if (to.headersSent) to.destroy();
    else refuse(to, problemOf(error, 'zoom'));
  }
  return true;
}
