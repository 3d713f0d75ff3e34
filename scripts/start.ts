/** Starts everything: database, migrations, demo studio, application. Ctrl+C stops all of it. */
import { availableParallelism } from 'node:os';
import { resolve } from 'node:path';
import { DEMO_PASSWORD, PEOPLE } from '../demo/studio';
import type { Database } from '../src/data/database';
import { forgetOld } from '../src/data/retention';
import { readStudio } from '../src/data/studio';
import { readCertificate } from '../src/front/certificate';
import { namedProxies } from '../src/front/peer';
import { House } from '../src/keeper/house';
import { portFor } from '../src/keeper/port';
import { build } from './build';
import { lanSettings, onNetwork, openToNetwork } from './lan';
import { runDemoKiln } from './demo-kiln';
import { dataFolder, failing, makeAgain } from './house';

const empty = process.argv.includes('--empty');
const data = resolve(dataFolder(empty));
const host = process.env.HOST ?? '127.0.0.1';

let house: House | undefined;
let stopping: Promise<void> | undefined;
/** The demo's pictures on their way. */
let painting: Promise<void> = Promise.resolve();
const halt = new AbortController();

/** Ends what was started, once, whoever asks; a second Ctrl+C waits for the same end. */
function stop(code: number): Promise<void> {
  stopping ??= (async () => {
    halt.abort();
    await painting;
    await house?.stop();
    process.exit(code);
  })();
  return stopping;
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => void stop(0));
// A terminal that was closed takes no more words; that is no reason to leave anything running.
for (const stream of [process.stdout, process.stderr]) stream.on('error', () => undefined);

async function withDatabase<T>(work: (db: Database) => Promise<T>): Promise<T> {
  const db = house!.open();
  try {
    return await work(db);
  } finally {
    await db.destroy();
  }
}

/** Once a day: answers of old operations and strays nobody claimed. */
const forget = (): Promise<unknown> =>
  withDatabase((db) => forgetOld(db, new Date())).catch((error: unknown) =>
    console.error(`Old answers could not be forgotten: ${String(error)}`),
  );

/** The demo's records; its pictures are painted while the studio is open. */
async function demo(db: Database): Promise<void> {
  console.log('Loading the demo studio …');
  const { announcePictures } = await import('../demo/pictures');
  const { writeDemo } = await import('../demo/load');
  const now = new Date();
  announcePictures(data, now);
  const { pieces, firings } = await writeDemo(db, { now });
  console.log(`  ${pieces} pieces, ${firings} firings`);
}

/** Paints what is still to be painted, and says how far it has come now and then. */
async function paint(): Promise<void> {
  const { paintDemo, picturesWait } = await import('../demo/pictures');
  if (!picturesWait(data)) return;
  let told = 0;
  const progress = (said: string): void => {
    if (Date.now() - told < 10_000) return;
    told = Date.now();
    console.log(`  ${said}`);
  };
  // Whoever looks round meanwhile has a core to themselves.
  const threads = Math.max(1, availableParallelism() - 1);
  const painted = await withDatabase((db) => paintDemo(db, data, { progress, signal: halt.signal, threads }));
  if (!halt.signal.aborted) console.log(`  ${painted} pictures are painted.`);
}

/** A port that was asked for by number is that one or none. */
function askedPort(): number | null {
  if (process.env.PORT === undefined || process.env.PORT === '') return null;
  const port = Number(process.env.PORT);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Error(`PORT is “${process.env.PORT}”; it must be a number from 1 to 65535.`);
  return port;
}

async function main(): Promise<void> {
  const asked = askedPort();
  // What cannot be read is said now, in one line, and not by an application that falls.
  namedProxies(process.env.JITEN_PROXY);
  readCertificate(process.env.JITEN_TLS_CERT, process.env.JITEN_TLS_KEY);
  // Side by side; whichever fails ends the other.
  const built = build(halt.signal);
  built.catch(() => undefined);
  house = await House.open({
    data,
    what: './start',
    say: (word) => console.log(word),
    gaveUp: () => void stop(1),
    after: makeAgain,
  });
  const fresh = await withDatabase(async (db) => {
    if (!empty && (await readStudio(db)) === null) await demo(db);
    return (await readStudio(db)) === null;
  });
  await built;
  await forget();
  setInterval(() => void forget(), 86_400_000).unref();
  const { port, word } = await portFor(asked, host);
  if (word !== null) console.log(word);
  const lan = onNetwork(port);
  const url = await house.serve({ host, port, env: lan === null ? {} : lanSettings(lan) });
  console.log(`\nJiten is at ${url}`);
  if (lan !== null) await openToNetwork(house, lan);
  if (fresh) console.log('The studio is empty: its first page makes the first technician.');
  else if (!empty) {
    console.log(`Sign in with the password “${DEMO_PASSWORD}” as`);
    for (const person of [PEOPLE[0]!, PEOPLE[1]!, PEOPLE[2]!])
      console.log(`  ${person.login.padEnd(8)} ${person.name}, ${person.role}`);
    // The simulated controller trusts no certificate that a studio made itself.
    if (url.startsWith('http:')) await withDatabase((db) => runDemoKiln(db, url, halt.signal));
  }
  console.log('Ctrl+C stops it.');
  if (!empty)
    painting = paint().catch((error: unknown) => {
      if (!halt.signal.aborted)
        console.error(`The demo’s pictures could not be painted; the next start goes on: ${String(error)}`);
    });
}

main().catch((error: unknown) => {
  failing(error);
  void stop(1);
});
