import { firingTitle } from '@/core/firing';
import { listFirings } from '@/data/firings';
import { permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Page } from '@/ui/Page';
import { PictureRoom } from '../components/PictureRoom';

/** So many of the last openings a folder of pictures may be of. */
const LAST = 40;

export async function PicturesPage() {
  await enter(permit('run the studio'));
  const firings = await listFirings(database(), { statuses: ['cooling', 'opened'], limit: LAST });
  return (
    <Page title="Bring in pictures">
      <PictureRoom firings={firings.map((one) => ({ id: one.id, title: firingTitle(one) }))} />
    </Page>
  );
}
