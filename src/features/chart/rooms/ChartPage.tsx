import { Suspense } from 'react';
import { ChartRoom } from '../components/ChartRoom';
import { may, permit } from '@/features/people';
import { enter } from '@/platform/access';

/** The board itself comes by itself: the page is the same for every board, and may be kept. */
export async function ChartPage() {
  const { person, studio } = await enter(permit('see the chart'));
  return (
    <Suspense>
      <ChartRoom title="Chart" studio={studio} share={null} mayMake={may(person, 'keep records')} />
    </Suspense>
  );
}
