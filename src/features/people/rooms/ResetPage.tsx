import Link from '@/ui/Link';
import { findResetLink } from '@/data/sessions';
import { database } from '@/platform/database';
import { Door } from '../components/Door';
import { ResetForm } from '../components/DoorForms';

export async function ResetPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params;
  const link = await findResetLink(database(), token, new Date());
  if (link === null)
    return (
      <Door
        title="This link does not open any more"
        lead="It was used, replaced by a newer one, or has run out. Ask a technician for another."
      >
        <Link href="/sign-in">Sign in instead</Link>
      </Door>
    );
  return (
    <Door
      title="A new password"
      lead={`For ${link.person.name}, who signs in as ${link.person.login}. Wherever they are signed in now, they are signed out.`}
    >
      <ResetForm token={token} />
    </Door>
  );
}
