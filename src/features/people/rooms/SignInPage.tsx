import { redirect } from 'next/navigation';
import { readStudio } from '@/data/studio';
import { Door } from '../components/Door';
import { SignInForm } from '../components/DoorForms';
import { database } from '@/platform/database';

export async function SignInPage() {
  const studio = await readStudio(database());
  if (studio === null) redirect('/first-run');
  return (
    <Door
      title={studio.name}
      lead="Sign in to write up openings, make tiles and load kilns. To come in for the first time, ask a technician for an invitation."
    >
      <SignInForm />
    </Door>
  );
}
