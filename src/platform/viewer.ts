import { cookies } from 'next/headers';
import type { Person, ShareLink } from '@/data/people';
import { database } from './database';
import { overTls } from './peer';
import { Refusal } from './refusal';
import { currentPerson } from './session';
import { linkCookie, viewerBy, type Viewer } from './who';

export type { Viewer };

const DAY_S = 86_400;

/** Keeps a link's secret with the browser that followed it, so that no address carries it any further. */
export async function rememberLink(link: ShareLink): Promise<void> {
  (await cookies()).set(linkCookie(link.id), link.token, {
    httpOnly: true,
    sameSite: 'lax',
    secure: await overTls(),
    path: '/',
    maxAge: 30 * DAY_S,
  });
}

/** The link of that id, when this browser was given it and it still opens. */
export async function heldLink(linkId: string): Promise<ShareLink | null> {
  const jar = await cookies();
  const viewer = await viewerBy(database(), (name) => jar.get(name)?.value, linkId, new Date());
  return viewer?.link ?? null;
}

/**
 * Who is looking: through the link that is named, or as who is signed in.
 * Errors: Refusal, when the link does not open and when nobody is signed in.
 */
export async function currentViewer(linkId: string | null): Promise<Viewer> {
  if (linkId !== null) {
    const link = await heldLink(linkId);
    if (link !== null) return { person: null, link };
  } else {
    const person = await currentPerson();
    if (person !== null) return { person, link: null };
  }
  throw new Refusal({
    code: 'not-signed-in',
    message: 'Sign in, or ask for a new share link: this one does not open any more.',
  });
}

/** Lets through whoever is signed in. */
export const requireSignedIn = async (): Promise<Person> => (await currentViewer(null)).person as Person;
