import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactElement } from 'react';
import { count } from '@/core/units';
import { Line } from '@/ui/Lines';
import Link from '@/ui/Link';

/** Pieces of which nobody has said what lies on them, as a line of the day sheet. */
export const keyLines = (lost: number): ReactElement[] =>
  lost === 0
    ? []
    : [
        <Line
          key="keys"
          figure={lost}
          act={
            <Button component={Link} href="/tests/keys" variant="outlined">
              Fill in
            </Button>
          }
        >
          <Typography sx={{ fontWeight: 650 }}>
            {count(lost, 'piece')} without a key: nobody has said what lies on{' '}
            {lost === 1 ? 'it' : 'them'}
          </Typography>
          <Typography variant="body2">Until then no cell of the chart knows them.</Typography>
        </Line>,
      ];
