import { redirect } from 'next/navigation';
import { readStudio } from '@/data/studio';
import { may } from '@/features/people';
import { database } from '@/platform/database';
import { currentPerson } from '@/platform/session';

export const dynamic = 'force-dynamic';

export default async function Home() {
  if ((await readStudio(database())) === null) redirect('/first-run');
  const person = await currentPerson();
  if (person === null) redirect('/sign-in');
  redirect(may(person, 'see records') ? '/bench' : '/chart');
}
