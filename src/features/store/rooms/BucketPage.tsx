import { count } from '@/core/units';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { firedCautions } from '@/core/chemistry';
import { coneWords } from '@/core/firing';
import { mixDensity, percentOf } from '@/core/slurry';
import { cellsOfCoating } from '@/data/board';
import { entriesOf } from '@/data/buckets';
import { cautionsOf } from '@/data/cautions';
import { WhatGoesWrong } from '../../clinic/rooms/WhatGoesWrong';
import { BucketActs } from '../components/BucketActs';
import { BucketLog } from '../components/BucketLog';
import { PotFit } from '../components/PotFit';
import { bucketRoom } from '../bucket-room';
import { recipeMaterials } from '../server';
import { Cautions } from '@/ui/Caution';
import Link from '@/ui/Link';
import { Nothing, Page, Section } from '@/ui/Page';
import { ZonePicture } from '@/ui/ZonePicture';
import { day } from '@/ui/time';
import { listBodies } from '@/data/bodies';

export async function BucketPage({ params }: { params: Promise<{ id: string }> }) {
  const { person, studio, db, id, keeps, bucket, recipe } = await bucketRoom(params);
  const materials = new Map((await recipeMaterials(db)).map((one) => [one.id, one]));
  const density = mixDensity(
    (recipe?.lines ?? []).map((line) => ({
      amount: line.amount,
      density: materials.get(line.materialId)?.density ?? null,
    })),
  );
  const additionsIn =
    recipe === undefined
      ? 0
      : percentOf(recipe.lines).reduce((sum, line) => sum + (line.addition ? line.percent : 0), 0);
  const bodies = new Map((await listBodies(db)).map((body) => [body.id, body.name]));
  const fired = (await cellsOfCoating(db, bucket.coatingSlug, 40)).filter(
    (cell) => cell.over === null && cell.photo !== null,
  );
  const coat = { slug: bucket.coatingSlug, version: bucket.versionNo };
  const cautions = firedCautions((await cautionsOf(db, [coat]))(coat));
  const { advice } = bucket;
  const said = [
    advice.dips === null ? '' : `${count(advice.dips, 'dip')}`,
    advice.seconds === null ? '' : `${advice.seconds} seconds`,
    advice.sg === null ? '' : `SG ${advice.sg.toFixed(2)}`,
    advice.dryingSign === '' ? '' : `next coat when ${advice.dryingSign}`,
    advice.restirMinutes === null ? '' : `stir again after ${advice.restirMinutes} min`,
  ].filter(Boolean);
  return (
    <Page
      title={bucket.name}
      lead={
        <>
          <Link href={`/store/coatings/${bucket.coatingSlug}`}>{bucket.coatingName}</Link>, version{' '}
          {bucket.versionNo}; mixed by {bucket.mixedBy}, {day(bucket.mixedAt, studio.timeZone)}
          {bucket.emptiedAt !== null && `; emptied ${day(bucket.emptiedAt, studio.timeZone)}`}
        </>
      }
      acts={
        <>
          <Button component={Link} href={`/store/buckets/${id}/label`} variant="contained">
            Label
          </Button>
          {keeps && <BucketActs bucket={bucket} />}
        </>
      }
    >
      <Typography sx={{ fontSize: '1.25rem', fontWeight: 650, mb: 3 }}>
        {said.length === 0 ? 'Nobody has said how to use it yet.' : `${said.join('; ')}.`}
      </Typography>
      <Cautions>{cautions}</Cautions>
      <Section title="Fired, not as it looks in the bucket">
        {fired.length === 0 ? (
          <Nothing>No fired piece shows it by itself yet. The raw colour says nothing.</Nothing>
        ) : (
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2 }}>
            {fired.slice(0, 8).map((cell) => (
              <Box key={cell.id} sx={{ width: 120 }}>
                <ZonePicture
                  sha={cell.photo}
                  cut={cell.cut}
                  alt={`${bucket.coatingName} on ${bodies.get(cell.bodyId)}`}
                />
                <Typography variant="body2">
                  {bodies.get(cell.bodyId)}, {coneWords({ known: cell.coneKnown, band: cell.cone })},{' '}
                  {cell.atmosphere}
                </Typography>
              </Box>
            ))}
          </Box>
        )}
      </Section>
      {keeps && (
        <WhatGoesWrong
          src={db}
          person={person}
          of={{ kind: 'bucket', id }}
          among={{ slugs: [bucket.coatingSlug] }}
        />
      )}
      {keeps && (
        <BucketLog
          bucket={bucket}
          entries={(await entriesOf(db, [id])).get(id) ?? []}
          density={density}
          additionsIn={additionsIn}
          timeZone={studio.timeZone}
        />
      )}
      {bucket.widthMm !== null && bucket.depthMm !== null && (
        <Section title="Does this pot go in?">
          <PotFit
            vessel={{ shape: bucket.shape, widthMm: bucket.widthMm, depthMm: bucket.depthMm }}
            litres={bucket.litres}
          />
        </Section>
      )}
    </Page>
  );
}
