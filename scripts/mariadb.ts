/** Starts and stops a MariaDB of the project's own on loopback, from Debian's packages. */
import { execFileSync, spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { userInfo } from 'node:os';
import mysql from 'mysql2/promise';
import { openDatabase, type Database } from '../src/data/database';

export type RunningDatabase = { port: number; pid: number; stop: () => Promise<void> };

/** A port that nothing listens on at this moment. */
export function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const server = createServer();
    server.once('error', reject);
    server.listen(0, '127.0.0.1', () => {
      const address = server.address();
      const port = typeof address === 'object' && address !== null ? address.port : 0;
      server.close(() => resolve(port));
    });
  });
}

const asRoot = (): string[] => (userInfo().uid === 0 ? ['--user=root'] : []);

/** Runs a server on the data directory (made when missing) and waits until it answers. */
export async function startDatabase(
  directory: string,
  options: { port?: number; throwaway?: boolean } = {},
): Promise<RunningDatabase> {
  const data = join(directory, 'mariadb');
  mkdirSync(directory, { recursive: true });
  if (!existsSync(join(data, 'mysql'))) {
    execFileSync(
      'mariadb-install-db',
      [
        '--no-defaults',
        ...asRoot(),
        `--datadir=${data}`,
        '--auth-root-authentication-method=normal',
        '--skip-test-db',
        '--skip-name-resolve',
      ],
      { stdio: 'pipe' },
    );
  }
  const port = options.port ?? (await freePort());
  const log = join(directory, 'mariadb.log');
  // A socket path may hold at most 107 bytes, so it does not follow a deep data folder.
  const socket = join('/tmp', `jiten-${port}.sock`);
  const child = spawn(
    'mariadbd',
    [
      '--no-defaults',
      ...asRoot(),
      `--datadir=${data}`,
      '--bind-address=127.0.0.1',
      `--port=${port}`,
      `--socket=${socket}`,
      `--pid-file=${join(directory, 'mariadb.pid')}`,
      `--log-error=${log}`,
      '--character-set-server=utf8mb4',
      '--collation-server=utf8mb4_uca1400_ai_ci',
      '--default-time-zone=+00:00',
      '--transaction-isolation=READ-COMMITTED',
      '--skip-name-resolve',
      '--max-allowed-packet=64M',
      '--innodb-buffer-pool-size=256M',
      ...(options.throwaway ? ['--innodb-flush-log-at-trx-commit=0'] : []),
    ],
    { stdio: 'ignore', detached: true },
  );
  let exited = false;
  child.once('exit', () => (exited = true));
  for (let attempt = 0; ; attempt++) {
    try {
      const connection = await mysql.createConnection({ host: '127.0.0.1', port, user: 'root' });
      await connection.end();
      break;
    } catch (error) {
      if (exited || attempt > 300) {
        const tail = existsSync(log)
          ? readFileSync(log, 'utf8').split('\n').slice(-8).join('\n')
          : '';
        throw new Error(`MariaDB did not start on port ${port}.\n${tail}`, { cause: error });
      }
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
  }
  return {
    port,
    pid: child.pid as number,
    stop: () =>
      new Promise((resolve) => {
        if (exited) return resolve();
        child.once('exit', () => resolve());
        child.kill('SIGTERM');
      }),
  };
}

/** Makes an empty database, dropping one of that name. */
export async function freshDatabase(port: number, name: string): Promise<void> {
  const connection = await mysql.createConnection({ host: '127.0.0.1', port, user: 'root' });
  await connection.query(`DROP DATABASE IF EXISTS \`${name}\``);
  await connection.query(
    `CREATE DATABASE \`${name}\` CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_ai_ci`,
  );
  await connection.end();
}

/** Makes the database when it is not there yet. */
export async function ensureDatabase(port: number, name: string): Promise<void> {
  const connection = await mysql.createConnection({ host: '127.0.0.1', port, user: 'root' });
  await connection.query(
    `CREATE DATABASE IF NOT EXISTS \`${name}\` CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_ai_ci`,
  );
  await connection.end();
}

/** A pool on a database of a server that was started here. */
export const openLocal = (port: number, database: string): Database =>
  openDatabase({ host: '127.0.0.1', port, user: 'root', password: '', database });
