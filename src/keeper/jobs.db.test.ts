/**
 * The keeper's work as it is asked for: a backup made, brought back only when it is meant, and undone when it
 * fails.
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Database } from '../data/database';
import { migrate } from '../data/migrations';
import { createStudio } from '../data/studio';
import { currentDatabase } from './current';
import { CannotDo, Jobs } from './jobs';
import { ensureDatabase, openOn, startDatabase, type RunningDatabase } from './server';

let directory: string;
let server: RunningDatabase;
let begun = 0;
let broken = false;
let jobs: Jobs;

beforeAll(async () => {
  directory = mkdtempSync(join(tmpdir(), 'jiten-jobs-'));
  server = await startDatabase(directory);
  await ensureDatabase(server, 'jiten');
  const studio = {
    name: 'Kiln Lane',
    timeZone: 'UTC',
    temperatureUnit: 'C',
    lengthUnit: 'mm',
    massUnit: 'g',
    crackAtC: 100,
    unloadAtC: 40,
  } as const;
  await on(async (db) => {
    await migrate(db);
    await createStudio(db, studio, new Date());
  });
  jobs = new Jobs({
    server: () => server,
    renew: async (meanwhile) => {
      if (broken) throw new Error('the disk failed');
      await meanwhile();
      begun++;
    },
    after: () => Promise.resolve(),
    changed: () => undefined,
  });
}, 60_000);
afterAll(async () => {
  await server.stop();
  rmSync(directory, { recursive: true, force: true });
});

async function on<T>(work: (db: Database) => Promise<T>): Promise<T> {
  const db = openOn(server, currentDatabase(server.folder));
  try {
    return await work(db);
  } finally {
    await db.destroy();
  }
}
const unit = (): Promise<string> => on(async (db) => (await db('studio').first('mass_unit')).mass_unit);
const databases = (): Promise<number> =>
  on(async (db) => (await db.raw("SHOW DATABASES LIKE 'jiten%'"))[0].length);
const ended = async (): Promise<void> => {
  while (jobs.busy !== null || jobs.last === null) await new Promise((go) => setTimeout(go, 20));
};

test('a backup is brought back when the studio’s name is typed; what was there is kept, and a failure changes nothing', async () => {
  await jobs.backup('asked');
  expect(jobs.last).toMatchObject({ ok: true });
  const { name } = (await jobs.shelf.list())[0]!;
  await on((db) => db('studio').update({ mass_unit: 'oz' }));
  await expect(jobs.begin({ act: 'restore', name, typed: 'Kiln' })).rejects.toThrow(CannotDo);
  expect([await unit(), begun]).toEqual(['oz', 0]);

  broken = true;
  jobs.last = null;
  await jobs.begin({ act: 'restore', name, typed: 'Kiln Lane' });
  await ended();
  expect(jobs.last).toMatchObject({ ok: false, said: 'the disk failed' });
  expect([await unit(), await databases()]).toEqual(['oz', 1]);

  broken = false;
  jobs.last = null;
  await jobs.begin({ act: 'restore', name, typed: ' Kiln Lane ' });
  await ended();
  expect(jobs.last).toMatchObject({ ok: true });
  expect([await unit(), await databases(), begun]).toEqual(['g', 1, 1]);
  expect((await jobs.shelf.list()).map(({ manifest }) => manifest.kind)).toEqual(['before-restore', 'asked']);
  await expect(jobs.begin({ act: 'verify', name: 'none' })).rejects.toThrow('no such backup');
  await expect(jobs.begin({ act: 'elsewhere', path: join(directory, 'x') })).rejects.toThrow('same disk');
  await expect(jobs.begin({ act: 'elsewhere', path: 'x' })).rejects.toThrow('whole path');
}, 60_000);
