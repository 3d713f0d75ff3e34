import Link from '@/ui/Link';
import { findInvitation } from '@/data/people';
import { readStudio } from '@/data/studio';
import { Door } from '../components/Door';
import { AcceptForm } from '../components/DoorForms';
import { database } from '@/platform/database';

export async function InvitePage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params;
  const [studio, invitation] = await Promise.all([readStudio(database()), findInvitation(database(), token)]);
  if (invitation === null || invitation.used || invitation.withdrawn || invitation.expiresAt <= new Date()) {
    return (
      <Door
        title="This invitation does not open any more"
        lead="It was used, withdrawn, or has run out. Ask a technician of the studio for another."
      >
        <Link href="/sign-in">Sign in instead</Link>
      </Door>
    );
  }
  return (
    <Door title={`Join ${studio?.name ?? 'the studio'}`} lead={`You are invited as a ${invitation.role}.`}>
      <AcceptForm token={token} name={invitation.name} />
    </Door>
  );
}
