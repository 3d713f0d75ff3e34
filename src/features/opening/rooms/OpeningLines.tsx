import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactElement } from 'react';
import { firingTitle, reachedWords } from '@/core/firing';
import type { OpenFiring } from '@/data/firings';
import { Line } from '@/ui/Lines';
import Link from '@/ui/Link';
import { moment } from '@/ui/time';

/** Openings that are not written up, as lines of the day sheet. */
export const openingLines = (openings: readonly OpenFiring[], timeZone: string): ReactElement[] =>
  openings.map(({ firing, written, pieces }) => (
    <Line
      key={firing.id}
      figure={`${written}/${pieces}`}
      act={
        <Button component={Link} href={`/opening/${firing.id}`} variant="contained">
          {written === 0 ? 'Write up opening' : 'Go on writing up'}
        </Button>
      }
    >
      <Typography sx={{ fontWeight: 650 }}>
        {firingTitle(firing)}: {firing.kind}, {reachedWords(firing)}
      </Typography>
      <Typography variant="body2" color="text.secondary">
        {firing.openedAt ? `Opened ${moment(firing.openedAt, timeZone)}` : ''}
      </Typography>
    </Line>
  ));
