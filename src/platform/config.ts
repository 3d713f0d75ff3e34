import { resolve } from 'node:path';
import type { DatabaseAddress } from '@/data/database';

/** Settings come from the environment; the defaults are those of ./start. */
export type Config = { database: DatabaseAddress; dataDirectory: string; secureCookies: boolean };

export function readConfig(env: Record<string, string | undefined> = process.env): Config {
  return {
    database: {
      host: env.JITEN_DB_HOST ?? '127.0.0.1',
      port: Number(env.JITEN_DB_PORT ?? 3307),
      user: env.JITEN_DB_USER ?? 'root',
      password: env.JITEN_DB_PASSWORD ?? '',
      database: env.JITEN_DB_NAME ?? 'jiten',
    },
    dataDirectory: resolve(/* turbopackIgnore: true */ env.JITEN_DATA ?? 'studio-data'),
    secureCookies: env.JITEN_SECURE_COOKIES === '1',
  };
}
