/// <reference lib="webworker" />
/**
 * The application without a network: its shell, and for whoever uses this device the pages and pictures at
 * hand. A page comes from the server where that answers in time, from the device where it does not. Nothing
 * that is written goes through here.
 */
import { CacheFirst, NetworkFirst, NetworkOnly } from 'serwist';
import { keptPages, nothingKept } from './fallback';
import {
  STATIC_CACHE,
  WHO_CACHE,
  WHO_KEY,
  ownerOf,
  pagesOf,
  picturesOf,
  wayOf,
  type AtHand,
  type FromWorker,
  type ToWorker,
  type Way,
} from './names';

declare const self: ServiceWorkerGlobalScope;
/** Every file of the shell, as the build lists them. */
declare const STATIC_FILES: readonly string[];

/** One bar of Wi-Fi: a page that is on the device waits no longer than this for a newer one, s. */
const PATIENCE_S = 4;
/** So many requests at a time, so that what a person does is not behind them. */
const AT_ONCE = 3;

async function who(): Promise<string | null> {
  const kept = await (await caches.open(WHO_CACHE)).match(WHO_KEY);
  return kept === undefined ? null : kept.text();
}

/**
 * Found under its bare address: which piece is asked for is read where the page runs. Nothing is kept on the
 * way: whose page comes from the server is known only where it was asked for by name (`keep`).
 */
const ownPages = {
  cacheKeyWillBeUsed: ({ request }: { request: Request }) => Promise.resolve(new URL(request.url).pathname),
  cacheWillUpdate: () => Promise.resolve(null),
};

const statics = new CacheFirst({ cacheName: STATIC_CACHE });

async function page(event: FetchEvent): Promise<Response> {
  const person = await who();
  if (person === null) return network(event, () => nothingKept());
  const cacheName = pagesOf(person);
  const cache = await caches.open(cacheName);
  const { pathname } = new URL(event.request.url);
  const kept = await cache.match(pathname);
  if (kept === undefined) return network(event, () => (pathname === '/' ? home(cache) : keptPages(cache)));
  const strategy = new NetworkFirst({ cacheName, networkTimeoutSeconds: PATIENCE_S, plugins: [ownPages] });
  try {
    return await strategy.handle({ event, request: event.request });
  } catch {
    return kept;
  }
}

/** From the home screen: the first page that is at hand. */
async function home(cache: Cache): Promise<Response> {
  const [first] = await cache.keys();
  return first === undefined ? nothingKept() : Response.redirect(first.url);
}

async function network(event: FetchEvent, otherwise: () => Promise<Response>): Promise<Response> {
  try {
    return await new NetworkOnly().handle({ event, request: event.request });
  } catch {
    return otherwise();
  }
}

async function picture(event: FetchEvent): Promise<Response> {
  const person = await who();
  const kept =
    person === null ? undefined : await (await caches.open(picturesOf(person))).match(event.request);
  return kept ?? fetch(event.request);
}

/**
 * A file of the shell. A script of a worker takes its address, and what is said behind its #, from the
 * answer: one that was kept has neither, and a new one has those of the request.
 */
async function shell(event: FetchEvent): Promise<Response> {
  const answer = await statics.handle({ event, request: event.request });
  return event.request.destination === 'worker' ? new Response(answer.body, answer) : answer;
}

const ANSWERS: Readonly<Record<Exclude<Way, 'network'>, (event: FetchEvent) => Promise<Response>>> = {
  static: shell,
  page,
  picture,
};

/** What was asked for last: an older wish, or one of somebody who left, is not gone on with. */
let wish = 0;

/** Fetches what is not there yet; says what could not be had. */
async function fill(
  cacheName: string,
  urls: readonly string[],
  { anew = false, told = (): void => undefined, wanted = (): boolean => true } = {},
): Promise<string[]> {
  if (!wanted()) return [...urls];
  const cache = await caches.open(cacheName);
  const missing: string[] = [];
  const left = [...urls];
  const one = async (): Promise<void> => {
    for (let url = left.shift(); url !== undefined && wanted(); url = left.shift()) {
      try {
        if (anew || (await cache.match(url)) === undefined) {
          const answer = await fetch(url, { credentials: 'same-origin' });
          if (!answer.ok || answer.redirected) throw new Error(String(answer.status));
          if (wanted()) await cache.put(url, answer);
        }
      } catch {
        missing.push(url);
      }
      told();
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, one));
  return missing;
}

/** Drops from a cache what is not at hand any more. */
async function keepOnly(cacheName: string, urls: readonly string[]): Promise<void> {
  const cache = await caches.open(cacheName);
  const wanted = new Set(urls.map((url) => new URL(url, self.location.origin).href));
  for (const request of await cache.keys()) if (!wanted.has(request.url)) await cache.delete(request);
}

async function tell(message: FromWorker): Promise<void> {
  for (const client of await self.clients.matchAll()) client.postMessage(message);
}

/** What is left of others is theirs to bring again: on a shared tablet nobody finds another's pages. */
async function forgetOthers(person: string | null): Promise<void> {
  for (const name of await caches.keys()) {
    const owner = ownerOf(name);
    if (owner !== null && owner !== person) await caches.delete(name);
  }
}

async function keep({ person, pages, pictures }: AtHand): Promise<void> {
  const mine = ++wish;
  const wanted = (): boolean => wish === mine;
  await (await caches.open(WHO_CACHE)).put(WHO_KEY, new Response(person));
  await forgetOthers(person);
  const urls = pages.map(({ url }) => url);
  await keepOnly(pagesOf(person), urls);
  await keepOnly(picturesOf(person), pictures);
  const of = urls.length + pictures.length;
  let done = 0;
  const told = (): void => {
    done += 1;
    if (done % 10 === 0 && done < of) void tell({ kind: 'kept', person, pages: done, of, missing: [] });
  };
  const missing = [
    ...(await fill(STATIC_CACHE, STATIC_FILES)),
    ...(await fill(pagesOf(person), urls, { anew: true, told, wanted })),
    ...(await fill(picturesOf(person), pictures, { told, wanted })),
  ];
  if (wanted()) await tell({ kind: 'kept', person, pages: of - missing.length, of, missing });
}

self.addEventListener('install', (event) => {
  event.waitUntil(fill(STATIC_CACHE, STATIC_FILES));
});
self.addEventListener('activate', (event) => {
  // Only now is no page of an older version open: its scripts can go.
  event.waitUntil(Promise.all([keepOnly(STATIC_CACHE, STATIC_FILES), self.clients.claim()]));
});
self.addEventListener('message', (event) => {
  const message = event.data as ToWorker;
  if (message.kind === 'keep') event.waitUntil(keep(message.hand));
  else if (message.kind === 'forget') {
    wish++;
    event.waitUntil(Promise.all([caches.delete(WHO_CACHE), forgetOthers(null)]));
  } else void self.skipWaiting();
});
self.addEventListener('fetch', (event) => {
  const way = wayOf(event.request, self.location.origin);
  if (way !== 'network') event.respondWith(ANSWERS[way](event));
});
