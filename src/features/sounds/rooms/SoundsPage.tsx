import { listSounds } from '@/data/sounds';
import { permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Nothing, Page } from '@/ui/Page';
import { Sounds } from './Sounds';

/** All that was spoken and not typed up yet, in the order of speaking. */
export async function SoundsPage() {
  const { studio } = await enter(permit('see records'));
  const sounds = await listSounds(database(), { untyped: true });
  return (
    <Page
      title="To type up"
      lead="What was spoken at a kiln. Typed up, it can be found and stands with its piece or its firing."
    >
      {sounds.length === 0 ? (
        <Nothing>Everything that was spoken is typed up.</Nothing>
      ) : (
        <Sounds sounds={sounds} timeZone={studio.timeZone} writes of />
      )}
    </Page>
  );
}
