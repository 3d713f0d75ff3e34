/** What the front answers itself is refused as everywhere else: a status and words. */
import type { ServerResponse } from 'node:http';
import type { Problem } from '@/platform/refusal';
import { STATUS } from '@/platform/respond';

export const STRANGER: Problem = {
  code: 'not-signed-in',
  message: 'Sign in, or ask for a new share link: this one does not open any more.',
};

export function refuse(to: ServerResponse, problem: Problem): void {
  to.removeHeader('etag');
  to.writeHead(STATUS[problem.code], {
    'content-type': 'application/json',
    'cache-control': 'no-store',
  });
  to.end(JSON.stringify({ ok: false, problem }));
}
