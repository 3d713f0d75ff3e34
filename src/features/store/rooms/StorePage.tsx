import { count } from '@/core/units';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Link from '@/ui/Link';
import { formatConeRange } from '@/core/cones';
import { entriesOf, listBuckets } from '@/data/buckets';
import { picturesOfCoatings } from '@/data/board';
import { permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Nothing, Page, Section } from '@/ui/Page';
import { ZonePicture } from '@/ui/ZonePicture';
import { RowLink } from '@/ui/RowLink';
import { listBodies } from '@/data/bodies';
import { listCoatings } from '@/data/coatings';

const range = (one: { coneLow: string | null; coneHigh: string | null }): string =>
  one.coneLow !== null && one.coneHigh !== null
    ? `cone ${formatConeRange({ low: one.coneLow, high: one.coneHigh })}`
    : 'cone range unknown';

export async function StorePage() {
  await enter(permit('see records'));
  const db = database();
  const [buckets, clays, all, pictures] = await Promise.all([
    listBuckets(db),
    listBodies(db),
    listCoatings(db),
    picturesOfCoatings(db),
  ]);
  const bodies = clays.filter(({ mergedInto }) => mergedInto === null);
  const coatings = all.filter((one) => !one.trial && one.mergedInto === null);
  const entries = await entriesOf(
    db,
    buckets.map(({ id }) => id),
  );
  return (
    <Page
      title="Store"
      lead={`${count(coatings.length, 'coating')}, ${count(buckets.length, 'bucket')} in use, ${count(bodies.length, 'body', 'bodies')}`}
      acts={
        <>
          <Button component={Link} href="/store/materials" variant="outlined">
            Materials
          </Button>
          <Button component={Link} href="/store/target" variant="outlined">
            Target to recipe
          </Button>
        </>
      }
    >
      {buckets.length > 0 && (
        <Section title="Buckets">
          {buckets.map((bucket) => {
            const log = entries.get(bucket.id) ?? [];
            const sg = log.filter((entry) => entry.sg !== null).at(-1)?.sg ?? null;
            return (
              <RowLink
                key={bucket.id}
                href={`/store/buckets/${bucket.id}`}
                columns={{ xs: '1fr 1fr', md: '260px 1fr 150px' }}
              >
                <Typography sx={{ fontWeight: 650 }}>{bucket.name}</Typography>
                <Typography variant="body2">
                  {sg === null
                    ? 'SG never measured'
                    : `SG ${sg.toFixed(2)}${bucket.advice.sg === null ? '' : Math.abs(sg - bucket.advice.sg) < 0.02 ? ', on its mark' : sg > bucket.advice.sg ? `, thicker than ${bucket.advice.sg.toFixed(2)}` : `, thinner than ${bucket.advice.sg.toFixed(2)}`}`}
                </Typography>
                <Typography variant="body2" sx={{ display: { xs: 'none', md: 'block' } }}>
                  {bucket.litres === null ? '' : `${bucket.litres} l`}
                </Typography>
              </RowLink>
            );
          })}
        </Section>
      )}
      <Section
        title="Coatings"
        acts={
          <Button component={Link} href="/store/coatings/new" variant="contained">
            Add a coating
          </Button>
        }
      >
        {coatings.length === 0 && (
          <Nothing>
            Glazes, slips, engobes, underglazes, washes and overglazes stand here, each with its versions and
            with what it looks like fired.
          </Nothing>
        )}
        {coatings.map((coating) => (
          <RowLink
            key={coating.id}
            href={`/store/coatings/${coating.slug}`}
            columns={{ xs: '56px 1fr', md: '56px 200px 1fr 170px' }}
            faded={coating.archived}
          >
            <ZonePicture
              {...(pictures.get(coating.slug) ?? { sha: null, cut: null })}
              alt={pictures.has(coating.slug) ? `${coating.name}, fired` : ''}
              sx={{ width: 56 }}
            />
            <Box>
              <Typography sx={{ fontWeight: 650 }}>{coating.name}</Typography>
              <Typography variant="body2" color="text.secondary">
                {coating.kind}, version {coating.versions.at(-1)?.no ?? 1}
                {coating.archived ? ', put away' : ''}
              </Typography>
            </Box>
            <Typography sx={{ gridColumn: { xs: '1 / -1', md: 'auto' } }}>{coating.whatItDoes}</Typography>
            <Typography variant="body2" sx={{ display: { xs: 'none', md: 'block' } }}>
              {range(coating)}
            </Typography>
          </RowLink>
        ))}
      </Section>
      <Section
        title="Bodies"
        acts={
          <Button component={Link} href="/store/bodies/new" variant="contained">
            Add a body
          </Button>
        }
      >
        {bodies.length === 0 && (
          <Nothing>
            The clay bodies you use: what they fire to, and whether iron in them colours a glaze.
          </Nothing>
        )}
        {bodies.map((body) => (
          <RowLink
            key={body.id}
            href={`/store/bodies/${body.slug}`}
            columns={{ xs: '56px 1fr', md: '56px 200px 1fr 170px' }}
            faded={body.archived}
          >
            <Box
              sx={{
                width: 56,
                height: 44,
                bgcolor: 'booth.ground',
                p: 1,
              }}
            >
              <Box sx={{ height: '100%', bgcolor: body.colour }} />
            </Box>
            <Box>
              <Typography sx={{ fontWeight: 650 }}>{body.name}</Typography>
              <Typography variant="body2" color="text.secondary">
                {body.kind}, {body.ground} ground{body.ironBearing ? ', iron-bearing' : ''}
                {body.archived ? ', put away' : ''}
              </Typography>
            </Box>
            <Typography sx={{ gridColumn: { xs: '1 / -1', md: 'auto' } }}>{body.notes}</Typography>
            <Typography variant="body2" sx={{ display: { xs: 'none', md: 'block' } }}>
              {range(body)}
            </Typography>
          </RowLink>
        ))}
      </Section>
    </Page>
  );
}
