/** Who looks, told by the cookies that came: for whoever has no page around. */
import type { Source } from '@/data/database';
import { findShareLink, type Person, type ShareLink } from '@/data/people';
import { findSession } from '@/data/sessions';

/** Whoever looks: somebody of the studio, or somebody who was given a link to one view. */
export type Viewer = { person: Person; link: null } | { person: null; link: ShareLink };

export type Cookies = (name: string) => string | undefined;

export const SESSION_COOKIE = 'jiten-session';
export const linkCookie = (linkId: string): string => `jiten-share-${linkId}`;

/** Through the link that is named, or as who is signed in; null when neither lets anybody look. */
export async function viewerBy(
  src: Source,
  cookies: Cookies,
  linkId: string | null,
  now: Date,
): Promise<Viewer | null> {
  if (linkId !== null) {
    const token = cookies(linkCookie(linkId));
    const link = token === undefined ? null : await findShareLink(src, token, now);
    return link?.id === linkId ? { person: null, link } : null;
  }
  const token = cookies(SESSION_COOKIE);
  const person = token === undefined ? null : await findSession(src, token, now);
  return person === null ? null : { person, link: null };
}
