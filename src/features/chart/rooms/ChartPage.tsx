import Button from '@mui/material/Button';
import Link from '@/ui/Link';
import { chartData, type ChartData, type ChartView } from '../server';
import { ChartRoom } from '../components/ChartRoom';
import { may, permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Page } from '@/ui/Page';

/** The board that is shown, for a page that begins with it. */
const boardQuery = ({ chosen }: ChartData): URLSearchParams =>
  new URLSearchParams(
    chosen === null
      ? {}
      : { body: chosen.body.slug, cone: chosen.cone, atmosphere: chosen.atmosphere },
  );

export async function ChartPage({ searchParams }: { searchParams: Promise<ChartView> }) {
  const { person, studio } = await enter(permit('see the chart'));
  const { body, cone, atmosphere, ground, refires, at } = await searchParams;
  const data = await chartData(database(), { body, cone, atmosphere, ground, refires, at });
  const keeps = may(person, 'keep records');
  return (
    <Page
      title="Chart"
      wide
      acts={
        keeps ? (
          <>
            <Button component={Link} href={`/tests/fired?${boardQuery(data)}`} variant="outlined">
              I hold a fired tile
            </Button>
            <Button component={Link} href="/studio#share" variant="outlined">
              Share
            </Button>
          </>
        ) : undefined
      }
    >
      <ChartRoom data={data} studio={studio} share={null} mayMake={keeps} />
    </Page>
  );
}
