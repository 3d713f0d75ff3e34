import { requirePerson } from '@/platform/session';
import { Page } from '@/ui/Page';
import { OnThisDevice } from '../components/OnThisDevice';

export async function DevicePage() {
  await requirePerson();
  return (
    <Page title="On this device" lead="What you wrote here and the studio’s server does not have yet.">
      <OnThisDevice />
    </Page>
  );
}
