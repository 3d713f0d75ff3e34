import { notFound } from 'next/navigation';
import { listBodies } from '@/data/catalogue';
import { permit } from '@/features/people';
import { BodyForm } from '@/features/store/components/forms';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Page } from '@/ui/Page';

export default async function BodyPage({ params }: { params: Promise<{ slug: string }> }) {
  await enter(permit('keep records'));
  const { slug } = await params;
  const body = (await listBodies(database())).find((one) => one.slug === slug) ?? null;
  if (body === null && slug !== 'new') notFound();
  return (
    <Page
      title={body?.name ?? 'A new body'}
      lead={body ? 'Clay body' : 'What is not known yet can stay empty.'}
    >
      <BodyForm body={body} />
    </Page>
  );
}
