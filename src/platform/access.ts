import { redirect } from 'next/navigation';
import { cache } from 'react';
import type { Person } from '@/data/people';
import { readStudio, type Studio } from '@/data/studio';
import { database } from './database';
import { requirePerson } from './session';

/** The studio's settings; a page and its layout ask once. */
export const currentStudio = cache((): Promise<Studio | null> => readStudio(database()));

/** Who is looking at a page, and the studio's settings; others are told who may look at it. */
export async function enter(
  permit: ((person: Person) => boolean) & { deed: string },
): Promise<{ person: Person; studio: Studio }> {
  const person = await requirePerson();
  if (!permit(person)) redirect(`/who-may?deed=${encodeURIComponent(permit.deed)}`);
  const studio = await currentStudio();
  if (studio === null) redirect('/first-run');
  return { person, studio };
}
