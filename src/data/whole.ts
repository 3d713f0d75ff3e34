/**
 * A whole studio, table by table, out of one database and into an empty one: every row as it lies, with
 * sums by which both sides can be held against each other. What lets somebody in stays behind.
 */
import { createHash } from 'node:crypto';
import { insertMany, type Database, type Row, type Source, type Transaction } from './database';
import { TABLES_LEFT_OUT } from './export';
import { MIGRATIONS } from './migrations';
import { references } from './references';
import { WAYS_IN } from './sessions';

/** Tables that stay, and why: people come along here, and so does what takes two apart again. */
export const STAYS_BEHIND: Readonly<Record<string, string>> = Object.fromEntries(
  Object.entries(TABLES_LEFT_OUT).filter(([table]) => !['person', 'merger'].includes(table)),
);

/** Tables that show whether anything has been recorded yet. */
const SHOWS_WORK = ['piece', 'firing', 'coating', 'body', 'kiln'];

export type WholeTable = { name: string; columns: string[]; key: string[]; moments: Set<string> };
export type TableSum = { table: string; rows: number; sha256: string };

/** The step of the records that this program knows last: rows of another one may mean other things. */
export const STEP = MIGRATIONS.at(-1)!.name;

export async function wholeTables(src: Source): Promise<WholeTable[]> {
  const here = () => src('information_schema.COLUMNS').whereRaw('TABLE_SCHEMA = DATABASE()');
  const rows: Row[] = await here()
    .orderBy(['TABLE_NAME', 'ORDINAL_POSITION'])
    .select('TABLE_NAME as t', 'COLUMN_NAME as c', 'DATA_TYPE as d', 'COLUMN_KEY as k');
  const tables = new Map<string, WholeTable>();
  for (const { t, c, d, k } of rows as { t: string; c: string; d: string; k: string }[]) {
    if (STAYS_BEHIND[t] !== undefined || c === 'password_hash') continue;
    const one = tables.get(t) ?? { name: t, columns: [], key: [], moments: new Set() };
    one.columns.push(c);
    if (k === 'PRI') one.key.push(c);
    if (d === 'datetime') one.moments.add(c);
    tables.set(t, one);
  }
  return [...tables.values()];
}

/** The rows of a table in the order of their key, as they are written down. */
export async function* wholeRows(src: Source, table: WholeTable): AsyncGenerator<string> {
  const rows = src(table.name)
    .select(table.columns)
    .orderBy(table.key.length > 0 ? table.key : table.columns)
    .stream({ highWaterMark: 500 });
  for await (const row of rows) yield JSON.stringify(table.columns.map((name) => plain((row as Row)[name])));
}

/** What the driver has taken apart is text again; moments write themselves. */
const plain = (value: unknown): unknown =>
  typeof value === 'object' && value !== null && !(value instanceof Date) ? JSON.stringify(value) : value;

/** What a table holds, told by its rows alone; `only` looks at some rows. */
export async function sumOf(
  src: Source,
  table: WholeTable,
  only: (row: unknown[]) => boolean = () => true,
): Promise<TableSum> {
  const hash = createHash('sha256');
  let rows = 0;
  for await (const line of wholeRows(src, table)) {
    if (!only(JSON.parse(line) as unknown[])) continue;
    hash.update(line).update('\n');
    rows++;
  }
  return { table: table.name, rows, sha256: hash.digest('hex') };
}

/** Has nothing been recorded here yet? */
export async function isEmptyStudio(src: Source): Promise<boolean> {
  const found = await Promise.all(SHOWS_WORK.map((table) => src(table).first('id')));
  return found.every((row) => row === undefined);
}

/**
 * Empties what a whole studio fills; people stay, and give way one by one to those who come. False when
 * somebody has recorded something by now: whoever asked for it lets go of all.
 */
export async function clearForWhole(trx: Transaction, tables: readonly WholeTable[]): Promise<boolean> {
  let untouched = true;
  for (const { name } of tables) {
    if (name === 'person') continue;
    const went = await trx(name).delete();
    if (went > 0 && SHOWS_WORK.includes(name)) untouched = false;
  }
  return untouched;
}

/** A row as it came, to be laid down. */
export const rowOf = (table: WholeTable, values: readonly unknown[]): Record<string, unknown> =>
  Object.fromEntries(
    table.columns.map((name, i) => [
      name,
      table.moments.has(name) && typeof values[i] === 'string' ? new Date(values[i]) : values[i],
    ]),
  );

export const layDown = (trx: Transaction, table: WholeTable, rows: readonly unknown[][]): Promise<void> =>
  insertMany(
    trx,
    table.name,
    rows.map((row) => rowOf(table, row)),
  );

/**
 * A person who comes takes the place of whoever signs in here under that name, with their password and
 * what they are signed in with; anybody else comes without a way in.
 */
export async function letPersonCome(
  trx: Transaction,
  row: Record<string, unknown>,
  noPassword: string,
): Promise<void> {
  const held = await trx('person')
    .where({ login: row.login as string })
    .first();
  const { id } = row as { id: string };
  if (held === undefined) {
    await trx('person').insert({ ...row, password_hash: noPassword });
    return;
  }
  if (held.id === id) {
    await trx('person').where({ id }).update(row);
    return;
  }
  await trx('person')
    .where({ id: held.id })
    .update({ login: `${held.id}` });
  await trx('person').insert({ ...row, password_hash: held.password_hash });
  for (const table of WAYS_IN) await trx(table).where({ person_id: held.id }).update({ person_id: id });
  for (const table of ['invitation', 'share_link', 'reset_link'])
    await trx(table).where({ created_by: held.id }).update({ created_by: id });
  await trx('operation').where({ person_id: held.id }).update({ person_id: id });
  await trx('person').where({ id: held.id }).delete();
}

/** Is there a technician with a password of their own? */
export async function canBeRun(src: Source, noPassword: string): Promise<boolean> {
  const one = await src('person')
    .where({ role: 'technician' })
    .whereNull('disabled_at')
    .whereNot({ password_hash: noPassword })
    .first('id');
  return one !== undefined;
}

/** Does work in a transaction of its own in which rows may come before what they refer to. */
export async function withoutOrder<T>(db: Database, work: (trx: Transaction) => Promise<T>): Promise<T> {
  return db.transaction(async (trx) => {
    await trx.raw('SET SESSION foreign_key_checks = 0');
    try {
      const done = await work(trx);
      const loose = await looseEnds(trx);
      if (loose !== null) throw new LooseEnd(loose);
      return done;
    } finally {
      // The connection goes on to somebody else.
      await trx.raw('SET SESSION foreign_key_checks = 1');
    }
  });
}

/** A row refers to one that did not come. */
export class LooseEnd extends Error {}

async function looseEnds(trx: Transaction): Promise<string | null> {
  for (const { table, column, of, by } of await references(trx)) {
    const loose = await trx({ one: table })
      .leftJoin({ other: of }, `other.${by}`, `one.${column}`)
      .whereNotNull(`one.${column}`)
      .whereNull(`other.${by}`)
      .first(trx.raw('1'));
    if (loose !== undefined) return `${table}.${column}`;
  }
  return null;
}
