import Button from '@mui/material/Button';
import { firingTitle } from '@/core/firing';
import { ATMOSPHERES } from '@/core/signs';
import { intendedOf } from '@/core/firing';
import { isCone } from '@/core/cones';
import { listBodies } from '@/data/bodies';
import { cautionsOf } from '@/data/cautions';
import { listCoatings } from '@/data/coatings';
import { entryAt } from '@/data/entries';
import { listFirings } from '@/data/firings';
import { listKilns } from '@/data/kilns';
import { unitsOf } from '@/data/studio';
import { permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import Link from '@/ui/Link';
import { Page } from '@/ui/Page';
import { calendarDay } from '@/ui/time';
import { InHandForm, type InHandStart } from '../components/InHandForm';
import { usualPot } from '../queries';

type Query = { firing?: string; body?: string; cone?: string; atmosphere?: string; at?: string };

const RECENT = 12;

/** A fired tile, or a pot that was on no list, put on record without a plan. */
export async function InHandPage({ searchParams }: { searchParams: Promise<Query> }) {
  const { studio } = await enter(permit('keep records'));
  const query = await searchParams;
  const db = database();
  const [bodies, coatings, kilns, opened] = await Promise.all([
    listBodies(db),
    listCoatings(db),
    listKilns(db),
    listFirings(db, { statuses: ['opened'], limit: 60 }),
  ]);
  const firing = opened.find(({ id }) => id === query.firing);
  const start: InHandStart = {};
  if (firing !== undefined) {
    const pot = await usualPot(db, firing.id);
    const body = bodies.find(({ id }) => id === pot?.bodyId);
    start.firing = { id: firing.id };
    start.coats = null;
    if (pot !== null && body !== undefined) {
      start.body = { id: body.id, name: body.name };
      start.form = pot.form;
    }
  } else {
    const body = query.body === undefined ? undefined : entryAt(bodies, query.body);
    if (body !== undefined) start.body = { id: body.id, name: body.name };
    const cone = intendedOf(query.cone ?? '') ?? query.cone ?? '';
    start.firing = {
      cone: isCone(cone) ? cone : null,
      atmosphere: ATMOSPHERES.find((one) => one === query.atmosphere) ?? 'unknown',
    };
    start.coats = (query.at ?? '').split('/').flatMap((slug, i, all) => {
      const coating = entryAt(coatings, slug);
      const stretch =
        all.filter(Boolean).length < 2
          ? { from: 0, to: 1 }
          : i === 0
            ? { from: 0, to: 2 / 3 }
            : { from: 1 / 3, to: 1 };
      return coating === undefined
        ? []
        : [{ coating: { id: coating.id, name: coating.name }, coats: 1, stretch }];
    });
  }
  // What to beware of in each coating, by its newest version.
  const newest = coatings.flatMap(({ id, slug, versions }) => {
    const last = versions.at(-1);
    return last === undefined ? [] : [{ id, coat: { slug, version: last.no } }];
  });
  const known = await cautionsOf(
    db,
    newest.map(({ coat }) => coat),
  );
  const cautions = Object.fromEntries(newest.map(({ id, coat }) => [id, known(coat)]));
  return (
    <Page
      title={firing === undefined ? 'I hold a fired tile' : 'A pot on no list'}
      wide
      acts={
        <Button
          component={Link}
          href={`/tests/unregistered${firing === undefined ? '' : `?firing=${firing.id}`}`}
          variant="outlined"
        >
          Many at once
        </Button>
      }
      lead={
        firing === undefined
          ? 'From the board, the shelf, a box: on the chart without planning a firing.'
          : `It joins ${firingTitle(firing)}.`
      }
    >
      <InHandForm
        bodies={bodies.filter(({ archived }) => !archived).map(({ id, name }) => ({ id, name }))}
        coatings={coatings
          .filter(({ archived, trial }) => !archived && !trial)
          .map(({ id, name }) => ({ id, name }))}
        kilns={kilns.filter(({ archived }) => !archived).map(({ id, name }) => ({ id, name }))}
        firings={opened
          .filter(({ kind, unrecorded }) => kind !== 'bisque' && !unrecorded)
          .slice(0, RECENT)
          .map((one) => ({
            id: one.id,
            name: `${firingTitle(one)}, ${calendarDay(one.plannedFor)}`,
          }))}
        cautions={cautions}
        start={start}
        fixed={firing === undefined ? null : firingTitle(firing)}
        units={unitsOf(studio)}
      />
    </Page>
  );
}
