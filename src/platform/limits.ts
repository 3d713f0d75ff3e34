import { RateLimiterMySQL } from 'rate-limiter-flexible';
import { database } from './database';
import { readConfig } from './config';

/** Wrong passwords allowed for one name, or from one address, in a quarter of an hour. */
export const SIGN_IN_TRIES = { login: 8, address: 60, windowSeconds: 900 };

function limiter(prefix: string, points: number): RateLimiterMySQL {
  return new RateLimiterMySQL({
    storeClient: database(),
    storeType: 'knex',
    dbName: readConfig().database.database,
    tableName: 'attempt',
    tableCreated: true,
    keyPrefix: prefix,
    points,
    duration: SIGN_IN_TRIES.windowSeconds,
  });
}

let held: { login: RateLimiterMySQL; address: RateLimiterMySQL } | undefined;
const limiters = () =>
  (held ??= {
    login: limiter('login', SIGN_IN_TRIES.login),
    address: limiter('address', SIGN_IN_TRIES.address),
  });

/** Seconds to wait before another try; 0 when one may try now. Counts this try. */
export async function countSignIn(login: string, address: string): Promise<number> {
  const { login: byLogin, address: byAddress } = limiters();
  for (const [store, key] of [
    [byLogin, login],
    [byAddress, address],
  ] as const) {
    try {
      await store.consume(key);
    } catch (refused) {
      if (refused instanceof Error) throw refused;
      return Math.ceil((refused as { msBeforeNext: number }).msBeforeNext / 1000);
    }
  }
  return 0;
}

/** A right password wipes the slate of that name. */
export async function forgiveSignIn(login: string): Promise<void> {
  await limiters().login.delete(login);
}
