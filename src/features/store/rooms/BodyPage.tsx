import Box from '@mui/material/Box';
import { notFound } from 'next/navigation';
import { bodyTestsOf } from '@/data/stock';
import { permit } from '@/features/people';
import { BodyTests } from '../../questions';
import { BodyForm } from '../components/forms';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Page, Section } from '@/ui/Page';
import { listBodies } from '@/data/bodies';

export async function BodyPage({ params }: { params: Promise<{ slug: string }> }) {
  const { studio } = await enter(permit('keep records'));
  const { slug } = await params;
  const body = (await listBodies(database())).find((one) => one.slug === slug) ?? null;
  if (body === null && slug !== 'new') notFound();
  return (
    <Page
      title={body?.name ?? 'A new body'}
      lead={body ? 'Clay body' : 'What is not known yet can stay empty.'}
    >
      <BodyForm body={body} />
      {body !== null && (
        <Box sx={{ mt: 4 }}>
          <Section title="Measured of the clay itself">
            <BodyTests
              bodyId={body.id}
              tests={await bodyTestsOf(database(), body.id)}
              timeZone={studio.timeZone}
            />
          </Section>
        </Box>
      )}
    </Page>
  );
}
