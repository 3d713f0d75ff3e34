/** Starts everything: database, migrations, demo studio, application. Ctrl+C stops all of it. */
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { resolve } from 'node:path';
import { DEMO_PASSWORD, PEOPLE } from '../demo/studio';
import { loadDemo } from '../demo/load';
import { CONE_SIX, MARTA, MARTA_EVERY, MARTA_SEED } from '../demo/logs';
import { listFirings } from '../src/data/firings';
import { newId, newToken } from '../src/data/ids';
import { addToken, listTokens, revokeToken } from '../src/data/kiln-care';
import { listPeople } from '../src/data/people';
import { runController } from '../stand-ins/controller';
import { gaussian } from '../stand-ins/noise';
import { migrate } from '../src/data/migrations';
import { transact } from '../src/data/database';
import { readStudio } from '../src/data/studio';
import { forgetOld } from '../src/data/retention';
import { rebuildSummaries } from '../src/data/summaries';
import { relearnAll } from '../src/features/kilns/server';
import { build } from './build';
import {
  ensureDatabase,
  freePort,
  openLocal,
  startDatabase,
  type RunningDatabase,
} from './mariadb';
import { listKilns } from '../src/data/kilns';

const empty = process.argv.includes('--empty');
const data = resolve(process.env.JITEN_DATA ?? (empty ? 'studio-data/empty' : 'studio-data/demo'));
const wanted = Number(process.env.PORT ?? 3000);

async function portFor(preferred: number): Promise<number> {
  const { createServer } = await import('node:net');
  const free = await new Promise<boolean>((answer) => {
    const server = createServer()
      .once('error', () => answer(false))
      .once('listening', () => server.close(() => answer(true)));
    server.listen(preferred, '127.0.0.1');
  });
  return free ? preferred : freePort();
}

let database: RunningDatabase | undefined;
let application: ChildProcess | undefined;
let stopping = false;
const halt = new AbortController();
const SIMULATED = 'Simulated controller';

async function stop(code: number): Promise<void> {
  if (stopping) return;
  stopping = true;
  halt.abort();
  application?.kill('SIGTERM');
  await database?.stop();
  process.exit(code);
}
process.on('SIGINT', () => void stop(0));
process.on('SIGTERM', () => void stop(0));

/** The demo's climbing kiln goes on climbing: a simulated controller posts its readings. */
async function runDemoKiln(url: string): Promise<void> {
  const db = openLocal(database!.port, 'jiten');
  try {
    const marta = (await listKilns(db)).find(({ slug }) => slug === 'marta');
    const technician = (await listPeople(db)).find(({ role }) => role === 'technician');
    const [firing] = marta
      ? await listFirings(db, { kilnId: marta.id, statuses: ['firing', 'cooling'] })
      : [];
    if (!marta || !technician || !firing?.startedAt) return;
    for (const token of await listTokens(db, marta.id))
      if (token.name === SIMULATED) await revokeToken(db, token.id, new Date());
    const secret = newToken();
    await addToken(
      db,
      { id: newId(), kilnId: marta.id, name: SIMULATED, secret },
      technician.id,
      new Date(),
    );
    console.log(`Marta is fired by a simulated controller: ${url}/kilns/firings/${firing.id}`);
    runController({
      url,
      token: secret,
      kiln: MARTA,
      segments: CONE_SIX,
      noise: gaussian(MARTA_SEED),
      since: firing.startedAt,
      every: MARTA_EVERY,
      signal: halt.signal,
    }).catch((error: unknown) =>
      console.error(
        `The simulated controller stopped: ${error instanceof Error ? error.message : String(error)}`,
      ),
    );
  } finally {
    await db.destroy();
  }
}

/** Once a day: answers of old operations and strays nobody claimed. */
async function forget(): Promise<void> {
  const db = openLocal(database!.port, 'jiten');
  try {
    await forgetOld(db, new Date());
  } catch (error) {
    console.error(`Old answers could not be forgotten: ${String(error)}`);
  } finally {
    await db.destroy();
  }
}

async function main(): Promise<void> {
  build();
  mkdirSync(data, { recursive: true });
  database = await startDatabase(data);
  await ensureDatabase(database.port, 'jiten');
  const env = { JITEN_DB_PORT: String(database.port), JITEN_DB_NAME: 'jiten', JITEN_DATA: data };
  Object.assign(process.env, env);
  const db = openLocal(database.port, 'jiten');
  const steps = await migrate(db);
  const studio = await readStudio(db);
  if (studio !== null && steps.length > 0) {
    console.log(`Brought up to date (${steps.join(', ')}); making the summaries again …`);
    await transact(db, async (trx) => {
      await relearnAll(trx);
      await rebuildSummaries(trx);
    });
  }
  if (!empty && studio === null) {
    console.log('Loading the demo studio …');
    const began = Date.now();
    const report = await loadDemo(db, data, {
      progress: (said) => process.stdout.write(`\r  ${said}          `),
    });
    console.log(
      `\n  ${report.pieces} pieces, ${report.firings} firings, ${report.pictures} pictures in ${Math.round((Date.now() - began) / 1000)} s`,
    );
  }
  const fresh = (await readStudio(db)) === null;
  await forgetOld(db, new Date());
  await db.destroy();
  setInterval(() => void forget(), 86_400_000).unref();
  const port = await portFor(wanted);
  application = spawn(
    'node',
    [
      'node_modules/next/dist/bin/next',
      'start',
      '-p',
      String(port),
      '-H',
      process.env.HOST ?? '127.0.0.1',
    ],
    {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, ...env, NEXT_TELEMETRY_DISABLED: '1' },
    },
  );
  application.once('exit', (code) => void stop(code ?? 1));
  for (let attempt = 0; attempt < 150; attempt++) {
    if (
      await fetch(`http://127.0.0.1:${port}/api/health`).then(
        (answer) => answer.ok,
        () => false,
      )
    )
      break;
    await new Promise((wait) => setTimeout(wait, 100));
  }
  console.log(`\nJiten is at http://127.0.0.1:${port}`);
  if (fresh) console.log('The studio is empty: its first page makes the first technician.');
  else if (!empty) {
    console.log(`Sign in with the password “${DEMO_PASSWORD}” as`);
    for (const person of [PEOPLE[0]!, PEOPLE[1]!, PEOPLE[2]!])
      console.log(`  ${person.login.padEnd(8)} ${person.name}, ${person.role}`);
  }
  if (!empty) await runDemoKiln(`http://127.0.0.1:${port}`);
  console.log('Ctrl+C stops it.');
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  void stop(1);
});
