import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { loadDemo } from '../demo/load';
import { ensureDatabase, openOn, startDatabase } from '../src/keeper/server';
import { migrate } from '../src/data/migrations';
import { startApplication, type RunningApplication } from '../test-support/application';

/** One database server; applications on two empty studios and one on the demo studio. */
export default async function setup(): Promise<() => Promise<void>> {
  const directory = mkdtempSync(join(tmpdir(), 'jiten-e2e-'));
  const server = await startDatabase(directory, { throwaway: true });
  process.env.JITEN_E2E_FOLDER = directory;
  const applications: RunningApplication[] = [];
  for (const name of ['empty', 'fresh', 'demo'] as const) {
    await ensureDatabase(server, name);
    const db = openOn(server, name);
    await migrate(db);
    const data = join(directory, `data-${name}`);
    if (name === 'demo') await loadDemo(db, data);
    await db.destroy();
    const application = await startApplication({ server, name }, data);
    applications.push(application);
    process.env[`JITEN_E2E_${name.toUpperCase()}`] = application.url;
  }
  return async () => {
    await Promise.all(applications.map((application) => application.stop()));
    await server.stop();
    rmSync(directory, { recursive: true, force: true });
  };
}
