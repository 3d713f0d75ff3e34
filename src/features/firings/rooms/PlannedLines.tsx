import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactElement } from 'react';
import { formatCone } from '@/core/cones';
import { firingTitle } from '@/core/firing';
import type { OpenFiring } from '@/data/firings';
import { Line } from '@/ui/Lines';
import Link from '@/ui/Link';
import { calendarDay } from '@/ui/time';

/** Firings that are planned or loaded, as lines of the day sheet. */
export const plannedLines = (planned: readonly OpenFiring[]): ReactElement[] =>
  planned.map(({ firing, pieces }) => (
    <Line
      key={firing.id}
      figure={pieces}
      act={
        <Button component={Link} href={`/kilns/firings/${firing.id}`} variant="outlined">
          {firing.status === 'planned' ? 'Load kiln' : 'Start firing …'}
        </Button>
      }
    >
      <Typography sx={{ fontWeight: 650 }}>
        {pieces === 1 ? 'piece' : 'pieces'} in {firingTitle(firing)}: {firing.kind}
        {firing.targetCone ? `, cone ${formatCone(firing.targetCone)}` : ''}, {calendarDay(firing.plannedFor)}
      </Typography>
    </Line>
  ));
