import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { loadDemo } from '../demo/load';
import { ensureDatabase, freePort, startDatabase } from '../scripts/mariadb';
import { openDatabase } from '../src/data/database';
import { migrate } from '../src/data/migrations';

/** One database server; one application on an empty studio, one on the demo studio. */
export default async function setup(): Promise<() => Promise<void>> {
  const directory = mkdtempSync(join(tmpdir(), 'jiten-e2e-'));
  const server = await startDatabase(directory, { throwaway: true });
  const applications: ChildProcess[] = [];
  for (const name of ['empty', 'demo'] as const) {
    await ensureDatabase(server.port, name);
    const db = openDatabase({
      host: '127.0.0.1',
      port: server.port,
      user: 'root',
      password: '',
      database: name,
    });
    await migrate(db);
    const data = join(directory, `data-${name}`);
    if (name === 'demo') await loadDemo(db, data);
    await db.destroy();
    const port = await freePort();
    const application = spawn(
      'node',
      ['node_modules/next/dist/bin/next', 'start', '-p', String(port), '-H', '127.0.0.1'],
      {
        stdio: ['ignore', 'ignore', 'inherit'],
        env: {
          ...process.env,
          JITEN_DB_PORT: String(server.port),
          JITEN_DB_NAME: name,
          JITEN_DATA: data,
          JITEN_LOG: 'fatal',
          NEXT_TELEMETRY_DISABLED: '1',
        },
      },
    );
    applications.push(application);
    process.env[`JITEN_E2E_${name.toUpperCase()}`] = `http://127.0.0.1:${port}`;
    for (let attempt = 0; ; attempt++) {
      if (
        await fetch(`http://127.0.0.1:${port}/api/health`).then(
          (answer) => answer.ok,
          () => false,
        )
      )
        break;
      if (attempt > 300) throw new Error('The application did not start.');
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
  }
  return async () => {
    for (const application of applications) application.kill('SIGTERM');
    await server.stop();
    rmSync(directory, { recursive: true, force: true });
  };
}
