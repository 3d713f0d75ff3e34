import { existsSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import type { DatabaseAddress } from '@/data/database';

/** Settings come from the environment; the defaults are those of ./start. */
export type Config = { database: DatabaseAddress; dataDirectory: string };

type Environment = Record<string, string | undefined>;

const dataDirectory = (env: Environment): string =>
  resolve(/* turbopackIgnore: true */ env.JITEN_DATA ?? 'studio-data');

/** The password lies in a file that only its owner reads; an environment is seen by more. */
function addressOf(env: Environment): DatabaseAddress {
  const key = env.JITEN_DB_KEY ?? join(dataDirectory(env), 'database.key');
  return {
    ...(env.JITEN_DB_HOST === undefined
      ? { socketPath: env.JITEN_DB_SOCKET ?? join(dataDirectory(env), 'run', 'database.sock') }
      : { host: env.JITEN_DB_HOST, port: Number(env.JITEN_DB_PORT ?? 3306) }),
    user: env.JITEN_DB_USER ?? 'jiten',
    password: existsSync(/* turbopackIgnore: true */ key)
      ? readFileSync(/* turbopackIgnore: true */ key, 'utf8').trim()
      : '',
    database: env.JITEN_DB_NAME ?? 'jiten',
  };
}

export function readConfig(env: Environment = process.env): Config {
  return {
    database: addressOf(env),
    dataDirectory: dataDirectory(env),
  };
}
