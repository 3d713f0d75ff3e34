/**
 * `npm run load URL [SECONDS [PEOPLE [BOARDS]]]`: a studio on the demo's data in use: people on the chart,
 * two of them writing up openings. Prints requests a second and how long each kind takes; run it against two
 * versions, turn about, on the same machine. With BOARDS each person opens so many and is done: the same work
 * for both. It says what it does to the server, not what a browser paints.
 */
import { Agent, request } from 'node:http';
import { gunzipSync } from 'node:zlib';
import { v7 } from 'uuid';
import { DEMO_PASSWORD } from '../demo/studio';

const [url, seconds = '60', people = '40', boards = 'Infinity'] = process.argv.slice(2);
if (url === undefined) {
  console.error('Say which: npm run load http://127.0.0.1:3000');
  process.exit(1);
}
const WRITERS = 2;
/** Counted from when everybody is in. */
let until = 0;

type Kind = 'chart' | 'chart again' | 'any chart' | 'zoom' | 'picture' | 'record';
const took = new Map<Kind, number[]>();
const statuses = new Map<string, number>();

/** What a browser keeps: answers that may be asked for again by their mark. */
type Browser = {
  cookie: string;
  kept: Map<string, string>;
  pictures: Set<string>;
  read: Set<string>;
};

/** One connection a person, as far as the answers come one after another. */
const agent = new Agent({ keepAlive: true, maxSockets: 64 });

type Init = { method?: string; body?: string };

/**
 * Asks as a browser does, and takes no more work over it than must be: it shares the machine with the server.
 */
function send(
  browser: Browser,
  path: string,
  { method = 'GET', body }: Init,
): Promise<{ status: number; bytes: Buffer; small: boolean }> {
  const mark = browser.kept.get(path);
  return new Promise((resolve, reject) => {
    const headers = {
      cookie: browser.cookie,
      'accept-encoding': 'gzip',
      ...(mark === undefined ? {} : { 'if-none-match': mark }),
      ...(body === undefined
        ? {}
        : { 'content-type': 'application/json', 'content-length': Buffer.byteLength(body) }),
    };
    const sent = request(url + path, { agent, method, headers }, (answer) => {
      const parts: Buffer[] = [];
      answer.on('data', (part: Buffer) => parts.push(part));
      answer.on('error', reject);
      answer.on('end', () => {
        if (answer.headers.etag !== undefined) browser.kept.set(path, answer.headers.etag);
        resolve({
          status: answer.statusCode ?? 0,
          bytes: Buffer.concat(parts),
          small: answer.headers['content-encoding'] === 'gzip',
        });
      });
    });
    sent.on('error', reject);
    sent.end(body);
  });
}

function count(kind: Kind, ms: number, status: number | string): void {
  const list = took.get(kind) ?? [];
  list.push(ms);
  took.set(kind, list);
  const told = `${kind} ${status}`;
  statuses.set(told, (statuses.get(told) ?? 0) + 1);
}

/** Asks, and keeps how long it took. What an answer says is only read where somebody wants to know. */
async function ask(kind: Kind, browser: Browser, path: string, init: Init = {}): Promise<() => string> {
  const began = performance.now();
  const answer = await send(browser, path, init);
  count(kind, performance.now() - began, answer.status);
  return () => (answer.small ? gunzipSync(answer.bytes) : answer.bytes).toString();
}

async function signIn(login: string): Promise<Browser> {
  const answer = await fetch(`${url}/api/door/sign-in`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ login, password: DEMO_PASSWORD }),
  });
  if (!answer.ok) throw new Error(`${login} could not sign in: ${answer.status}`);
  const cookie = answer.headers
    .getSetCookie()
    .map((one) => one.split(';')[0])
    .join('; ');
  return { cookie, kept: new Map(), pictures: new Set(), read: new Set() };
}

const BOARDS = ['saltbox', 'drift', 'peat'].flatMap((body) =>
  [
    ['6', 'oxidation'],
    ['10', 'reduction'],
  ].map(([cone, atmosphere]) => `body=${body}&cone=${cone}&atmosphere=${atmosphere}&ground=`),
);
const BASES = ['yard-clear', 'gull', 'tarn', 'slack-tide', 'pitch', 'ember'];
let turn = 0;
const among = <T>(list: readonly T[]): T => list[turn++ % list.length]!;

/** Does this version send the board by itself, beside its page? Older ones send it within. */
let apart = false;

/**
 * A board is open when its page and the board are there: a browser asks for both at once. One request, here.
 */
