import { ImportRoom } from '../components/ImportRoom';
import { permit } from '@/features/people';
import { enter } from '@/platform/access';
import { Page } from '@/ui/Page';

export async function ImportPage() {
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
