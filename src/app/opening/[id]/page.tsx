import { notFound, redirect } from 'next/navigation';
import { findFiring } from '@/data/firings';
import { listWitnesses } from '@/data/witnesses';
import { unitsOf } from '@/data/studio';
import { permit } from '@/features/people';
import { OpeningRoom } from '@/features/opening/components/OpeningRoom';
import { openingRoom } from '@/features/opening/queries';
import { firingTitle, reachedWords } from '@/features/kilns/words';
import { SignInAgainHost } from '@/features/shell/components/SignInAgainHost';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Opening' };

export default async function OpeningPage({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ piece?: string }>;
}) {
  const { person, studio } = await enter(permit('keep records'));
  const { id } = await params;
  const db = database();
  const firing = /^[0-9a-f-]{36}$/.test(id) ? await findFiring(db, id) : null;
  if (firing === null) notFound();
  if (firing.status !== 'opened') redirect(`/kilns/firings/${id}`);
  const [room, cones] = [
    await openingRoom(db, firing),
    (await listWitnesses(db, [id])).get(id) ?? [],
  ];
  return (
    <>
      <OpeningRoom
        firingId={id}
        title={firingTitle(firing)}
        reached={reachedWords(firing)}
        pieces={room.pieces}
        coatings={room.coatings}
        cones={cones}
        target={firing.targetCone}
        person={person.name}
        units={unitsOf(studio)}
        writtenUp={firing.writtenUpAt !== null}
        start={(await searchParams).piece ?? null}
      />
      <SignInAgainHost login={person.login} />
    </>
  );
}
