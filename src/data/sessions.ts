/** Who is signed in where, which devices are known, and links that set a forgotten password anew. */
import type { Row, Source } from './database';
import { newId, newToken, tokenHash } from './ids';
import { keepRead } from './kept';
import { person, type Person } from './people';

const DAY = 86_400_000;
/** Tables of a person's ways in; they end when somebody leaves or was a double. */
export const WAYS_IN = ['session', 'known_device', 'reset_link'] as const;
/** A session ends when nobody has used it for so long, and at the latest after so long. */
export const SESSION_DAYS = { idle: 30, most: 180 } as const;
/** That it is in use is written down no more often than this, ms. */
const SEEN_EVERY = 3_600_000;
/** A device that has not been signed in from for so long is a stranger again, days. */
const KNOWN_DAYS = 400;
const RESET_HOURS = 24;

const idleSince = (now: Date): Date => new Date(now.getTime() - SESSION_DAYS.idle * DAY);

/** Opens a session on a device that is told in words; its token. */
export async function createSession(src: Source, personId: string, now: Date, device = ''): Promise<string> {
  const token = newToken();
  await src('session').where('expires_at', '<', now).orWhere('seen_at', '<', idleSince(now)).delete();
  await src('session').insert({
    id: newId(),
    token_hash: tokenHash(token),
    person_id: personId,
    device: device.slice(0, 120),
    created_at: now,
    seen_at: now,
    expires_at: new Date(now.getTime() + SESSION_DAYS.most * DAY),
  });
  return token;
}

const alive = (src: Source, now: Date) =>
  src('session').where('session.expires_at', '>', now).where('session.seen_at', '>', idleSince(now));

/** Asked with every request: kept until a session or a person changes. */
const sessionOf = keepRead({
  most: 2000,
  key: (hash: string) => hash,
  read: async (src: Source, hash: string) => {
    const row: Row | undefined = await src('session')
      .join('person', 'person.id', 'session.person_id')
      .where('session.token_hash', hash)
      .whereNull('person.disabled_at')
      .first('person.*', 'session.seen_at', 'session.expires_at');
    return row === undefined
      ? null
      : { person: person(row), seen: row.seen_at as Date, until: row.expires_at as Date };
  },
  worth: (found) => found !== null,
});

/** Whose session a token opens; that it was used is written down now and then. */
export async function findSession(src: Source, token: string, now: Date): Promise<Person | null> {
  const hash = tokenHash(token);
  const found = await sessionOf(src, hash);
  if (found === null || found.until <= now || found.seen <= idleSince(now)) return null;
  if (now.getTime() - found.seen.getTime() > SEEN_EVERY)
    await src('session').where({ token_hash: hash }).update({ seen_at: now });
  return found.person;
}

export type OpenSession = { id: string; device: string; since: Date; seen: Date; here: boolean };

/** A person's sessions, the one that asks first, then as they were last used. */
export async function listSessions(
  src: Source,
  personId: string,
  token: string | null,
  now: Date,
): Promise<OpenSession[]> {
  const rows = await alive(src, now).where({ person_id: personId }).orderBy('seen_at', 'desc');
  const own = token === null ? null : tokenHash(token);
  return rows
    .map((row: Row) => ({
      id: row.id as string,
      device: row.device as string,
      since: row.created_at as Date,
      seen: row.seen_at as Date,
      here: row.token_hash === own,
    }))
    .sort((a, b) => Number(b.here) - Number(a.here));
}

export async function endSession(src: Source, token: string): Promise<void> {
  await src('session')
    .where({ token_hash: tokenHash(token) })
    .delete();
}

/** Ends one of a person's sessions; false when it is not theirs or has ended. */
export async function endSessionById(src: Source, personId: string, id: string): Promise<boolean> {
  return (await src('session').where({ id, person_id: personId }).delete()) === 1;
}

/** Ends a person's sessions but the one named by its token, and knows their devices no more. */
export async function endOtherSessions(src: Source, personId: string, token: string | null): Promise<void> {
  const sessions = src('session').where({ person_id: personId });
  await (token === null ? sessions : sessions.whereNot({ token_hash: tokenHash(token) })).delete();
  await src('known_device').where({ person_id: personId }).delete();
}

/** Has this person signed in from this device before? */
export async function isKnownDevice(
  src: Source,
  personId: string,
  device: string,
  now: Date,
): Promise<boolean> {
  const row = await src('known_device')
    .where({ person_id: personId, token_hash: tokenHash(device) })
    .where('seen_at', '>', new Date(now.getTime() - KNOWN_DAYS * DAY))
    .first('seen_at');
  return row !== undefined;
}

export async function knowDevice(src: Source, personId: string, device: string, now: Date): Promise<void> {
  await src('known_device')
    .insert({ person_id: personId, token_hash: tokenHash(device), seen_at: now })
    .onConflict(['person_id', 'token_hash'])
    .merge(['seen_at']);
}

/** A link that sets a person's password anew, once and within a day; earlier ones open no more. */
export async function createResetLink(
  src: Source,
  row: { personId: string; createdBy: string },
  now: Date,
): Promise<string> {
  const token = newToken();
  await src('reset_link').where({ person_id: row.personId }).delete();
  await src('reset_link').insert({
    id: newId(),
    token_hash: tokenHash(token),
    person_id: row.personId,
    created_by: row.createdBy,
    created_at: now,
    expires_at: new Date(now.getTime() + RESET_HOURS * 3_600_000),
  });
  return token;
}

/** Whose password a token sets anew; null when it is unknown, used or run out, or they may not sign in. */
export async function findResetLink(
  src: Source,
  token: string,
  now: Date,
): Promise<{ id: string; person: Person } | null> {
  const row = await src('reset_link')
    .join('person', 'person.id', 'reset_link.person_id')
    .where({ token_hash: tokenHash(token) })
    .whereNull('used_at')
    .where('expires_at', '>', now)
    .whereNull('person.disabled_at')
    .first('person.*', 'reset_link.id as link_id');
  return row === undefined ? null : { id: row.link_id as string, person: person(row) };
}

/** False when somebody else used it first. */
export async function useResetLink(src: Source, id: string, now: Date): Promise<boolean> {
  return (await src('reset_link').where({ id }).whereNull('used_at').update({ used_at: now })) === 1;
}
