'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { coneWords } from '@/core/firing';
import { count } from '@/core/units';
import type { Elsewhere } from '@/data/board';
import { ZonePicture } from '@/ui/ZonePicture';
import type { Zoom } from '../zoom';
import { groundWords, pairWords } from '../words';

/**
 * The same coats on other bodies, cones, airs and grounds, side by side; a touch goes there, the cell stays
 * open.
 */
export function SeenElsewhere({
  zoom,
  name,
  share,
  onGo,
}: {
  zoom: Pick<Zoom, 'elsewhere'>;
  name: (slug: string) => string;
  share: string | null;
  onGo: (one: Elsewhere) => void;
}) {
  return (
    <Box
      component="ul"
      aria-label="Where else it was seen"
      sx={{
        listStyle: 'none',
        p: 0,
        my: 1,
        display: 'grid',
        gap: 1,
        gridTemplateColumns: 'repeat(auto-fill, minmax(120px, 1fr))',
      }}
    >
      {zoom.elsewhere.map((one) => (
        <li key={one.id}>
          <Box
            component="button"
            type="button"
            onClick={() => onGo(one)}
            sx={{
              all: 'unset',
              cursor: 'pointer',
              display: 'block',
              width: '100%',
              '&:focus-visible': { outline: '3px solid' },
            }}
          >
            <ZonePicture sha={one.photo} cut={one.cut} alt="" share={share} />
            <Typography variant="body2" sx={{ fontWeight: 650, lineHeight: 1.25 }}>
              {one.bodyName}
              {one.slips === '' ? '' : `, ${groundWords(one.slips, name)}`}
            </Typography>
            <Typography variant="body2" sx={{ lineHeight: 1.25 }}>
              {coneWords({ known: one.coneKnown, band: one.cone })}, {one.atmosphere}
              {one.surface === null ? '' : `: ${one.surface}`}
            </Typography>
            <Typography variant="body2" color="text.secondary" sx={{ lineHeight: 1.25 }}>
              {pairWords(name(one.base ?? ''), one.over === null ? null : name(one.over))};{' '}
              {count(one.pieces, 'piece')}
            </Typography>
          </Box>
        </li>
      ))}
    </Box>
  );
}
