import { notFound, redirect } from 'next/navigation';
import { may, permit } from '@/features/people';
import { CoatingForm } from '../components/forms';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Page } from '@/ui/Page';
import { listCoatings } from '@/data/coatings';
import { entryAt } from '@/data/entries';
import { MergeLink } from '../../merging';

export async function CoatingEditPage({ params }: { params: Promise<{ slug: string }> }) {
  const { person } = await enter(permit('keep records'));
  const { slug } = await params;
  const coating = entryAt(await listCoatings(database()), slug);
  if (coating === undefined) notFound();
  if (coating.slug !== slug) redirect(`/store/coatings/${coating.slug}`);
  return (
    <Page
      title={coating.name}
      lead={`Edit this ${coating.kind}`}
      acts={may(person, 'run the studio') && <MergeLink kind="coating" id={coating.id} />}
    >
      <CoatingForm coating={coating} />
    </Page>
  );
}
