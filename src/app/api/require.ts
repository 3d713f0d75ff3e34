import type { Person } from '@/data/people';
import { Refusal } from '@/platform/refusal';
import { currentPerson } from '@/platform/session';
import { may, whoMay, type Deed } from '@/features/people';

/** Who is signed in, if they may do that. Errors: Refusal, with who may. */
export async function requireDeed(deed: Deed): Promise<Person> {
  const person = await currentPerson();
  if (person === null)
    throw new Refusal({ code: 'not-signed-in', message: 'You are not signed in any more.' });
  if (!may(person, deed)) throw new Refusal({ code: 'not-allowed', message: `That is for ${whoMay(deed)}.` });
  return person;
}
