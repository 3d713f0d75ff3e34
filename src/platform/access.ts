import { redirect } from 'next/navigation';
import type { Person } from '@/data/people';
import { readStudio, type Studio } from '@/data/studio';
import { database } from './database';
import { requirePerson } from './session';

/** Who is looking at a page, and the studio's settings; others are sent where they may be. */
export async function enter(
  permit: (person: Person) => boolean,
): Promise<{ person: Person; studio: Studio }> {
  const person = await requirePerson();
  if (!permit(person)) redirect('/chart');
  const studio = await readStudio(database());
  if (studio === null) redirect('/first-run');
  return { person, studio };
}
