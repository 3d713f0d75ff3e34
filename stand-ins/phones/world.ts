/**
 * A studio with one large opening to be written up, its database and application in our hand: to be killed.
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startApplication, type RunningApplication } from '../../src/keeper/application';
import { freePort } from '../../src/keeper/port';
import { startDatabase, type RunningDatabase } from '../../src/keeper/server';
import { hashPassword } from '../../src/platform/passwords';
import type { TestStudio } from '../../test-support/studio';

export const PASSWORD = 'crane-on-the-quay';

export type World = {
  url: string;
  studio: TestStudio;
  firingId: string;
  ids: string[];
  codes: string[];
  /** Ends it outright and begins it again, as whoever keeps it would. */
  killApplication: () => Promise<void>;
  killDatabase: () => Promise<void>;
  end: () => Promise<void>;
};

/** @param pieces how many tiles came out of the kiln. */
export async function world(pieces: number): Promise<World> {
  const directory = mkdtempSync(join(tmpdir(), 'jiten-phones-'));
  let database: RunningDatabase = await startDatabase(directory);
  process.env.JITEN_TEST_DB = directory;
  const { fired, layer, testStudio } = await import('../../test-support/studio');
  const studio = await testStudio();
  const { nameOf } = await import('../../test-support/database');
  const hash = await hashPassword(PASSWORD);
  await studio.db('person').update({ password_hash: hash });
  const made = await fired(studio, [layer(studio.version('tarn'))], { count: pieces });
  const port = await freePort();
  const begin = (): Promise<RunningApplication> =>
    startApplication({
      host: '127.0.0.1',
      port,
      env: {
        JITEN_DB_SOCKET: database.folder.socket,
        JITEN_DB_KEY: database.folder.key,
        JITEN_DB_NAME: nameOf(studio.db),
        JITEN_DATA: join(directory, 'data'),
        JITEN_LOG: 'silent',
      },
    });
  let application = await begin();
  return {
    url: application.url,
    studio,
    ...made,
    killApplication: async () => {
      process.kill(application.pid, 'SIGKILL');
      await application.ended;
      application = await begin();
    },
    killDatabase: async () => {
      process.kill(database.pid, 'SIGKILL');
      await database.ended;
      database = await startDatabase(directory);
    },
    end: async () => {
      await application.stop();
      await studio.db.destroy();
      await database.stop();
      rmSync(directory, { recursive: true, force: true });
    },
  };
}
