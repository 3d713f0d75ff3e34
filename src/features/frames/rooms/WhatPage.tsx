import { firingTitle } from '@/core/firing';
import { ATMOSPHERES, SIGNS, SURFACES } from '@/core/signs';
import { may, permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { listFirings } from '@/data/firings';
import { greyCard } from '@/data/frames';
import { Page } from '@/ui/Page';
import { keptBodies, keptChoices, keptCoatings, sortCones } from '../../chart/server';
import { WhatIs } from '../components/WhatIs';

/** So many of the last firings may be named. */
const LAST = 30;

/** A picture of something glazed, a touch of it, and the studio’s stacks that come nearest. */
export async function WhatPage() {
  const { person } = await enter(permit('see the chart'));
  const db = database();
  const [bodies, choices, card, coatings, firings] = await Promise.all([
    keptBodies(db),
    keptChoices(db),
    greyCard(db),
    keptCoatings(db),
    // Who sees the chart only is told of no firings.
    may(person, 'keep records') ? listFirings(db, { statuses: ['opened'], limit: LAST }) : [],
  ]);
  return (
    <Page
      title="What glaze is that?"
      lead="Take a picture of it beside the studio’s grey card and touch the glaze. The picture stays on this device."
    >
      <WhatIs
        card={card}
        bodies={bodies
          .filter(({ mergedInto }) => mergedInto === null)
          .map(({ slug, name }) => ({ slug, name }))}
        cones={sortCones([...new Set(choices.map(({ cone }) => cone))])}
        atmospheres={ATMOSPHERES.filter((one) => choices.some(({ atmosphere }) => atmosphere === one))}
        surfaces={SURFACES}
        effects={SIGNS.filter(({ usually }) => usually === 'effect').map(({ id, name }) => ({
          value: id,
          label: name,
        }))}
        coatings={coatings.flatMap(({ slug, name, trial, archived, mergedInto }) =>
          trial || archived || mergedInto !== null ? [] : [{ slug, name }],
        )}
        firings={firings.map((one) => ({ value: one.id, label: firingTitle(one) }))}
      />
    </Page>
  );
}
