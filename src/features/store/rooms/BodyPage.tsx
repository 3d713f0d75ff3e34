import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { apartWords, placedWords } from '@/core/fit';
import { listCoatings } from '@/data/coatings';
import { bodyFits } from '../server';
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
import { WhatGoesWrong } from '../../clinic/rooms/WhatGoesWrong';
import { MergeLink } from '../../merging';

export async function BodyPage({ params }: { params: Promise<{ slug: string }> }) {
  const { person, studio } = await enter(permit('keep records'));
  const { slug } = await params;
  const body = entryAt(await listBodies(database()), slug) ?? null;
  if (body === null && slug !== 'new') notFound();
  if (body !== null && body.slug !== slug) redirect(`/store/bodies/${body.slug}`);
  const [own] = body === null ? [] : await bodyFits(database(), body.id);
  const placed = own?.placed ?? null;
  const coatings = body === null ? [] : await listCoatings(database());
  const glazeName = (key: string): string => {
    const [at, no] = key.split('#');
    const name = coatings.find((one) => one.slug === at)?.name ?? key;
    return no === '1' ? name : `${name} v${no}`;
  };
  return (
    <Page
      title={body?.name ?? 'A new body'}
      acts={body !== null && may(person, 'run the studio') && <MergeLink kind="body" id={body.id} />}
      lead={body ? 'Clay body' : 'What is not known yet can stay empty.'}
    >
      <BodyForm body={body} back={isBeginning(await countStore(database())) ? '/bench' : '/store'} />
      {body !== null && (
        <Box sx={{ mt: 4 }}>
          <WhatGoesWrong
            src={database()}
            person={person}
            of={{ kind: 'body', id: body.id }}
            among={{ bodyId: body.id }}
          />
          {placed && (
            <Section title="How glazes fit it, by your pieces">
              <Typography sx={{ fontWeight: 650 }}>{placedWords(placed)}</Typography>
              {apartWords(placed.apart, (glaze) => glazeName(glaze)).map((line) => (
                <Typography key={line}>{line}</Typography>
              ))}
              {own?.against.map(({ name, says }) => (
                <Typography key={name} role="status" sx={{ fontWeight: 650, mt: 1 }}>
                  {name}: {says}
                </Typography>
              ))}
              <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
                In computed figures (Appen, 10⁻⁶/K), which may all be off: compare glazes by them, not with a
                handbook.
              </Typography>
            </Section>
          )}
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
