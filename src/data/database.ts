import knexFactory, { type Knex } from 'knex';
import { watchChanges } from './changes';

export type { Row } from './rows';

export type Database = Knex;
export type Transaction = Knex.Transaction;

/** Where a read or a write goes: the pool or an open transaction. */
export type Source = Knex | Knex.Transaction;

/** A server on this machine by its socket, one elsewhere by host and port. */
export type DatabaseAddress = {
  socketPath?: string;
  host?: string;
  port?: number;
  user: string;
  password: string;
  database: string;
};

type RawConnection = { query: (sql: string, done: (error: Error | null) => void) => void };

/** Opens a pool. Times are UTC both ways; sums come back as numbers by the repositories' own conversion. */
export function openDatabase(address: DatabaseAddress): Database {
  const db = knexFactory({
    client: 'mysql2',
    // Knex types dateStrings as a boolean; the driver also takes the list of types.
    connection: {
      ...address,
      timezone: 'Z',
      charset: 'utf8mb4',
      supportBigNumbers: true,
      dateStrings: ['DATE'] as unknown as boolean,
      connectTimeout: 5000,
    },
    pool: {
      min: 0,
      max: 10,
      acquireTimeoutMillis: 8000,
      // Writers hold rows and then read: what they read must be what is there by then.
      afterCreate: (connection: RawConnection, done: (error: Error | null, c: unknown) => void) =>
        connection.query('SET SESSION TRANSACTION ISOLATION LEVEL READ COMMITTED', (error) =>
          done(error, connection),
        ),
    },
    acquireConnectionTimeout: 8000,
  });
  watchChanges(db);
  return db;
}

/** Deadlock, lock wait time-out, and Galera's certification failure: the transaction is to be tried again. */
const RETRY = new Set([1213, 1205, 1020]);
const ATTEMPTS = 5;

/** Runs a write in one transaction and repeats it when the database asks for that. */
export async function transact<T>(db: Database, work: (trx: Transaction) => Promise<T>): Promise<T> {
  for (let attempt = 1; ; attempt++) {
    try {
      return await db.transaction(work);
    } catch (error) {
      const number = (error as { errno?: number }).errno ?? 0;
      if (!RETRY.has(number) || attempt === ATTEMPTS) throw error;
      await new Promise((resolve) => setTimeout(resolve, 10 * attempt + Math.random() * 20));
    }
  }
}

const GONE = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'PROTOCOL_CONNECTION_LOST',
  'ETIMEDOUT',
  'ER_SERVER_SHUTDOWN',
  'ER_CONNECTION_KILLED',
  'ECONNABORTED',
  // The socket of a server that does not run.
  'ENOENT',
]);

/** Is this the database being away, rather than a wrong query? */
export function isDatabaseAway(error: unknown): boolean {
  if (typeof error !== 'object' || error === null) return false;
  const { code, name, message } = error as { code?: string; name?: string; message?: string };
  return (
    (code !== undefined && GONE.has(code)) ||
    name === 'KnexTimeoutError' ||
    /Connection lost|closed state|server has gone away|Can't add new command/i.test(message ?? '')
  );
}

/** Disk full, table full, and an error of the storage that says so in its text. */
const FULL = new Set([1021, 1114]);

/** Is this the disk being full? The database's, or the one that pictures lie on. */
export function isDiskFull(error: unknown): boolean {
  if (typeof error !== 'object' || error === null) return false;
  const { code, errno, message } = error as { code?: string; errno?: number; message?: string };
  return (
    code === 'ENOSPC' ||
    code === 'EDQUOT' ||
    (errno !== undefined && FULL.has(errno)) ||
    /No space left on device|Errcode: 28\b/.test(message ?? '')
  );
}

/** Is this a row that breaks a unique key? */
export const isDuplicate = (error: unknown): boolean => (error as { errno?: number } | null)?.errno === 1062;

/**
 * Errors of the tables themselves: what a row leans on is not there, or is still leaned on; a value that
 * cannot be kept.
 */
const REFUSED: Readonly<Record<number, 'missing' | 'in use' | 'value'>> = {
  1216: 'missing',
  1452: 'missing',
  1217: 'in use',
  1451: 'in use',
  // Out of range, too long, of another kind, in letters that the column has none of, against its check.
  1264: 'value',
  1265: 'value',
  1267: 'value',
  1292: 'value',
  1366: 'value',
  1406: 'value',
  3819: 'value',
  4025: 'value',
};

/** Why a table would not take what it was given; null where that is not what went wrong. */
export const refusedByTable = (error: unknown): 'missing' | 'in use' | 'value' | null =>
  REFUSED[(error as { errno?: number } | null)?.errno ?? 0] ?? null;

/** Inserts many rows in as few statements as the packet size wants. */
export async function insertMany(
  trx: Source,
  table: string,
  rows: readonly Record<string, unknown>[],
  chunk = 500,
): Promise<void> {
  for (let i = 0; i < rows.length; i += chunk) {
    await trx(table).insert(rows.slice(i, i + chunk));
  }
}

/**
 * Writes rows that belong under one thing and are told apart by a moment; those whose moment is there
 * already are left out, and nothing else is: a row that does not fit its columns is an error. Says how
 * many were new.
 */
export async function insertNew(
  src: Source,
  table: string,
  under: Record<string, string>,
  rows: readonly ({ at: Date } & Record<string, string | number | Date | null>)[],
  chunk = 1000,
): Promise<number> {
  const byMoment = new Map<number, (typeof rows)[number]>();
  for (const row of rows) if (!byMoment.has(row.at.getTime())) byMoment.set(row.at.getTime(), row);
  const single = [...byMoment.values()];
  let kept = 0;
  for (let i = 0; i < single.length; i += chunk) {
    const part = single.slice(i, i + chunk);
    const there = new Set(
      (
        (await src(table)
          .where(under)
          .whereIn(
            'at',
            part.map(({ at }) => at),
          )
          .pluck('at')) as Date[]
      ).map((at) => at.getTime()),
    );
    const fresh = part.filter(({ at }) => !there.has(at.getTime()));
    if (fresh.length === 0) continue;
    // Somebody else may have written the same a moment ago: theirs stands.
    await src(table)
      .insert(fresh.map((row) => ({ ...row, ...under })))
      .onConflict()
      .merge(['at']);
    kept += fresh.length;
  }
  return kept;
}
