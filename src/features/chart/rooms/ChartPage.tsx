import Button from '@mui/material/Button';
import Link from '@/ui/Link';
import { chartData, type ChartView } from '../server';
import { ChartRoom } from '../components/ChartRoom';
import { may, permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Page } from '@/ui/Page';

export async function ChartPage({ searchParams }: { searchParams: Promise<ChartView> }) {
  const { person, studio } = await enter(permit('see the chart'));
  const { body, cone, atmosphere, ground, refires } = await searchParams;
  const data = await chartData(database(), { body, cone, atmosphere, ground, refires });
  const keeps = may(person, 'keep records');
  return (
    <Page
      title="Chart"
      wide
      acts={
        keeps ? (
          <Button component={Link} href="/studio#share" variant="outlined">
            Share
          </Button>
        ) : undefined
      }
    >
      <ChartRoom data={data} studio={studio} share={null} mayMake={keeps} />
    </Page>
  );
}
