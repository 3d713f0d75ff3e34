/** What integration tests begin with: an emptied database is the same as one that was migrated just now. */
import { loadDemo } from '../../../demo/load';
import { emptyDatabase, nameOf, PRISTINE, SERVER } from '../../../test-support/database';
import { freshDatabase, openOn } from '../../keeper/server';
import type { Database, Row } from '../database';
import { migrate } from './index';

const tablesOf = async (db: Database): Promise<string[]> =>
  ((await db.raw('SHOW TABLES'))[0] as Row[]).map((row) => Object.values(row)[0] as string).sort();

/** Every table as the server would make it again, with its keys, checks and what it counts on from. */
async function made(db: Database): Promise<Record<string, string>> {
  const found: Record<string, string> = {};
  for (const table of await tablesOf(db))
    found[table] = ((await db.raw('SHOW CREATE TABLE ??', [table]))[0] as Row[])[0]!['Create Table'];
  return found;
}

async function rowsOf(db: Database): Promise<Record<string, string[]>> {
  const found: Record<string, string[]> = {};
  for (const table of await tablesOf(db))
    if (!table.startsWith('knex_'))
      found[table] = ((await db(table).select()) as Row[]).map((row) => JSON.stringify(row)).sort();
  return found;
}

let fresh: Database;
let pristine: Database;
beforeAll(async () => {
  await freshDatabase(SERVER, 'test_fresh');
  fresh = openOn(SERVER, 'test_fresh');
  await migrate(fresh);
  pristine = openOn(SERVER, PRISTINE);
}, 60_000);
afterAll(async () => {
  await fresh.destroy();
  await pristine.destroy();
});

/** Does something to a database of this worker, lets go of it, and takes it again. */
async function takenAgainAfter(act: (db: Database) => Promise<unknown>): Promise<Database> {
  const before = await emptyDatabase();
  await act(before);
  const name = nameOf(before);
  await before.destroy();
  const again = await emptyDatabase();
  expect(nameOf(again)).toBe(name);
  return again;
}

test('after a whole studio was in it: every table with its keys and checks, every row that migrations bring, and no other', async () => {
  const again = await takenAgainAfter(async (db) => {
    await loadDemo(db, 'unused', { pictures: false });
    expect(await made(db)).not.toEqual(await made(fresh));
  });
  const tables = await made(again);
  expect(tables).toEqual(await made(fresh));
  expect(Object.values(tables).filter((one) => one.includes('FOREIGN KEY')).length).toBeGreaterThan(30);
  expect(Object.values(tables).filter((one) => one.includes('CHECK (')).length).toBeGreaterThan(30);
  const rows = await rowsOf(again);
  expect(rows).toEqual(await rowsOf(pristine));
  const counts = (of: Record<string, string[]>) =>
    Object.entries(of).map(([table, list]) => [table, list.length]);
  expect(counts(rows)).toEqual(counts(await rowsOf(fresh)));
  await again.destroy();
}, 120_000);

test.each([
  ['a foreign key', 'ALTER TABLE piece DROP FOREIGN KEY piece_ibfk_1'],
  ['a table more', 'CREATE TABLE stray (n INT)'],
  ['a column more', 'ALTER TABLE body ADD COLUMN stray INT NULL'],
  ['a key', 'ALTER TABLE piece DROP INDEX code'],
])(
  'a file that changed %s leaves it to no other',
  async (_, change) => {
    const again = await takenAgainAfter((db) => db.raw(change));
    expect(await made(again)).toEqual(await made(fresh));
    await again.destroy();
  },
  60_000,
);

test('what an earlier file left open, and locked, is ended', async () => {
  const before = await emptyDatabase();
  const left = openOn(SERVER, nameOf(before));
  const trx = await left.transaction();
  await trx('material').update({ name: trx.raw("CONCAT(name, ' x')") });
  await before.destroy();
  const again = await emptyDatabase();
  expect(await rowsOf(again)).toEqual(await rowsOf(pristine));
  await trx.rollback().catch(() => undefined);
  await left.destroy();
  await again.destroy();
}, 60_000);
