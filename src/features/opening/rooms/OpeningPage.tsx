import { notFound, redirect } from 'next/navigation';
import { findFiring } from '@/data/firings';
import { listWitnesses } from '@/data/witnesses';
import { unitsOf } from '@/data/studio';
import { permit } from '@/features/people';
import { OpeningRoom } from '../components/OpeningRoom';
import { openingRoom } from '../queries';
import { SignInAgainHost } from '../../shell';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { firingTitle, reachedWords } from '@/core/firing';

export async function OpeningPage({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ piece?: string; look?: string }>;
}) {
  const { person, studio } = await enter(permit('keep records'));
  const { id } = await params;
  const db = database();
  const firing = /^[0-9a-f-]{36}$/.test(id) ? await findFiring(db, id) : null;
  if (firing === null) notFound();
  if (firing.status !== 'opened') redirect(`/kilns/firings/${id}`);
  const [room, witnesses] = await Promise.all([openingRoom(db, firing), listWitnesses(db, [id])]);
  const { piece, look } = await searchParams;
  return (
    <>
      <OpeningRoom
        // Another load is another room: a pot that joined comes with all that is known of it.
        key={room.pieces.map((one) => one.id).join()}
        firingId={id}
        title={firingTitle(firing)}
        reached={reachedWords(firing)}
        pieces={room.pieces}
        coatings={room.coatings}
        cones={witnesses.get(id) ?? []}
        target={firing.targetCone}
        person={{ id: person.id, name: person.name }}
        place={look === 'desk' ? 'desk' : room.place}
        units={unitsOf(studio)}
        writtenUp={firing.writtenUpAt !== null}
        start={piece ?? null}
      />
      <SignInAgainHost login={person.login} />
    </>
  );
}
