/** `npm run dev`: database, demo studio and an application that follows each change of its sources. Ctrl+C stops all of it. */
import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { resolve } from 'node:path';
import { loadDemo } from '../demo/load';
import { DEMO_PASSWORD, PEOPLE } from '../demo/studio';
import { readStudio } from '../src/data/studio';
import { currentDatabase } from '../src/keeper/current';
import { House } from '../src/keeper/house';
import { portFor } from '../src/keeper/port';
import { failing, makeAgain } from './house';

const data = resolve(process.env.JITEN_DATA ?? 'studio-data/dev');
let house: House | undefined;
let application: ChildProcess | undefined;
let stopping: Promise<void> | undefined;

function stop(code: number): Promise<void> {
  stopping ??= (async () => {
    if (application !== undefined && application.exitCode === null) {
      const ended = new Promise((done) => application!.once('exit', done));
      application.kill('SIGTERM');
      await ended;
    }
    await house?.stop();
    process.exit(code);
  })();
  return stopping;
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => void stop(0));

async function main(): Promise<void> {
  execFileSync('scripts/prepare', ['mariadb-server'], { stdio: 'inherit' });
  house = await House.open({
    data,
    what: 'npm run dev',
    say: (word) => console.log(word),
    gaveUp: () => void stop(1),
    after: makeAgain,
  });
  const db = house.open();
  try {
    if ((await readStudio(db)) === null) {
      console.log('Loading the demo studio, once …');
      await loadDemo(db, data, { progress: (said) => process.stdout.write(`\r  ${said}          `) });
      console.log('');
    }
  } finally {
    await db.destroy();
  }
  const asked = process.env.PORT ? Number(process.env.PORT) : null;
  const { port, word } = await portFor(asked, '127.0.0.1');
  if (word !== null) console.log(word);
  // Of a process group of its own, so that Ctrl+C is heard here first.
  application = spawn(process.execPath, ['--import', 'tsx', 'scripts/serve.ts'], {
    stdio: 'inherit',
    detached: true,
    env: {
      ...process.env,
      NODE_ENV: 'development',
      NEXT_TELEMETRY_DISABLED: '1',
      JITEN_DEV: '1',
      HOST: '127.0.0.1',
      PORT: String(port),
      JITEN_DATA: data,
      JITEN_DB_SOCKET: house.folder.socket,
      JITEN_DB_KEY: house.folder.key,
      JITEN_DB_NAME: currentDatabase(house.folder),
    },
  });
  application.once('exit', (code) => void stop(code ?? 1));
  console.log(`Jiten is at http://127.0.0.1:${port}; a page is made when it is first asked for.`);
  console.log(
    `Sign in with the password “${DEMO_PASSWORD}” as ${PEOPLE.slice(0, 3)
      .map(({ login }) => login)
      .join(', ')}.`,
  );
  console.log('Ctrl+C stops it.');
}

main().catch((error: unknown) => {
  failing(error);
  void stop(1);
});
