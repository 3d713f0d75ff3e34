import { createHash, randomBytes } from 'node:crypto';
import { v7 } from 'uuid';

/** A time-ordered id for a new row. */
export const newId = (): string => v7();

/** 256 unguessable bits for a link or a session, safe in a URL. */
export const newToken = (): string => randomBytes(32).toString('base64url');

/** What is kept of a token. */
export const tokenHash = (token: string): string => createHash('sha256').update(token).digest('hex');

/** A fixed-length id for a cell's text key. */
export const cellId = (key: string): string => createHash('sha256').update(key).digest('hex').slice(0, 32);

/** Turns a name into a slug: "Slack Tide" → "slack-tide". Never empty. */
export function slugOf(name: string): string {
  const plain = name
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 50);
  return plain === '' ? `x${createHash('sha256').update(name).digest('hex').slice(0, 8)}` : plain;
}
