'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { causeOf, likelyWords, type Ranked, type Spoken } from '@/core/diagnosis';
import { Caution } from '@/ui/Caution';
import type { KnownFacts } from '../facts';
import { More } from './More';
import { ToRecord } from './ToRecord';

/** How much it weighs: a mark for each factor of two. */
const marks = (weight: number): string =>
  '●'.repeat(Math.max(1, Math.min(4, Math.round(Math.abs(weight) / 0.3))));

function Evidence({
  said,
  against,
  told,
}: {
  said: readonly Spoken[];
  against: boolean;
  told: KnownFacts['tell'];
}) {
  return said.map(({ fact, weight }) => (
    <Typography key={fact} component="li" variant="body2">
      <span aria-hidden>{marks(weight)}</span> {against ? 'against it: ' : ''}
      {told(fact).words}
      <ToRecord href={told(fact).href} />
    </Typography>
  ));
}

const percent = (share: number): string =>
  share < 0.01 ? 'under 1' : share > 0.95 ? 'over 95' : String(Math.round(share * 100));

/** One cause: how likely, what speaks for and against it, and what would be done. */
export function CauseCard({
  ranked,
  first,
  told,
  own,
}: {
  ranked: Ranked;
  first: boolean;
  /** A fact in words, as it was read or said. */
  told: KnownFacts['tell'];
  /** What the studio's own cases say. */
  own: string | null;
}) {
  const cause = causeOf(ranked.id)!;
  const { probability } = ranked;
  return (
    <Box component="li" sx={{ borderTop: '1px solid', borderColor: 'divider', py: 1 }}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
        <Typography variant="h3" sx={{ flex: 1 }}>
          {cause.name}
        </Typography>
        <Typography sx={{ fontWeight: 650, whiteSpace: 'nowrap' }}>
          {likelyWords(probability)}, {percent(probability)} in 100
        </Typography>
      </Box>
      <Box sx={{ height: 10, border: '1px solid', borderColor: 'text.primary', my: 0.5 }} aria-hidden>
        <Box
          sx={{
            height: '100%',
            width: `${probability * 100}%`,
            bgcolor: 'text.primary',
            transition: 'width 250ms',
          }}
        />
      </Box>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        <Evidence said={ranked.for.slice(0, first ? 6 : 3)} against={false} told={told} />
        <Evidence said={ranked.against.slice(0, first ? 4 : 2)} against told={told} />
      </Box>
      <More summary="What it is, and what to do" open={first}>
        <Typography sx={{ my: 0.5 }}>{cause.how}</Typography>
        {cause.caution !== undefined && <Caution>{cause.caution}</Caution>}
        <Box component="ol" sx={{ m: 0, pl: 2.5 }}>
          {cause.remedies.map(({ do: what, but, school }) => (
            <Typography key={what} component="li">
              {what}
              {but === undefined ? '' : ` – but ${but}`}
              {school === undefined ? '' : ` (${school})`}
            </Typography>
          ))}
        </Box>
        {own !== null && <Typography variant="body2">{own}</Typography>}
        <Typography variant="body2" color="text.secondary">
          Acts on the {cause.scope}; {cause.source}. Shares and weights are judgement.
        </Typography>
      </More>
    </Box>
  );
}
