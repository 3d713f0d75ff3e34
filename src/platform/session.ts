import { cookies } from 'next/headers';
import { redirect } from 'next/navigation';
import { cache } from 'react';
import { createSession, endSession, findSession, type Person } from '@/data/people';
import type { Source } from '@/data/database';
import { database } from './database';
import { overTls } from './peer';

const COOKIE = 'jiten-session';
const DAYS = 30;

/** Who is signed in on this request; null for nobody. A page and its layout ask once. */
export const currentPerson = cache(async (): Promise<Person | null> => {
  const token = (await cookies()).get(COOKIE)?.value;
  return token === undefined ? null : findSession(database(), token, new Date());
});

/** The token of this browser's session. */
export const sessionToken = async (): Promise<string | null> =>
  (await cookies()).get(COOKIE)?.value ?? null;

/** Who is signed in; sends everybody else to the sign-in page. */
export async function requirePerson(): Promise<Person> {
  const person = await currentPerson();
  if (person === null) redirect('/sign-in');
  return person;
}

/** Opens a session and sets its cookie. */
export async function signIn(src: Source, personId: string, now: Date): Promise<void> {
  const expires = new Date(now.getTime() + DAYS * 86_400_000);
  const token = await createSession(src, personId, now, expires);
  (await cookies()).set(COOKIE, token, {
    httpOnly: true,
    sameSite: 'lax',
    secure: await overTls(),
    path: '/',
    expires,
  });
}

/** Ends the session of this browser. */
export async function signOut(): Promise<void> {
  const jar = await cookies();
  const token = jar.get(COOKIE)?.value;
  if (token !== undefined) await endSession(database(), token);
  jar.delete(COOKIE);
}
