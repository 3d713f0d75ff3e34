import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import {
  comparedWords,
  mindsWords,
  RESPONSES,
  sensitivities,
  shareWords,
  type Sensitivity,
} from '@/core/sensitive';
import type { Source } from '@/data/database';
import { keepRead } from '@/data/kept';
import { seenAlone } from '@/data/sensitive';
import { Section } from '@/ui/Page';

/** Kept: each share is drawn some hundred times. */
const kept = keepRead({
  most: 200,
  key: (slug: string) => slug,
  read: async (src: Source, slug: string) => sensitivities(await seenAlone(src, slug)),
});

/** The response of which most is known, for the word in front. */
const leading = (one: Sensitivity) =>
  RESPONSES.map((response) => one[response])
    .filter((share) => share !== null)
    .sort((a, b) => b.interval.low - a.interval.low)[0]!;

/**
 * What a coating by itself minds, computed from everything it was seen on; nothing where too little is known.
 */
export async function Sensitive({ src, slug, name }: { src: Source; slug: string; name: string }) {
  const list = await kept(src, slug);
  if (list.length === 0) return null;
  const compared = RESPONSES.map((response) => comparedWords(list, response)).filter((one) => one !== null);
  return (
    <Section title="What it is sensitive to">
      <Box
        component="dl"
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', sm: 'auto 1fr' },
          columnGap: 3,
          rowGap: 0.5,
          m: 0,
          '& dd': { m: 0 },
          '& dt': { fontWeight: 650 },
        }}
      >
        {list.map((one) => (
          <Box key={one.factor} sx={{ display: 'contents' }}>
            <dt>
              It {mindsWords(leading(one))} {one.asks}
            </dt>
            <dd>
              {RESPONSES.flatMap((response) =>
                one[response] === null ? [] : shareWords(response, one[response]),
              ).join(', ')}{' '}
              <Typography component="span" variant="body2" color="text.secondary">
                ({leading(one).levels} levels in {leading(one).units} firings)
              </Typography>
            </dd>
          </Box>
        ))}
      </Box>
      {compared.map((line) => (
        <Typography key={line} sx={{ mt: 1, fontWeight: 650 }}>
          {line}
        </Typography>
      ))}
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        Share of the spread of {name} by itself that goes with each, and what holds it with 95 %, firings
        drawn anew. Each is looked at by itself: what always went together here cannot be told apart.
      </Typography>
    </Section>
  );
}
