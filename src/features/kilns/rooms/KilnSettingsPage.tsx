import { notFound } from 'next/navigation';
import { permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Page } from '@/ui/Page';
import { KilnForm } from '../components/KilnForm';
import { listKilns } from '@/data/kilns';

export async function KilnSettingsPage({ params }: { params: Promise<{ slug: string }> }) {
  await enter(permit('keep records'));
  const { slug } = await params;
  const kiln = (await listKilns(database())).find((one) => one.slug === slug) ?? null;
  if (kiln === null && slug !== 'new') notFound();
  return (
    <Page
      title={kiln?.name ?? 'A new kiln'}
      lead={kiln ? 'Settings of this kiln' : 'What it is and how it is run.'}
    >
      <KilnForm kiln={kiln} />
    </Page>
  );
}
