/** The application's own account with the database: a random password that lies in the data folder. */
import { randomBytes } from 'node:crypto';
import { chmodSync, existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Folder } from './folder';

export const ACCOUNT = 'jiten';

/** Reads the password, or makes one. */
export function password(folder: Folder): string {
  if (existsSync(folder.key)) {
    const kept = readFileSync(folder.key, 'utf8').trim();
    if (/^[0-9a-f]{64}$/.test(kept)) {
      chmodSync(folder.key, 0o600);
      return kept;
    }
  }
  const made = randomBytes(32).toString('hex');
  writeFileSync(folder.key, `${made}\n`, { mode: 0o600 });
  chmodSync(folder.key, 0o600);
  return made;
}

/**
 * What the server carries out before it answers anybody: the account as it should be, and no way in
 * beside it. A lost key, or a folder of before there was an account, is mended by the next start.
 */
export function writeFirstWords(folder: Folder, secret: string, everything: boolean): string {
  const path = join(folder.run, 'first-words.sql');
  const name = `'${ACCOUNT}'@'localhost'`;
  const words = [
    `CREATE USER IF NOT EXISTS ${name} IDENTIFIED BY '${secret}';`,
    `ALTER USER ${name} IDENTIFIED BY '${secret}';`,
    `GRANT ALL PRIVILEGES ON ${everything ? '*' : '`jiten%`'}.* TO ${name};`,
    `ALTER USER 'root'@'localhost' IDENTIFIED VIA unix_socket;`,
    `DROP USER IF EXISTS 'root'@'127.0.0.1', 'root'@'::1', ''@'localhost';`,
  ];
  writeFileSync(path, `${words.join('\n')}\n`, { mode: 0o600 });
  return path;
}
