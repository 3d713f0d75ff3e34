import { ATMOSPHERES, SURFACES } from '@/core/signs';
import { permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { greyCard } from '@/data/frames';
import { Page } from '@/ui/Page';
import { keptBodies, keptChoices, sortCones } from '../../chart/server';
import { WhatIs } from '../components/WhatIs';

/** A picture of something glazed, a touch of it, and the studio’s stacks that come nearest. */
export async function WhatPage() {
  await enter(permit('see the chart'));
  const db = database();
  const [bodies, choices, card] = await Promise.all([keptBodies(db), keptChoices(db), greyCard(db)]); // prettier-ignore
  return (
    <Page
      title="What glaze is that?"
      lead="Take a picture of it beside the studio’s grey card and touch the glaze. The picture stays on this device."
    >
      <WhatIs
        card={card}
        bodies={bodies.filter(({ mergedInto }) => mergedInto === null).map(({ slug, name }) => ({ slug, name }))} // prettier-ignore
        cones={sortCones([...new Set(choices.map(({ cone }) => cone))])}
        atmospheres={ATMOSPHERES.filter((one) => choices.some(({ atmosphere }) => atmosphere === one))} // prettier-ignore
        surfaces={SURFACES}
      />
    </Page>
  );
}
