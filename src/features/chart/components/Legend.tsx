import Box from '@mui/material/Box';
import { STANDINGS, describeStanding } from '@/core/standing';
import { signOf } from '@/core/signs';
import { Glyph, StandingFrame } from '../../drawings';

/** What frames, marks and words on the board mean: only those that are on it. */
export function Legend({ signs, ways }: { signs: readonly string[]; ways: boolean }) {
  return (
    <Box
      component="ul"
      aria-label="What the frames mean"
      sx={{
        listStyle: 'none',
        p: 0,
        m: 0,
        mt: 1,
        display: 'flex',
        flexWrap: 'wrap',
        gap: 2,
        fontSize: '0.85rem',
      }}
    >
      {STANDINGS.map((standing) => (
        <Box key={standing} component="li" sx={{ display: 'flex', alignItems: 'center', gap: 0.75 }}>
          <Box sx={{ position: 'relative', width: 18, height: 24 }}>
            <StandingFrame standing={standing} />
          </Box>
          {describeStanding(standing)}
        </Box>
      ))}
      <li>↓ runs</li>
      {ways && <li>“2 ways”: put on in two ways (coats, versions, mixes); open it to see each</li>}
      {signs.map((sign) => (
        <Box key={sign} component="li" sx={{ display: 'flex', alignItems: 'center', gap: 0.5 }}>
          <Glyph sign={sign} size={18} label={false} /> {signOf(sign)?.name.toLowerCase() ?? sign}
        </Box>
      ))}
    </Box>
  );
}
