import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactElement } from 'react';
import { count } from '@/core/units';
import { Line } from '@/ui/Lines';
import Link from '@/ui/Link';

/** Pictures in which nobody has said where the piece is, as a line of the day sheet. */
export const frameLines = (unframed: number): ReactElement[] =>
  unframed === 0
    ? []
    : [
        <Line
          key="frames"
          figure={unframed}
          act={
            <Button component={Link} href="/pieces/frames" variant="outlined">
              Frame them
            </Button>
          }
        >
          <Typography sx={{ fontWeight: 650 }}>
            {count(unframed, 'picture')} without a frame
          </Typography>
          <Typography variant="body2">
            Framed, they show each stack by itself on the chart, and its colour by number.
          </Typography>
        </Line>,
      ];
