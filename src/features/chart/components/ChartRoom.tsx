import Button from '@mui/material/Button';
import Link from '@/ui/Link';
import { Suspense } from 'react';
import { coatNames } from '@/data/coatings';
import { unitsOf, type Studio } from '@/data/studio';
import { Nothing } from '@/ui/Page';
import type { ChartData } from '../queries';
import { Chart } from './Chart';

/** The chart of a view, or what to do while there is nothing on it. */
export function ChartRoom({
  data,
  studio,
  share,
  mayMake,
}: {
  data: ChartData;
  studio: Studio;
  share: string | null;
  mayMake: boolean;
}) {
  if (data.chosen === null || data.board === null) {
    return (
      <Nothing
        act={
          mayMake ? (
            <Button component={Link} href="/store" variant="contained">
              To the store
            </Button>
          ) : undefined
        }
      >
        The chart fills as openings are written up. It begins with a body and its coatings in the
        store.
      </Nothing>
    );
  }
  const { body, cone, atmosphere, slips } = data.chosen;
  return (
    <Suspense>
      <Chart
        bodies={data.bodies
          .filter((one) => !one.archived || one.id === body.id)
          .map(({ slug, name }) => ({ slug, name }))}
        names={coatNames(data.coatings)}
        chosen={{ body: body.slug, bodyName: body.name, cone, atmosphere, slips }}
        cones={data.cones}
        atmospheres={data.atmospheres}
        grounds={data.grounds}
        refires={data.refires}
        axis={data.board.axis}
        positions={[...data.board.positions.values()]}
        deeper={data.board.deeper}
        units={unitsOf(studio)}
        timeZone={studio.timeZone}
        share={share}
        mayMake={mayMake}
      />
    </Suspense>
  );
}
