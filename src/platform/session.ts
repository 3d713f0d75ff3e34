import { cookies, headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { cache } from 'react';
import type { Person } from '@/data/people';
import { createSession, endSession, findSession, knowDevice, SESSION_DAYS } from '@/data/sessions';
import { newToken } from '@/data/ids';
import type { Source } from '@/data/database';
import { database } from './database';
import { deviceWords } from './device-words';
import { overTls } from './peer';
import { SESSION_COOKIE } from './who';

const DEVICE = 'jiten-device';
const DAY_S = 86_400;

/** Who is signed in on this request; null for nobody. A page and its layout ask once. */
export const currentPerson = cache(async (): Promise<Person | null> => {
  const token = (await cookies()).get(SESSION_COOKIE)?.value;
  return token === undefined ? null : findSession(database(), token, new Date());
});

/** The token of this browser's session. */
export const sessionToken = async (): Promise<string | null> =>
  (await cookies()).get(SESSION_COOKIE)?.value ?? null;

/** Who is signed in; sends everybody else to the sign-in page. */
export async function requirePerson(): Promise<Person> {
  const person = await currentPerson();
  if (person === null) redirect('/sign-in');
  return person;
}

/** What this browser was given when somebody last signed in from it; null for a strange one. */
export const deviceToken = async (): Promise<string | null> => (await cookies()).get(DEVICE)?.value ?? null;

/** Opens a session, knows the device from now on, and sets their cookies. */
export async function signIn(src: Source, personId: string, now: Date): Promise<void> {
  const words = deviceWords((await headers()).get('user-agent') ?? '');
  // Whoever signs in again here was signed in here before.
  const before = (await cookies()).get(SESSION_COOKIE)?.value;
  if (before !== undefined) await endSession(src, before);
  const token = await createSession(src, personId, now, words);
  const device = (await deviceToken()) ?? newToken();
  await knowDevice(src, personId, device, now);
  const jar = await cookies();
  const kept = { httpOnly: true, sameSite: 'lax', secure: await overTls(), path: '/' } as const;
  jar.set(SESSION_COOKIE, token, { ...kept, maxAge: SESSION_DAYS.most * DAY_S });
  jar.set(DEVICE, device, { ...kept, maxAge: 400 * DAY_S });
}

/** Ends the session of this browser. */
export async function signOut(): Promise<void> {
  const jar = await cookies();
  const token = jar.get(SESSION_COOKIE)?.value;
  if (token !== undefined) await endSession(database(), token);
  jar.delete(SESSION_COOKIE);
}
