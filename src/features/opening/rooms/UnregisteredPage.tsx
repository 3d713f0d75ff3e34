import { FORMS } from '@/core/designs';
import { firingTitle } from '@/core/firing';
import { listBodies } from '@/data/bodies';
import { listFirings } from '@/data/firings';
import { listKilns } from '@/data/kilns';
import { permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Page } from '@/ui/Page';
import { calendarDay, today } from '@/ui/time';
import { UnregisteredForm } from '../components/UnregisteredForm';
import { usualPot } from '../queries';

/** Who opened a kiln within these days means that firing. */
const LATELY = 3 * 86_400_000;
const isOfLate = (at: Date | null): boolean => at !== null && Date.now() - at.getTime() < LATELY;
const aDayAgo = (): Date => new Date(Date.now() - 86_400_000);

/** "27 cups in yesterday's kiln": how many, what, out of which firing, and the opening begins. */
export async function UnregisteredPage({ searchParams }: { searchParams: Promise<{ firing?: string }> }) {
  const { studio } = await enter(permit('keep records'));
  const db = database();
  const [bodies, kilns, opened] = await Promise.all([
    listBodies(db),
    listKilns(db),
    listFirings(db, { statuses: ['opened'], limit: 40 }),
  ]);
  const asked = (await searchParams).firing;
  const fired = opened.filter(({ kind, unrecorded }) => kind !== 'bisque' && !unrecorded);
  const lately = fired.find(({ openedAt }) => isOfLate(openedAt));
  const firing = opened.find(({ id }) => id === asked) ?? lately ?? null;
  const pot = firing === null ? null : await usualPot(db, firing.id);
  const standing = bodies.filter(({ archived }) => !archived);
  const body = standing.find(({ id }) => id === pot?.bodyId) ?? standing[0];
  const kiln = kilns.find(({ id, archived }) => !archived && id === fired[0]?.kilnId);
  const yesterday = today(studio.timeZone, aDayAgo());
  return (
    <Page
      title="Things nobody registered"
      lead="Out of the kiln, with numbers on them or none: on record now, what lies on them later."
    >
      <UnregisteredForm
        bodies={standing.map(({ id, name }) => ({ id, name }))}
        kilns={kilns.filter(({ archived }) => !archived).map(({ id, name }) => ({ id, name }))}
        firings={fired.slice(0, 12).map((one) => ({
          id: one.id,
          name: `${firingTitle(one)}, ${calendarDay(one.plannedFor)}`,
        }))}
        start={{
          body: body === undefined ? { id: null, name: '' } : { id: body.id, name: body.name },
          form: pot?.form ?? FORMS[0]!.name,
          firing: {
            id: firing?.id ?? null,
            kilnId: kiln?.id ?? null,
            on: firing === null ? yesterday : null,
            cone: null,
            shown: false,
            atmosphere: 'unknown',
          },
        }}
      />
    </Page>
  );
}
