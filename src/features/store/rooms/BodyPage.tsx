import Box from '@mui/material/Box';
import { notFound, redirect } from 'next/navigation';
import { bodyTestsOf } from '@/data/stock';
import { countStore, isBeginning } from '@/data/studio';
import { may, permit } from '@/features/people';
import { BodyTests } from '../../questions';
import { BodyForm } from '../components/forms';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Page, Section } from '@/ui/Page';
import { listBodies } from '@/data/bodies';
import { entryAt } from '@/data/entries';
import { MergeLink } from '../../merging';

export async function BodyPage({ params }: { params: Promise<{ slug: string }> }) {
  const { person, studio } = await enter(permit('keep records'));
  const { slug } = await params;
  const body = entryAt(await listBodies(database()), slug) ?? null;
  if (body === null && slug !== 'new') notFound();
  if (body !== null && body.slug !== slug) redirect(`/store/bodies/${body.slug}`);
  return (
    <Page
      title={body?.name ?? 'A new body'}
      acts={
        body !== null && may(person, 'run the studio') && <MergeLink kind="body" id={body.id} />
      }
      lead={body ? 'Clay body' : 'What is not known yet can stay empty.'}
    >
      <BodyForm
        body={body}
        back={isBeginning(await countStore(database())) ? '/bench' : '/store'}
      />
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
