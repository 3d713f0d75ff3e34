import { findShareLink } from '@/data/people';
import { readStudio } from '@/data/studio';
import { chartData, type ChartView } from '../server';
import { ChartRoom } from '../components/ChartRoom';
import { database } from '@/platform/database';
import { Page } from '@/ui/Page';

export async function SharePage({
  params,
  searchParams,
}: {
  params: Promise<{ token: string }>;
  searchParams: Promise<ChartView>;
}) {
  const { token } = await params;
  const db = database();
  const [link, studio] = await Promise.all([findShareLink(db, token, new Date()), readStudio(db)]);
  if (link === null || studio === null) {
    return (
      <Page title="This link does not open any more">
        It was revoked or has run out. Ask the studio for another.
      </Page>
    );
  }
  const asked = await searchParams;
  const { body, cone, atmosphere, ground, refires } =
    asked.body === undefined
      ? (Object.fromEntries(new URLSearchParams(link.view)) as ChartView)
      : asked;
  const data = await chartData(db, { body, cone, atmosphere, ground, refires });
  return (
    <Page title={studio.name} wide lead="What the glazes do here. Read only.">
      <ChartRoom data={data} studio={studio} share={token} mayMake={false} />
    </Page>
  );
}
