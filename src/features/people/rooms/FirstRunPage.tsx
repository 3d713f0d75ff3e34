import { redirect } from 'next/navigation';
import { readStudio } from '@/data/studio';
import { Door } from '../components/Door';
import { FirstRunForm } from '../components/DoorForms';
import { database } from '@/platform/database';

export async function FirstRunPage() {
  if ((await readStudio(database())) !== null) redirect('/sign-in');
  return (
    <Door title="Set up your studio" lead="A minute, once. All of this can be changed later.">
      <FirstRunForm />
    </Door>
  );
}
