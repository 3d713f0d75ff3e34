import { ImportRoom } from '@/features/exchange/components/ImportRoom';
import { permit } from '@/features/people';
import { enter } from '@/platform/access';
import { Page } from '@/ui/Page';

export const metadata = { title: 'Bring in past tests' };

export default async function ImportPage() {
  await enter(permit('run the studio'));
  return (
    <Page
      title="Bring in past tests"
      wide
      lead="First a dry run: what each row would become. Then all of it, or nothing."
    >
      <ImportRoom />
    </Page>
  );
}