async function open(browser: Browser, path: string, board: string): Promise<void> {
  const kind = browser.kept.has(path) ? 'chart again' : 'chart';
  const began = performance.now();
  const all = [send(browser, path, {})];
  if (apart) all.push(send(browser, `/api/board?${board}`, {}));
  const answers = await Promise.all(all);
  count(kind, performance.now() - began, answers.map(({ status }) => status).join('+'));
}

/**
 * Somebody opens a board, looks closer twice, and goes on; each picture is fetched once, as a browser does.
 */
async function look(browser: Browser): Promise<void> {
  for (let opened = 0; Date.now() < until && opened < Number(boards); opened++) {
    const board = among(BOARDS);
    const path = `/chart?${board}`;
    await open(browser, path, board);
    for (let i = 0; i < 2 && Date.now() < until; i++) {
      const place = `/api/zoom?${board}&base=${among(BASES)}`;
      const text = await ask('zoom', browser, place);
      // No picture is added here: a place that was looked at before shows what is there already.
      if (browser.read.has(place)) continue;
      browser.read.add(place);
      for (const [sha] of text().matchAll(/[0-9a-f]{64}/g)) {
        if (browser.pictures.has(sha) || Date.now() > until) continue;
        browser.pictures.add(sha);
        await ask('picture', browser, `/api/pictures/${sha}/small`);
      }
    }
  }
}

/** How many still look at boards: when nobody does, nobody writes either. */
let looking = 0;

/** Somebody writes an opening up, piece by piece. */
async function write(browser: Browser, pairs: [string, string][]): Promise<void> {
  for (let i = 0; Date.now() < until && looking > 0; i++) {
    const [firingId, pieceId] = pairs[i % pairs.length]!;
    const seen = {
      surface: 'gloss',
      opacity: null,
      colour: null,
      movementMm: i % 20,
      met: null,
      rating: null,
      verdict: null,
      note: '',
      signs: [],
    };
    const input = {
      firingId,
      zone: null,
      replace: false,
      place: 'desk',
      seenAt: new Date().toISOString(),
      seen,
      pieces: [{ pieceId, observationId: v7(), corrects: null, basedOn: null }],
    };
    await ask('record', browser, '/api/act/opening.record', {
      method: 'POST',
      body: JSON.stringify({ id: v7(), input }),
    });
  }
}

/** Firings with a piece of theirs each, from the export. */
async function opened(browser: Browser): Promise<[string, string][]> {
  const text = await (await fetch(`${url}/api/export/json`, { headers: { cookie: browser.cookie } })).text();
  const { placement, firing } = JSON.parse(text) as {
    placement: { firing_id: string; piece_id: string }[];
    firing: { id: string; status: string }[];
  };
  const open = new Set(firing.filter(({ status }) => status === 'opened').map(({ id }) => id));
  return placement.filter((one) => open.has(one.firing_id)).map((one) => [one.firing_id, one.piece_id]);
}

const logins = ['iben', 'tomasz', 'noor'];
const browsers: Browser[] = [];
for (let i = 0; i < Number(people); i++) browsers.push(await signIn(logins[i % logins.length]!));
const technicians = browsers.filter((_, i) => i % logins.length === 0);
const pairs = await opened(technicians[0]!);
apart = (await send(technicians[0]!, '/api/board', {})).status === 200;
const began = performance.now();
until = Date.now() + Number(seconds) * 1000;
await Promise.all([
  ...browsers.slice(0, -WRITERS).map(async (browser) => {
    looking++;
    await look(browser);
    looking--;
  }),
  ...Array.from({ length: WRITERS }, (_, i) =>
    write(
      technicians[i]!,
      pairs.filter((_one, j) => j % WRITERS === i),
    ),
  ),
]);
const spent = (performance.now() - began) / 1000;
const all = [...took.values()].reduce((sum, list) => sum + list.length, 0);
console.log(`${all} requests in ${spent.toFixed(0)} s: ${(all / spent).toFixed(1)} a second`);
took.set('any chart', [...(took.get('chart') ?? []), ...(took.get('chart again') ?? [])]);
for (const [kind, list] of took) {
  if (list.length === 0) continue;
  list.sort((a, b) => a - b);
  const at = (share: number): string =>
    list[Math.min(list.length - 1, Math.floor(share * list.length))]!.toFixed(0);
  console.log(
    `${kind.padEnd(12)} ${String(list.length).padStart(6)}   median ${at(0.5)} ms   95th percentile ${at(0.95)} ms`,
  );
}
console.log(JSON.stringify(Object.fromEntries(statuses)));
// What was refused or failed was not measured.
if ([...statuses.keys()].some((told) => /\b[45]\d\d\b/.test(told))) process.exitCode = 1;
