import { notFound } from 'next/navigation';
import { permit } from '@/features/people';
import { CoatingForm } from '../components/forms';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Page } from '@/ui/Page';
import { listCoatings } from '@/data/coatings';

export async function CoatingEditPage({ params }: { params: Promise<{ slug: string }> }) {
  await enter(permit('keep records'));
  const { slug } = await params;
  const coating = (await listCoatings(database())).find((one) => one.slug === slug);
  if (coating === undefined) notFound();
  return (
    <Page title={coating.name} lead={`Edit this ${coating.kind}`}>
      <CoatingForm coating={coating} />
    </Page>
  );
}
