import { PictureRoom } from '../components/PictureRoom';
import { permit } from '@/features/people';
import { enter } from '@/platform/access';
import { Page } from '@/ui/Page';

export async function PicturesPage() {
  await enter(permit('run the studio'));
  return (
    <Page title="Bring in pictures">
      <PictureRoom />
    </Page>
  );
}
