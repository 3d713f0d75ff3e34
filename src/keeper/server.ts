/** Starts and stops a MariaDB of the studio's own, from Debian's packages, reached by its socket only. */
import { execFileSync, spawn } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { userInfo } from 'node:os';
import mysql from 'mysql2/promise';
import { openDatabase, type Database, type DatabaseAddress } from '../data/database';
import { ACCOUNT, password, writeFirstWords } from './account';
import { folderOf, ownDirectory, type Folder } from './folder';

export type RunningDatabase = {
  folder: Folder;
  pid: number;
  /** Where a database of this name is reached. */
  address(name: string): DatabaseAddress;
  /** Done when the server has ended, however that came. */
  ended: Promise<void>;
  stop(): Promise<void>;
};

const asRoot = (): string[] => (userInfo().uid === 0 ? ['--user=root'] : []);
const ITS_OWN = new Set(['mysql', 'performance_schema', 'sys']);

/** Is anything kept in these tables but what the server needs for itself? */
function holdsRecords(tables: string): boolean {
  return readdirSync(tables).some((name) => !ITS_OWN.has(name) && statSync(join(tables, name)).isDirectory());
}

/** Tables are made beside their place and moved there when they are whole. */
function makeTables({ tables, temporary }: Folder): void {
  const half = `${tables}.new`;
  rmSync(half, { recursive: true, force: true });
  execFileSync(
    'mariadb-install-db',
    [
      '--no-defaults',
      ...asRoot(),
      `--datadir=${half}`,
      `--tmpdir=${temporary}`,
      '--auth-root-authentication-method=socket',
      '--skip-test-db',
      '--skip-name-resolve',
    ],
    { stdio: 'pipe' },
  );
  renameSync(half, tables);
}

function launch(folder: Folder, firstWords: string, throwaway: boolean) {
  return spawn(
    'mariadbd',
    [
      '--no-defaults',
      ...asRoot(),
      `--datadir=${folder.tables}`,
      `--tmpdir=${folder.temporary}`,
      '--skip-networking',
      `--socket=${folder.socket}`,
      `--pid-file=${join(folder.run, 'mariadb.pid')}`,
      `--log-error=${join(folder.data, 'mariadb.log')}`,
      `--init-file=${firstWords}`,
      '--character-set-server=utf8mb4',
      '--collation-server=utf8mb4_uca1400_ai_ci',
      '--default-time-zone=+00:00',
      '--transaction-isolation=READ-COMMITTED',
      '--skip-name-resolve',
      '--max-allowed-packet=64M',
      '--innodb-buffer-pool-size=256M',
      ...(throwaway ? ['--innodb-flush-log-at-trx-commit=0'] : []),
    ],
    { stdio: 'ignore', detached: true },
  );
}

/** The last of what the server wrote down, where it says what was wrong. */
function lastWords(folder: Folder): string {
  const log = join(folder.data, 'mariadb.log');
  if (!existsSync(log)) return '';
  const lines = readFileSync(log, 'utf8').trimEnd().split('\n');
  const errors = lines.slice(-60).filter((line) => line.includes('[ERROR]'));
  return (errors.length > 0 ? errors : lines).slice(-3).join('\n');
}

async function answers(address: DatabaseAddress): Promise<boolean> {
  try {
    const connection = await mysql.createConnection(address);
    await connection.end();
    return true;
  } catch {
    return false;
  }
}

/** Where a database of this name is reached while the folder's server runs. */
export const addressIn = (folder: Folder, database: string): DatabaseAddress => ({
  socketPath: folder.socket,
  user: ACCOUNT,
  password: password(folder),
  database,
});

/** What a start may be asked for: tests do without the disk's word at every commit, in any database. */
export type ServerOptions = { throwaway?: boolean; patienceMs?: number };

/**
 * Runs a server on a data folder (its tables are made when missing) and waits until it answers.
 * Errors: the server's own last words.
 */
export async function startDatabase(
  directory: string,
  options: ServerOptions = {},
): Promise<RunningDatabase> {
  const folder = folderOf(directory);
  mkdirSync(folder.data, { recursive: true });
  for (const path of [folder.run, dirname(folder.socket)]) ownDirectory(path);
  rmSync(folder.temporary, { recursive: true, force: true });
  ownDirectory(folder.temporary);
  if (existsSync(folder.tables) && !existsSync(join(folder.tables, 'mysql')) && !holdsRecords(folder.tables))
    setAside(folder.tables);
  const fresh = !existsSync(folder.tables);
  if (fresh) makeTables(folder);
  try {
    return await run(folder, options);
  } catch (error) {
    // A first start that was killed half-way left tables that never held a record.
    if (fresh || holdsRecords(folder.tables)) throw error;
    setAside(folder.tables);
    makeTables(folder);
    return run(folder, options);
  }
}

/** Half-made tables are kept, but out of the way. */
function setAside(tables: string): void {
  renameSync(tables, `${tables}.half-made-${Date.now()}`);
}

async function run(folder: Folder, options: ServerOptions): Promise<RunningDatabase> {
  const secret = password(folder);
  const firstWords = writeFirstWords(folder, secret, options.throwaway ?? false);
  const child = launch(folder, firstWords, options.throwaway ?? false);
  let exited = false;
  const ended = new Promise<void>((resolve) => {
    const over = (): void => {
      exited = true;
      resolve();
    };
    child.once('exit', over).once('error', over);
  });
  const address = (database: string): DatabaseAddress => addressIn(folder, database);
  const patience = options.patienceMs ?? 120_000;
  for (let waited = 0; !(await answers(address(''))); waited += 100) {
    if (exited || waited > patience) {
      child.kill('SIGKILL');
      throw new Error(`The database did not start.\n${lastWords(folder)}`);
    }
    await wait(100);
  }
  rmSync(firstWords, { force: true });
  return {
    folder,
    pid: child.pid as number,
    address,
    ended,
    async stop() {
      if (exited) return;
      child.kill('SIGTERM');
      await Promise.race([ended, wait(60_000, undefined, { ref: false })]);
      // Its own log makes good what a killed server had not written yet.
      if (!exited) child.kill('SIGKILL');
      await ended;
    },
  };
}

/** A server that answers: one that was started here, or by somebody else on a folder that is known. */
export type Reached = Pick<RunningDatabase, 'address'>;

/** Carries words out on the server, outside of any database. */
export async function onServer(server: Reached, words: string): Promise<void> {
  const connection = await mysql.createConnection(server.address(''));
  try {
    await connection.query(words);
  } finally {
    await connection.end();
  }
}

const AS_TEXT = 'CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_ai_ci';

/** Makes the database when it is not there yet. */
export const ensureDatabase = (server: Reached, name: string): Promise<void> =>
  onServer(server, `CREATE DATABASE IF NOT EXISTS \`${name}\` ${AS_TEXT}`);

export const dropDatabase = (server: Reached, name: string): Promise<void> =>
  onServer(server, `DROP DATABASE IF EXISTS \`${name}\``);

/** Makes an empty database, dropping one of that name. */
export async function freshDatabase(server: Reached, name: string): Promise<void> {
  await dropDatabase(server, name);
  await ensureDatabase(server, name);
}

/** A pool on a database of a server that was started here. */
export const openOn = (server: Reached, name: string): Database => openDatabase(server.address(name));
