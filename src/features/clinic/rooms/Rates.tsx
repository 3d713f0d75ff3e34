import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Factor, Rate } from '@/core/diagnosis';
import { count } from '@/core/units';
import type { Source } from '@/data/database';
import { Section } from '@/ui/Page';
import { More } from '../components/More';
import { ratesOf, type Among } from '../rates';

const in100 = (share: number): string =>
  share > 0 && share < 0.005 ? 'under 1' : String(Math.round(share * 100));
const rate = ({ with: shown, of, interval: { low, high } }: Rate): string =>
  `${shown} of ${of} (${in100(low)} to ${in100(high)} in 100)`;
const times = (ratio: number): string => (ratio >= 9.5 ? String(Math.round(ratio)) : ratio.toFixed(1));

/** With and without one circumstance: as bars of the same length, with how sure the share is. */
function One({ factor }: { factor: Factor }) {
  const { variable, value, unit, here, elsewhere, ratio, interval } = factor;
  return (
    <Box component="li" sx={{ borderTop: '1px solid', borderColor: 'divider', py: 0.75 }}>
      <Typography sx={{ fontWeight: factor.out ? 650 : 400 }}>
        {variable}: {value}
      </Typography>
      <Side words="so" of={here} unit={unit} />
      <Side words="otherwise" of={elsewhere} unit={unit} />
      <Typography variant="body2" color="text.secondary">
        {ratio === null || interval === null
          ? 'On one side it is always or never seen: no ratio can be given'
          : `${times(ratio)} times as often (${times(interval.low)} to ${times(interval.high)}), each stack compared with itself`}
        {factor.out ? '; beyond chance.' : '; it may be chance.'}
      </Typography>
    </Box>
  );
}

function Side({ words, of, unit }: { words: string; of: Rate; unit: Factor['unit'] }) {
  const { low, high } = of.interval;
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: '72px 1fr minmax(190px, auto)',
        gap: 1,
        alignItems: 'center',
      }}
    >
      {' '}
      <Typography variant="body2">{words}</Typography>
      <Box
        aria-hidden
        sx={{ position: 'relative', height: 12, borderBottom: '1px solid', borderColor: 'divider' }}
      >
        {' '}
        <Box
          sx={{
            position: 'absolute',
            top: 4,
            height: 4,
            left: `${low * 100}%`,
            width: `${(high - low) * 100}%`,
            bgcolor: 'text.disabled',
          }}
        />{' '}
        <Box
          sx={{
            position: 'absolute',
            top: 0,
            height: 12,
            width: 3,
            left: `${(of.with / of.of) * 100}%`,
            bgcolor: 'text.primary',
          }}
        />{' '}
      </Box>
      <Typography variant="body2">
        {rate(of)}
        {unit === 'firings' ? ' firings' : ''}
      </Typography>
    </Box>
  );
}

/** What goes with a complaint in the studio’s own records: beside the causes, never mixed into them. */
export async function Rates({
  src,
  complaint,
  among,
  over,
}: {
  src: Source;
  complaint: string;
  among: Among;
  /** Over what it is counted, in words. */
  over: string;
}) {
  const found = await ratesOf(src, complaint, among);
  if (found === null || found.all.of === 0 || found.all.with === 0) return null;
  const out = found.factors.filter((one) => one.out);
  const rest = found.factors.filter((one) => !one.out);
  const list = (factors: readonly Factor[]) => (
    <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {factors.map((factor) => (
        <One key={factor.variable + factor.value} factor={factor} />
      ))}
    </Box>
  );
  return (
    <Section title="What goes with it in our records">
      <Typography>
        {found.name}: {rate(found.all)} of the pieces {over}, out of {count(found.firings, 'firing')}.{' '}
        {found.looked === 0
          ? 'There is too little yet to compare.'
          : `${count(found.looked, 'circumstance was', 'circumstances were')} looked at, in ${count(found.compared, 'comparison')}; ${
              out.length === 0
                ? 'none stands out beyond chance.'
                : `${count(out.length, 'stands', 'stand')} out beyond chance.`
            }`}
      </Typography>
      {list(out)}
      {rest.length > 0 && (
        <More summary={`${count(rest.length, 'circumstance')} that may be chance`}>
          {list(rest.slice(0, 20))}
        </More>
      )}
      <Typography variant="body2" color="text.secondary">
        What goes together need not be the cause; it does not move the likelihoods above. What a firing gives
        all of its load is counted by firings: those that show more of it than usual.
      </Typography>
    </Section>
  );
}
