/** Records brought up to the program's version, and what happens when that fails or is killed. */
import { mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { demoBefore0010 } from '../../test-support/old-demo';
import { FOLDER, SERVER } from '../../test-support/database';
import type { Database } from '../data/database';
import { migrate, MIGRATIONS, pendingSteps, takenSteps, TooNew } from '../data/migrations';
import type { Dumped } from './backup/dump';
import { makeBackup } from './backup/make';
import { Shelf } from './backup/shelf';
import { bringUp } from './bring-up';
import { freshDatabase, openOn } from './server';

let directory: string;
let server: Dumped;
let shelf: Shelf;
let words: string[];
beforeEach(() => {
  directory = mkdtempSync(join(tmpdir(), 'jiten-up-'));
  const run = join(directory, 'run');
  mkdirSync(run);
  server = {
    ...SERVER,
    folder: { ...FOLDER, data: directory, run, pictures: join(directory, 'p') },
  };
  shelf = new Shelf(join(directory, 'backups'));
  words = [];
});
afterEach(() => rmSync(directory, { recursive: true, force: true }));

let made = 0;
const up = (database: string, after: (db: Database) => Promise<void> = async () => {}) =>
  bringUp({
    server,
    database,
    shelf,
    say: (word) => words.push(word),
    after: async (db) => {
      made++;
      await after(db);
    },
  });

const LAST = MIGRATIONS.at(-1)!.name;
const contents = async (db: Database): Promise<unknown> => ({
  tables: (await db.raw('SHOW TABLES'))[0].length,
  steps: await takenSteps(db),
  pieces: await db('piece').orderBy('id').select(),
  looks: await db('observation').orderBy('id').select(),
});

test('an empty studio is brought up without ado; one with records after a backup, and its summaries are made again', async () => {
  await freshDatabase(SERVER, 'jiten_up_empty');
  expect(await up('jiten_up_empty')).toHaveLength(MIGRATIONS.length);
  expect(await up('jiten_up_empty')).toEqual([]);
  expect(await shelf.list()).toEqual([]);
  const old = await demoBefore0010('jiten_up_old');
  const pieces = await old('piece').count({ n: '*' }).first();
  made = 0;
  const steps = await up('jiten_up_old');
  expect([steps[0], steps.at(-1), made]).toEqual(['0010-journey', LAST, 1]);
  expect(await old('piece').count({ n: '*' }).first()).toEqual(pieces);
  const [backup] = await shelf.list();
  expect(backup!.manifest).toMatchObject({ kind: 'before-migration' });
  expect(backup!.manifest.steps.at(-1)).toBe('0009-firing-room');
  expect(readdirSync(server.folder.run)).toEqual([]);
  await old.destroy();
}, 120_000);

test('a step that fails: everything is as it was, for the version of before, and it says so', async () => {
  const old = await demoBefore0010('jiten_up_fails');
  // The last step finds what it would add.
  await old.raw('ALTER TABLE piece ADD COLUMN key_known INT NULL');
  const before = await contents(old);
  await expect(up('jiten_up_fails')).rejects.toThrow(
    /could not be brought up to date: [\s\S]*key_known[\s\S]*\nThey are as they were before, for version .* with its last step 0009-firing-room/,
  );
  expect(await contents(old)).toEqual(before);
  expect(readdirSync(server.folder.run)).toEqual([]);
  // Nothing was thrown away: the backup is still there to be carried elsewhere.
  expect(await shelf.list()).toHaveLength(1);
  await old.destroy();
}, 120_000);

test('summaries that cannot be made again are a failure like any other', async () => {
  const old = await demoBefore0010('jiten_up_after');
  const before = await contents(old);
  await expect(up('jiten_up_after', () => Promise.reject(new Error('no such rule')))).rejects.toThrow(
    /no such rule/,
  );
  expect(await contents(old)).toEqual(before);
  await old.destroy();
}, 120_000);

test('killed in the middle of a step: the next start puts it back and brings it up', async () => {
  const old = await demoBefore0010('jiten_up_killed');
  const { name } = await makeBackup(server, 'jiten_up_killed', shelf, 'before-migration');
  const marker = { database: 'jiten_up_killed', backup: name, steps: ['0010-journey'] };
  writeFileSync(join(server.folder.run, 'migrating.json'), JSON.stringify(marker));
  const pieces = await old('piece').count({ n: '*' }).first();
  // Half of a step, and then nothing more; its lock is left behind too.
  await old.raw('ALTER TABLE piece ADD COLUMN made_for INT NULL');
  await old('observation_sign').delete();
  await old('knex_migrations_lock').update({ is_locked: 1 });
  expect((await up('jiten_up_killed')).at(-1)).toBe(LAST);
  expect(words[0]).toMatch(/was broken off \(0010-journey\); they are put back/);
  expect(await old('piece').count({ n: '*' }).first()).toEqual(pieces);
  expect(Number((await old('observation_sign').count({ n: '*' }).first())!.n)).toBeGreaterThan(100);
  await old.destroy();
}, 120_000);

test('records of a newer program are left alone, with a word', async () => {
  await freshDatabase(SERVER, 'jiten_up_newer');
  await up('jiten_up_newer');
  const db = openOn(SERVER, 'jiten_up_newer');
  await db('knex_migrations').insert({
    name: '9999-of-tomorrow',
    batch: 9,
    migration_time: new Date(),
  });
  await expect(pendingSteps(db)).rejects.toThrow(TooNew);
  await expect(up('jiten_up_newer')).rejects.toThrow(/newer version of the program \(9999-of-tomorrow\)/);
  await db.destroy();
}, 60_000);

test('four at once: one takes the steps, the others wait and find nothing to do; a lock left behind is no obstacle', async () => {
  await freshDatabase(SERVER, 'jiten_up_four');
  const first = openOn(SERVER, 'jiten_up_four');
  await migrate(first, '0003-pieces');
  await first('knex_migrations_lock').update({ is_locked: 1 });
  const four = Array.from({ length: 4 }, () => openOn(SERVER, 'jiten_up_four'));
  const taken = await Promise.all(four.map((db) => migrate(db)));
  expect(taken.map((steps) => steps.length).sort((a, b) => a - b)).toEqual([0, 0, 0, MIGRATIONS.length - 3]);
  expect(await takenSteps(first)).toHaveLength(MIGRATIONS.length);
  for (const db of [first, ...four]) await db.destroy();
}, 120_000);
