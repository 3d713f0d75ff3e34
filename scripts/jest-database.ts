import { mkdtempSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { makePristine, roomForDatabases } from '../test-support/database';
import { startDatabase, type RunningDatabase } from '../src/keeper/server';

declare global {
  var jitenTestDatabase: { database: RunningDatabase; directory: string; over: boolean } | undefined;
}

/** One throw-away server for all integration tests; each file makes its own database in it. */
export default async function setup(): Promise<void> {
  const directory = mkdtempSync(join(roomForDatabases(), 'jiten-test-'));
  const remove = (): void => rmSync(directory, { recursive: true, force: true });
  const database = await startDatabase(directory, { throwaway: true }).catch((error: unknown) => {
    remove();
    throw error;
  });
  process.env.JITEN_TEST_DB = directory;
  const running = { database, directory, over: false };
  globalThis.jitenTestDatabase = running;
  void database.ended.then(() => {
    if (running.over) return;
    // Each test that is left would fail by itself, slowly and for a reason that is not its own.
    process.stderr.write(
      'The database of the tests ended in the middle of the run; nothing after it counts.\n',
    );
    remove();
    process.exit(1);
  });
  await makePristine(database);
}
