import { Suspense } from 'react';
import { boardCorner, viewOf } from '../server';
import { ChartRoom } from '../components/ChartRoom';
import { may, permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';

/**
 * The board itself comes beside the page, which may be kept: what arrives with it is the corner in sight, as
 * it was when the page was made, until the board is there.
 */
export async function ChartPage({ searchParams }: { searchParams: Promise<Record<string, string>> }) {
  const { person, studio } = await enter(permit('see the chart'));
  const query = new URLSearchParams(await searchParams);
  // Turned round or sifted, another corner would be in sight.
  const plain = !query.has('turn') && !query.has('show');
  return (
    <Suspense>
      <ChartRoom
        title="Chart"
        studio={studio}
        share={null}
        corner={plain ? await boardCorner(database(), viewOf(query)) : null}
        mayMake={may(person, 'keep records')}
      />
    </Suspense>
  );
}
