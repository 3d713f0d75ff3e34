import Box from '@mui/material/Box';
import { STANDINGS, describeStanding } from '@/core/standing';
import { StandingFrame } from '../../drawings';

/** What the frames mean, in one line. */
export function Legend() {
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
        <Box
          key={standing}
          component="li"
          sx={{ display: 'flex', alignItems: 'center', gap: 0.75 }}
        >
          <Box sx={{ position: 'relative', width: 18, height: 24 }}>
            <StandingFrame standing={standing} />
          </Box>
          {describeStanding(standing)}
        </Box>
      ))}
      <li>↓ runs</li>
    </Box>
  );
}
