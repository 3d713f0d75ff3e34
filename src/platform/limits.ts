import { RateLimiterMySQL } from 'rate-limiter-flexible';
import { database } from './database';
import { readConfig } from './config';

/**
 * Wrong passwords allowed in a quarter of an hour: for one name from one address or one device that is known
 * to them, for one name from all strange devices, from one address for all names, and for a change of
 * password. Right ones never count: a class signs in at once behind one address.
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
      // Old ones go with all else that is forgotten, once a day, and not by a clock of this package's own.
      clearExpiredByTimeout: false,
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

/** Where somebody tries a name from: a device that is known to them, or an address. */
export type TriedFrom = { login: string } & ({ device: string } | { address: string });

const pairOf = (from: TriedFrom): Key => [
  'pair',
  'device' in from ? `${from.device} ${from.login}` : `${from.address} ${from.login}`,
];
const signInKeys = (from: TriedFrom): Key[] =>
  'device' in from ? [pairOf(from)] : [pairOf(from), ['account', from.login], ['address', from.address]];

export const waitForSignIn = (from: TriedFrom): Promise<number> => waitFor(signInKeys(from));
export const countWrongSignIn = (from: TriedFrom): Promise<void> => count(signInKeys(from));

/** A right password wipes the slate of that name from there. */
export async function forgiveSignIn(from: TriedFrom): Promise<void> {
  const [kind, key] = pairOf(from);
  await limiter(kind).delete(key);
}

/** Nothing is held against a name any more that has a new password. */
export async function forgiveAccount(login: string): Promise<void> {
  await limiter('account').delete(login);
}

export const waitForChange = (personId: string): Promise<number> => waitFor([['change', personId]]);
export const countWrongChange = (personId: string): Promise<void> => count([['change', personId]]);
