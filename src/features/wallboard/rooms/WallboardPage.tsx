import { permit } from '@/features/people';
import { listBodies } from '@/data/bodies';
import { listCoatings } from '@/data/coatings';
import { greyCard } from '@/data/frames';
import { listKilns } from '@/data/kilns';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Page } from '@/ui/Page';
import { WallboardRoom } from '../components/WallboardRoom';

/** A wall board becomes the chart. */
export async function WallboardPage() {
  await enter(permit('run the studio'));
  const db = database();
  const [card, coatings, bodies, kilns] = await Promise.all([
    greyCard(db),
    listCoatings(db),
    listBodies(db),
    listKilns(db),
  ]);
  return (
    <Page
      title="Bring in a wall board"
      wide
      lead="One picture of the whole board, straight on, in even light, with the grey card beside it. Nothing is written before you say so, and it is taken back as one."
    >
      <WallboardRoom
        card={card}
        names={{
          coatings: coatings.flatMap(({ name, trial }) => (trial ? [] : [name])),
          bodies: bodies.map(({ name }) => name),
        }}
        kilns={kilns.flatMap(({ id, name, nobodyKnows }) => (nobodyKnows ? [] : [{ id, name }]))}
      />
    </Page>
  );
}
