import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { EFFECTS } from '@/core/diagnosis';
import { coatsOfKey } from '@/core/zones';
import { effectsSeen } from '@/data/clinic-evidence';
import { coatNames, listCoatings } from '@/data/coatings';
import { listKilns } from '@/data/kilns';
import { may, permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Caution } from '@/ui/Caution';
import Link from '@/ui/Link';
import { Page, Section } from '@/ui/Page';
import { ZonePicture } from '@/ui/ZonePicture';
import { MONO } from '@/ui/theme';
import { Specimen } from '../../drawings';

/**
 * How to get it: what brings an effect about, what it costs, and which of the studio's own pieces come
 * nearest.
 */
export async function EffectsPage() {
  const { person } = await enter(permit('see the chart'));
  const db = database();
  const signs = [...new Set(EFFECTS.flatMap(({ sign }) => sign ?? []))];
  const [seen, kilns, coatings] = await Promise.all([
    effectsSeen(db, signs),
    listKilns(db),
    listCoatings(db),
  ]);
  const names = coatNames(coatings);
  const fuel = kilns.some(({ energy }) => energy !== 'electric');
  const stack = (key: string): string =>
    coatsOfKey(key)
      .map(({ slug }) => names[slug] ?? slug)
      .join(', then ');
  return (
    <Page
      title="How to get it"
      lead="What brings an effect about, what it costs, and where it was seen here."
    >
      {EFFECTS.filter((one) => fuel || one.fuel !== true).map(
        ({ id, name, sign, brings, levers, costs, source }) => (
          <Section key={id} title={name}>
            <Box sx={{ display: 'flex', gap: 2, alignItems: 'flex-start' }}>
              <Specimen id={id} sign={sign} />
              <Box sx={{ flex: 1, minWidth: 0 }}>
                <Typography>{brings}</Typography>
                <Typography>
                  <b>Steered by:</b> {levers.join('; ')}.
                </Typography>
                <Caution brief>{costs}</Caution>
                <Typography variant="body2" color="text.secondary">
                  {source}
                </Typography>
              </Box>
            </Box>
            <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', mt: 1 }}>
              {(seen.get(sign ?? '') ?? []).map((one) => (
                <Box key={one.pieceId} sx={{ width: 150 }}>
                  <ZonePicture sha={one.sha} cut={one.cut} alt={`Picture of ${one.code}`} />
                  <Link href={`/pieces/${one.code}`} style={{ fontFamily: MONO }}>
                    {one.code}
                  </Link>
                  <Typography variant="body2">{stack(one.stackKey)}</Typography>
                  {may(person, 'keep records') && (
                    <Button component={Link} href={`/tests/ask?design=coats&match=${one.code}`} size="small">
                      Try from it
                    </Button>
                  )}
                </Box>
              ))}
              {(seen.get(sign ?? '') ?? []).length === 0 && (
                <Typography color="text.secondary">Nobody here has written it up as wanted yet.</Typography>
              )}
            </Box>
          </Section>
        ),
      )}
    </Page>
  );
}
