import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Link from '@/ui/Link';
import { notFound, redirect } from 'next/navigation';
import { formatConeRange } from '@/core/cones';
import { standingWords } from '@/core/standing';
import { cellsOfCoating } from '@/data/board';
import { listBuckets } from '@/data/buckets';
import { firedVersions, recipesOf } from '@/data/recipes';
import { countStore, isBeginning } from '@/data/studio';
import { may, permit } from '@/features/people';
import { CoatingForm } from '../components/forms';
import { WhatGoesWrong } from '../../clinic/rooms/WhatGoesWrong';
import { RecipeRoom } from '../components/RecipeRoom';
import { VersionList } from '../components/VersionList';
import { bodyFits, recipeMaterials } from '../server';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Cautions } from '@/ui/Caution';
import { firedCautions } from '@/core/chemistry';
import { Nothing, Page, Section } from '@/ui/Page';
import { Sensitive } from './Sensitive';
import { ZonePicture } from '@/ui/ZonePicture';
import { listBodies } from '@/data/bodies';
import { entryAt } from '@/data/entries';
import { cautionsOf } from '@/data/cautions';
import { coatNames, listCoatings } from '@/data/coatings';
import { namedCell } from '../../chart/server';

export async function CoatingPage({ params }: { params: Promise<{ slug: string }> }) {
  const { slug } = await params;
  const { person, studio } = await enter(permit(slug === 'new' ? 'keep records' : 'read of coatings'));
  const keeps = may(person, 'keep records');
  if (slug === 'new') {
    return (
      <Page title="A new coating" lead="What is not known yet can stay empty.">
        <CoatingForm coating={null} back={isBeginning(await countStore(database())) ? '/bench' : '/store'} />
      </Page>
    );
  }
  const db = database();
  const coatings = await listCoatings(db);
  const coating = entryAt(coatings, slug);
  if (coating === undefined) notFound();
  if (coating.slug !== slug) redirect(`/store/coatings/${coating.slug}`);
  const versionIds = coating.versions.map(({ id }) => id);
  const coats = coating.versions.map(({ no }) => ({ slug: coating.slug, version: no }));
  const cautions = firedCautions(coats.flatMap(await cautionsOf(db, coats)));
  const recipes = await recipesOf(db, versionIds);
  const fired = await firedVersions(db, versionIds);
  const buckets = await listBuckets(db, { coatingSlug: slug });
  const bodies = new Map((await listBodies(db)).map((body) => [body.id, body]));
  const names = coatNames(coatings);
  const cells = (await cellsOfCoating(db, slug, 60)).filter((cell) => cell.base !== null);
  const alone = cells.filter((cell) => cell.over === null);
  const stacked = cells.filter((cell) => cell.over !== null);
  const fits = keeps ? await bodyFits(db) : [];
  const against = fits.flatMap((body) =>
    body.against
      .filter(({ coating: key }) => key.startsWith(`${coating.slug}#`))
      .map((one) => ({ body: body.name, ...one })),
  );
  const show = (cell: (typeof cells)[number]) => {
    const body = bodies.get(cell.bodyId);
    const { title, where, href } = namedCell(cell, body, names);
    const said = cell.over === null ? coating.name : title;
    return (
      <Box
        key={cell.id}
        component={Link}
        href={href}
        prefetch={false}
        sx={{ color: 'inherit', textDecoration: 'none', width: 148 }}
      >
        <ZonePicture sha={cell.photo} cut={cell.cut} alt={`${said} on ${where}`} />
        <Typography variant="body2" sx={{ fontWeight: 650, mt: 0.5 }}>
          {said}
        </Typography>
        <Typography variant="body2">{where}</Typography>
        <Typography variant="body2" color="text.secondary">
          {standingWords(cell)}
        </Typography>
      </Box>
    );
  };
  return (
    <Page
      title={coating.name}
      lead={`${coating.kind}${coating.coneLow && coating.coneHigh ? `, cone ${formatConeRange({ low: coating.coneLow, high: coating.coneHigh })}` : ''}${coating.archived ? ', put away' : ''}`}
      acts={
        keeps && (
          <>
            <Button component={Link} href={`/tests/make?coating=${coating.slug}`} variant="contained">
              Make tiles with it
            </Button>
            <Button component={Link} href={`/store/coatings/${coating.slug}/edit`} variant="outlined">
              Edit
            </Button>
          </>
        )
      }
    >
      {coating.whatItDoes !== '' && (
        <Typography sx={{ fontSize: '1.15rem', maxWidth: 760, mb: 2 }}>{coating.whatItDoes}</Typography>
      )}
      {coating.atmosphereNotes !== '' && (
        <Typography sx={{ maxWidth: 760, mt: 1, mb: 2 }}>{coating.atmosphereNotes}</Typography>
      )}
      <Cautions>{cautions}</Cautions>
      <Section
        title="By itself"
        acts={
          alone.length > 7 && (
            <Link href={`/chart?body=${bodies.get(alone[0]?.bodyId ?? '')?.slug ?? ''}`}>
              All of it on the chart
            </Link>
          )
        }
      >
        {alone.length === 0 ? (
          <Nothing>No fired piece shows it by itself yet.</Nothing>
        ) : (
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2 }}>{alone.slice(0, 7).map(show)}</Box>
        )}
      </Section>
      <Section title="Under and over others">
        {stacked.length === 0 ? (
          <Nothing
            act={
              keeps && (
                <Button
                  component={Link}
                  href={`/tests/ask?design=matrix&coating=${coating.slug}`}
                  variant="outlined"
                >
                  Every base under every over
                </Button>
              )
            }
          >
            It has not been fired under or over another coating yet.
          </Nothing>
        ) : (
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2 }}>{stacked.slice(0, 7).map(show)}</Box>
        )}
      </Section>
      <Sensitive src={db} slug={coating.slug} name={coating.name} />
      <WhatGoesWrong
        src={db}
        person={person}
        of={{ kind: 'coating', id: coating.id }}
        among={{ slugs: [coating.slug] }}
      />
      {keeps && (
        <Section title="Recipe">
          {against.map(({ body, name, says }) => (
            <Typography key={body + name} role="status" sx={{ fontWeight: 650, mb: 1 }}>
              {name} on {body}: {says}
            </Typography>
          ))}
          <RecipeRoom
            coating={{ id: coating.id, slug: coating.slug, cone: coating.coneHigh }}
            versions={coating.versions.map((version) => ({
              id: version.id,
              no: version.no,
              fired: fired.has(version.id),
              recipe: recipes.get(version.id) ?? null,
            }))}
            materials={await recipeMaterials(db)}
            bodies={fits}
          />
        </Section>
      )}
      {buckets.length > 0 && (
        <Section title="Buckets">
          {buckets.map((bucket) => (
            <Typography key={bucket.id}>
              <Link href={`/store/buckets/${bucket.id}`}>{bucket.name}</Link>, version {bucket.versionNo}
              {bucket.litres === null ? '' : `, ${bucket.litres} l`}
            </Typography>
          ))}
        </Section>
      )}
      <Section title="Versions">
        <VersionList coating={coating} timeZone={studio.timeZone} edit={keeps} />
      </Section>
    </Page>
  );
}
