import { Suspense } from 'react';
import { readStudio } from '@/data/studio';
import { ChartRoom } from '../components/ChartRoom';
import { database } from '@/platform/database';
import { heldLink } from '@/platform/viewer';
import { Page } from '@/ui/Page';

/** The one board that a link was made for, read only. */
export async function SharePage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const db = database();
  const [link, studio] = await Promise.all([heldLink(id), readStudio(db)]);
  if (link === null || studio === null) {
    return (
      <Page title="This link does not open any more">
        It was revoked or has run out, or it was opened in another browser. Follow the link again, or ask the
        studio for another.
      </Page>
    );
  }
  return (
    <Suspense>
      <ChartRoom
        title={studio.name}
        lead="What the glazes do here. Read only."
        studio={studio}
        share={link.id}
        corner={null}
        mayMake={false}
      />
    </Suspense>
  );
}
