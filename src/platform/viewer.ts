import { findShareLink } from '@/data/people';
import { database } from './database';
import { Refusal } from './refusal';
import { currentPerson } from './session';

/** Lets through whoever is signed in, or holds a share link that still opens. */
export async function requireViewer(share: string | null): Promise<void> {
  if (share !== null && (await findShareLink(database(), share, new Date())) !== null) return;
  if ((await currentPerson()) !== null) return;
  throw new Refusal({
    code: 'not-signed-in',
    message: 'Sign in, or ask for a new share link: this one does not open any more.',
  });
}
