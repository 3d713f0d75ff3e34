/** What is kept on a device for pages without a network, and under which names. */

/**
 * Scripts, styles and letters: their names are made from what is in them, so that all versions can lie
 * together.
 */
export const STATIC_CACHE = 'jiten-static';
/** For whom this device was last used. */
export const WHO_CACHE = 'jiten-who';
export const WHO_KEY = '/who';

const PAGES = 'jiten-pages-';
const PICTURES = 'jiten-pictures-';
export const pagesOf = (person: string): string => PAGES + person;
export const picturesOf = (person: string): string => PICTURES + person;

/** Of which person a cache holds pages or pictures; null of none. */
export const ownerOf = (cache: string): string | null =>
  [PAGES, PICTURES].flatMap((prefix) => (cache.startsWith(prefix) ? [cache.slice(prefix.length)] : []))[0] ??
  null;

/** A page or a picture that is to be on the device before it is needed. */
export type AtHand = {
  /** For whom: another person may have signed in on this device since the page that asks was made. */
  person: string;
  /** Page addresses with what they are called. */
  pages: { url: string; title: string }[];
  pictures: string[];
};

/** What a page says to the worker, and the worker to all pages. */
export type ToWorker = { kind: 'keep'; hand: AtHand } | { kind: 'forget' } | { kind: 'take over' };
export type FromWorker = {
  kind: 'kept';
  person: string;
  pages: number;
  of: number;
  missing: string[];
};

/** How a request is met. */
export type Way = 'static' | 'picture' | 'page' | 'network';

/**
 * Writes, and what a page asks for by itself, go to the server or fail: what was kept answers for pages and
 * pictures only.
 */
export function wayOf(request: { method: string; mode: string; url: string }, origin: string): Way {
  const { origin: to, pathname } = new URL(request.url);
  if (request.method !== 'GET' || to !== origin) return 'network';
  if (pathname.startsWith('/_next/static/')) return 'static';
  if (/^\/api\/pictures\/[0-9a-f]{64}\//.test(pathname)) return 'picture';
  if (request.mode === 'navigate' && !pathname.startsWith('/api/')) return 'page';
  return 'network';
}
