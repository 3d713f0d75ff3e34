/**
 * Databases for integration tests: migrated once for each worker of the test runner, emptied between its
 * files.
 */
import { statfsSync } from 'node:fs';
import { tmpdir } from 'node:os';
import type { Database, Row } from '../src/data/database';
import { migrate } from '../src/data/migrations';
import { folderOf } from '../src/keeper/folder';
import { addressIn, ensureDatabase, freshDatabase, openOn, type Reached } from '../src/keeper/server';

/** Where integration tests run their server; a bench brings one of its own. */
export const FOLDER = folderOf(process.env.JITEN_TEST_DB ?? '.');

/** The throw-away server of all integration tests. */
export const SERVER: Reached = { address: (name) => addressIn(FOLDER, name) };

/** Migrated once and never written to: what an emptied database has to be equal to. */
export const PRISTINE = 'test_pristine';

/** What migrations keep of themselves. */
const OWN = new Set(['knex_migrations', 'knex_migrations_lock', 'migration_hold']);

const MEMORY = '/dev/shm';
const GIGABYTE = 1024 ** 3;

/** A folder for throw-away databases: in memory where a gigabyte is free there, else on the disk. */
export function roomForDatabases(memory = MEMORY): string {
  try {
    const { bavail, bsize } = statfsSync(memory);
    return bavail * bsize >= GIGABYTE ? memory : tmpdir();
  } catch {
    return tmpdir();
  }
}

/** Columns, keys, foreign keys and checks of a database, as the server tells them. */
export async function schemaOf(db: Database, name: string): Promise<string> {
  const rows = async (table: string, columns: string, of = 'table_schema'): Promise<Row[]> =>
    (
      await db.raw(`SELECT ${columns} FROM information_schema.${table} WHERE ${of} = ? ORDER BY 1, 2, 3`, [
        name,
      ])
    )[0];
  return JSON.stringify([
    await rows(
      'columns',
      'table_name, ordinal_position, column_name, column_type, is_nullable, column_default, extra, generation_expression',
    ),
    await rows('statistics', 'table_name, index_name, seq_in_index, column_name, non_unique'),
    await rows('check_constraints', 'table_name, constraint_name, check_clause', 'constraint_schema'),
    await rows(
      'referential_constraints',
      'table_name, constraint_name, referenced_table_name, update_rule, delete_rule',
      'constraint_schema',
    ),
  ]);
}

/** Databases that this file has taken, and those of them that were let go of again. */
const taken: { name: string; db: Database }[] = [];
const isOpen = (db: Database): boolean => db.client.pool !== undefined;

/** The next database of this worker that nothing in this file still uses. */
function freeName(): string {
  const used = new Set(taken.filter(({ db }) => isOpen(db)).map(({ name }) => name));
  for (let no = 1; ; no++) {
    const name = `test_${process.env.JEST_WORKER_ID ?? 0}_${no}`;
    if (!used.has(name)) return name;
  }
}

/** Ends whatever an earlier file left open on a database, with its locks. */
async function endOthers(db: Database, name: string): Promise<void> {
  const [left] = (await db.raw(
    'SELECT id FROM information_schema.processlist WHERE db = ? AND id <> CONNECTION_ID()',
    [name],
  )) as [{ id: number }[]];
  // It may have ended by itself meanwhile.
  for (const { id } of left) await db.raw('KILL ?', [id]).catch(() => undefined);
}

/** Takes every row out, and puts back what migrations brought in. */
export async function emptyTables(db: Database, name: string): Promise<void> {
  const trx = await db.transaction();
  try {
    await trx.raw('SET FOREIGN_KEY_CHECKS = 0');
    const [tables] = (await trx.raw(
      `SELECT table_name AS name, auto_increment AS next FROM information_schema.tables WHERE table_schema = ?`,
      [name],
    )) as [{ name: string; next: number | null }[]];
    for (const table of tables) if (!OWN.has(table.name)) await trx(table.name).delete();
    const [columns] = (await trx.raw(
      `SELECT table_name AS name, GROUP_CONCAT(CONCAT('\`', column_name, '\`') ORDER BY ordinal_position) AS list
       FROM information_schema.columns WHERE table_schema = ? AND generation_expression IS NULL GROUP BY table_name`,
      [PRISTINE],
    )) as [{ name: string; list: string }[]];
    for (const { name: table, list } of columns)
      if (!OWN.has(table))
        await trx.raw(`INSERT INTO \`${table}\` (${list}) SELECT ${list} FROM \`${PRISTINE}\`.\`${table}\``);
    await trx.raw('SET FOREIGN_KEY_CHECKS = 1');
    await trx.commit();
    // Counting from one again ends a transaction, so it comes last.
    for (const { name: table, next } of tables)
      if (next !== null && !OWN.has(table)) await db.raw(`ALTER TABLE \`${table}\` AUTO_INCREMENT = 1`);
  } catch (error) {
    await trx.rollback();
    throw error;
  }
}

/** Makes the one that every emptied database is held against. */
export async function makePristine(server: Reached): Promise<void> {
  await freshDatabase(server, PRISTINE);
  const db = openOn(server, PRISTINE);
  await migrate(db);
  await db.destroy();
}

/** Emptied if it is there as it was migrated, else made anew. */
async function emptied(name: string): Promise<Database> {
  await ensureDatabase(SERVER, name);
  const db = openOn(SERVER, name);
  await endOthers(db, name);
  if ((await schemaOf(db, name)) === (await schemaOf(db, PRISTINE))) {
    await emptyTables(db, name);
    return db;
  }
  await db.destroy();
  await freshDatabase(SERVER, name);
  const made = openOn(SERVER, name);
  await migrate(made);
  return made;
}

/**
 * An empty, migrated database of this worker's own; the application's own pool is pointed at it too. One that
 * was destroyed is given out again.
 */
export async function emptyDatabase(): Promise<Database> {
  const name = freeName();
  const db = await emptied(name);
  taken.push({ name, db });
  pointAt(name);
  return db;
}

/** What the database behind a pool is called. */
export const nameOf = (db: Database): string =>
  (db.client.config.connection as { database: string }).database;

/** Points the application's own pool at a database of the throw-away server. */
export function pointAt(name: string): void {
  Object.assign(process.env, {
    JITEN_DB_SOCKET: FOLDER.socket,
    JITEN_DB_KEY: FOLDER.key,
    JITEN_DB_NAME: name,
    JITEN_LOG: 'silent',
  });
}
