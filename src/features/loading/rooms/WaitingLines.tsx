import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactElement } from 'react';
import { formatCone } from '@/core/cones';
import { firingTitle } from '@/core/firing';
import { bestFiring, queuesOf } from '@/core/journey';
import type { Source } from '@/data/database';
import type { OpenFiring } from '@/data/firings';
import { waitingGroups } from '@/data/journey';
import { Line } from '@/ui/Lines';
import Link from '@/ui/Link';

/** What waits and the planned firing that suits most of it, as lines of the day sheet. */
export async function waitingLines(
  src: Source,
  planned: readonly OpenFiring[],
  now = new Date(),
): Promise<ReactElement[]> {
  const queues = queuesOf(await waitingGroups(src, now)).map((group) => ({
    ...group,
    best: bestFiring(
      group.waiting,
      planned.map(({ firing }) => firing),
    ),
  }));
  return queues.map((group) => (
    <Line
      key={`${group.waitsFor}${group.cone}${group.atmosphere}`}
      figure={group.count}
      act={
        group.best ? (
          <Button component={Link} href={`/kilns/firings/${group.best.firing.id}`} variant="outlined">
            Load {firingTitle(group.best.firing)}
          </Button>
        ) : (
          <Button
            component={Link}
            href={`/kilns/plan?${new URLSearchParams({ kind: group.waitsFor, ...(group.cone ? { cone: group.cone } : {}), ...(group.atmosphere ? { atmosphere: group.atmosphere } : {}) }).toString()}`}
            variant="outlined"
          >
            Plan a firing for them
          </Button>
        )
      }
    >
      <Typography sx={{ fontWeight: 650 }}>
        {group.count === 1 ? 'piece' : 'pieces'} for {group.waitsFor}
        {group.waitsFor !== 'bisque' && group.cone ? `, cone ${formatCone(group.cone)}` : ''}
        {group.waitsFor !== 'bisque' && group.atmosphere ? `, ${group.atmosphere}` : ''}
      </Typography>
    </Line>
  ));
}
