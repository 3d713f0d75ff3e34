import { mkdtempSync } from 'node:fs';
import { join } from 'node:path';
import { makePristine, roomForDatabases } from '../test-support/database';
import { startDatabase, type RunningDatabase } from '../src/keeper/server';

declare global {
  var jitenTestDatabase: { database: RunningDatabase; directory: string } | undefined;
}

/** One throw-away server for all integration tests; each file makes its own database in it. */
export default async function setup(): Promise<void> {
  const directory = mkdtempSync(join(roomForDatabases(), 'jiten-test-'));
  const database = await startDatabase(directory, { throwaway: true });
  await makePristine(database);
  process.env.JITEN_TEST_DB = directory;
  globalThis.jitenTestDatabase = { database, directory };
}
