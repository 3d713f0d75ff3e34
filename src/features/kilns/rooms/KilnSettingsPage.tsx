import { notFound, redirect } from 'next/navigation';
import { may, permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Page } from '@/ui/Page';
import { KilnForm } from '../components/KilnForm';
import { entryAt } from '@/data/entries';
import { listKilns } from '@/data/kilns';
import { MergeLink } from '../../merging';

export async function KilnSettingsPage({ params }: { params: Promise<{ slug: string }> }) {
  const { person } = await enter(permit('keep records'));
  const { slug } = await params;
  const kiln = entryAt(await listKilns(database()), slug) ?? null;
  if (kiln === null && slug !== 'new') notFound();
  if (kiln !== null && kiln.slug !== slug) redirect(`/kilns/${kiln.slug}`);
  return (
    <Page
      title={kiln?.name ?? 'A new kiln'}
      acts={kiln !== null && may(person, 'run the studio') && <MergeLink kind="kiln" id={kiln.id} />}
      lead={kiln ? 'Settings of this kiln' : 'What it is and how it is run.'}
    >
      <KilnForm kiln={kiln} />
    </Page>
  );
}
