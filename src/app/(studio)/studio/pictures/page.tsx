import { PictureRoom } from '@/features/exchange/components/PictureRoom';
import { permit } from '@/features/people';
import { enter } from '@/platform/access';
import { Page } from '@/ui/Page';

export const metadata = { title: 'Bring in pictures' };

export default async function PicturesPage() {
  await enter(permit('run the studio'));
  return (
    <Page title="Bring in pictures">
      <PictureRoom />
    </Page>
  );
}
