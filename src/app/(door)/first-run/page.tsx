import { redirect } from 'next/navigation';
import { readStudio } from '@/data/studio';
import { Door } from '@/features/people/components/Door';
import { FirstRunForm } from '@/features/people/components/DoorForms';
import { database } from '@/platform/database';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Set up' };

export default async function FirstRunPage() {
  if ((await readStudio(database())) !== null) redirect('/sign-in');
  return (
    <Door title="Set up your studio" lead="A minute, once. All of this can be changed later.">
      <FirstRunForm />
    </Door>
  );
}
