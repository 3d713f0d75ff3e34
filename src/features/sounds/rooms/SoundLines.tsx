import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactElement } from 'react';
import { count } from '@/core/units';
import { Line } from '@/ui/Lines';
import Link from '@/ui/Link';

/** What was spoken and nobody has typed up, as a line of the day sheet. */
export const soundLines = (untyped: number): ReactElement[] =>
  untyped === 0
    ? []
    : [
        <Line
          key="sounds"
          figure={untyped}
          act={
            <Button component={Link} href="/sounds" variant="outlined">
              Type up
            </Button>
          }
        >
          <Typography sx={{ fontWeight: 650 }}>
            {count(untyped, 'spoken note')} to type up
          </Typography>
          <Typography variant="body2">
            A search finds words; what was only spoken it does not find.
          </Typography>
        </Line>,
      ];
