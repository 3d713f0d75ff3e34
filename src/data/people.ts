import type { Role } from '@/core/studio';
import type { Row, Source } from './database';
import { newToken, tokenHash } from './ids';

export type Person = { id: string; name: string; login: string; role: Role; disabled: boolean };
/** With whom a double was merged. */
export type Listed = Person & { mergedInto: string | null };

export const person = (row: Row): Person => ({
  id: row.id,
  name: row.name,
  login: row.login,
  role: row.role,
  disabled: row.disabled_at !== null,
});

export async function countPeople(src: Source): Promise<number> {
  const row = await src('person').count({ n: '*' }).first();
  return Number(row?.n ?? 0);
}

export async function listPeople(src: Source): Promise<Listed[]> {
  return (await src('person').orderBy(['role', 'name'])).map((row: Row) => ({
    ...person(row),
    mergedInto: row.merged_into,
  }));
}

export async function findPerson(src: Source, id: string): Promise<Person | null> {
  const row = await src('person').where({ id }).first();
  return row === undefined ? null : person(row);
}

export async function findLogin(
  src: Source,
  login: string,
): Promise<{ person: Person; passwordHash: string } | null> {
  const row = await src('person').where({ login }).first();
  return row === undefined ? null : { person: person(row), passwordHash: row.password_hash };
}

export async function createPerson(
  src: Source,
  row: { id: string; name: string; login: string; passwordHash: string; role: Role },
  now: Date,
): Promise<void> {
  await src('person').insert({
    id: row.id,
    name: row.name,
    login: row.login,
    password_hash: row.passwordHash,
    role: row.role,
    created_at: now,
  });
}

export async function setRole(src: Source, id: string, role: Role): Promise<void> {
  await src('person').where({ id }).update({ role });
}

/** Signing-in is stopped, what they recorded stays; their sessions end at once. */
export async function setDisabled(src: Source, id: string, at: Date | null): Promise<void> {
  await src('person').where({ id }).whereNull('merged_into').update({ disabled_at: at });
  if (at !== null) await src('session').where({ person_id: id }).delete();
}

export async function setPassword(src: Source, id: string, passwordHash: string): Promise<void> {
  await src('person').where({ id }).update({ password_hash: passwordHash });
}

/** Technicians who can still sign in, locked so that the last one cannot be lost in a race. */
export async function lockTechnicians(src: Source): Promise<string[]> {
  const rows = await src('person')
    .where({ role: 'technician' })
    .whereNull('disabled_at')
    .forUpdate()
    .select('id');
  return rows.map((row) => row.id as string);
}

export type Invitation = {
  id: string;
  name: string;
  role: Role;
  expiresAt: Date;
  used: boolean;
  withdrawn: boolean;
};

const invitation = (row: Row): Invitation => ({
  id: row.id,
  name: row.name,
  role: row.role,
  expiresAt: row.expires_at,
  used: row.used_at !== null,
  withdrawn: row.withdrawn_at !== null,
});

export async function createInvitation(
  src: Source,
  row: { id: string; name: string; role: Role; createdBy: string },
  now: Date,
  expiresAt: Date,
): Promise<string> {
  const token = newToken();
  await src('invitation').insert({
    id: row.id,
    name: row.name,
    role: row.role,
    created_by: row.createdBy,
    token_hash: tokenHash(token),
    created_at: now,
    expires_at: expiresAt,
  });
  return token;
}

export async function listInvitations(src: Source, now: Date): Promise<Invitation[]> {
  const rows = await src('invitation')
    .whereNull('used_at')
    .whereNull('withdrawn_at')
    .where('expires_at', '>', now)
    .orderBy('created_at', 'desc');
  return rows.map(invitation);
}

/** The invitation a token opens, whatever its state; null for an unknown token. */
export async function findInvitation(src: Source, token: string): Promise<Invitation | null> {
  const row = await src('invitation')
    .where({ token_hash: tokenHash(token) })
    .first();
  return row === undefined ? null : invitation(row);
}

/** False when somebody else used it first. */
export async function useInvitation(src: Source, id: string, now: Date): Promise<boolean> {
  return (await src('invitation').where({ id }).whereNull('used_at').update({ used_at: now })) === 1;
}

export async function withdrawInvitation(src: Source, id: string, now: Date): Promise<void> {
  await src('invitation').where({ id }).update({ withdrawn_at: now });
}

export type ShareLink = {
  id: string;
  token: string;
  label: string;
  view: string;
  createdAt: Date;
  expiresAt: Date | null;
  revokedAt: Date | null;
};

const shareLink = (row: Row): ShareLink => ({
  id: row.id,
  token: row.token,
  label: row.label,
  view: row.view,
  createdAt: row.created_at,
  expiresAt: row.expires_at,
  revokedAt: row.revoked_at,
});

export async function createShareLink(
  src: Source,
  row: { id: string; label: string; view: string; createdBy: string; expiresAt: Date | null },
  now: Date,
): Promise<string> {
  const token = newToken();
  await src('share_link').insert({
    id: row.id,
    token,
    label: row.label,
    view: row.view,
    created_by: row.createdBy,
    created_at: now,
    expires_at: row.expiresAt,
  });
  return token;
}

export async function listShareLinks(src: Source): Promise<ShareLink[]> {
  return (await src('share_link').orderBy('created_at', 'desc')).map(shareLink);
}

/** A link that still opens; null when unknown, revoked or run out. */
export async function findShareLink(src: Source, token: string, now: Date): Promise<ShareLink | null> {
  const row = await src('share_link').where({ token }).whereNull('revoked_at').first();
  if (row === undefined || (row.expires_at !== null && row.expires_at <= now)) return null;
  return shareLink(row);
}

export async function revokeShareLink(src: Source, id: string, now: Date): Promise<void> {
  await src('share_link').where({ id }).whereNull('revoked_at').update({ revoked_at: now });
}
