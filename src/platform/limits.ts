import { RateLimiterMySQL } from 'rate-limiter-flexible';
import { database } from './database';
import { readConfig } from './config';

/**
 * Wrong passwords allowed in a quarter of an hour: for one name from one address, for one name from
 * everywhere, from one address for all names, and for a change of password. Right ones never count: a class
 * signs in at once behind one address.
 */
export const WRONG_TRIES = { pair: 8, account: 40, address: 200, change: 8, windowSeconds: 900 };
type Kind = 'pair' | 'account' | 'address' | 'change';

const held = new Map<Kind, RateLimiterMySQL>();
function limiter(kind: Kind): RateLimiterMySQL {
  const made =
    held.get(kind) ??
    new RateLimiterMySQL({
      storeClient: database(),
      storeType: 'knex',
      dbName: readConfig().database.database,
      tableName: 'attempt',
      tableCreated: true,
      keyPrefix: kind,
      points: WRONG_TRIES[kind],
      duration: WRONG_TRIES.windowSeconds,
    });
  held.set(kind, made);
  return made;
}

type Key = readonly [Kind, string];

/** Seconds to wait before another try; 0 when one may try now. */
async function waitFor(keys: readonly Key[]): Promise<number> {
  const waits = await Promise.all(
    keys.map(async ([kind, key]) => {
      const counted = await limiter(kind).get(key);
      return counted !== null && counted.consumedPoints >= WRONG_TRIES[kind]
        ? Math.ceil(counted.msBeforeNext / 1000)
        : 0;
    }),
  );
  return Math.max(0, ...waits);
}

/** Counts a wrong try. */
async function count(keys: readonly Key[]): Promise<void> {
  for (const [kind, key] of keys)
    await limiter(kind)
      .consume(key)
      .catch((refused: unknown) => {
        // Beyond the limit is what `waitFor` says the next time.
        if (refused instanceof Error) throw refused;
      });
}

const signInKeys = (login: string, address: string): Key[] => [
  ['pair', `${address} ${login}`],
  ['account', login],
  ['address', address],
];

export const waitForSignIn = (login: string, address: string): Promise<number> =>
  waitFor(signInKeys(login, address));
export const countWrongSignIn = (login: string, address: string): Promise<void> =>
  count(signInKeys(login, address));

/** A right password wipes the slate of that name at that address. */
export async function forgiveSignIn(login: string, address: string): Promise<void> {
  await limiter('pair').delete(`${address} ${login}`);
}

export const waitForChange = (personId: string): Promise<number> => waitFor([['change', personId]]);
export const countWrongChange = (personId: string): Promise<void> => count([['change', personId]]);
