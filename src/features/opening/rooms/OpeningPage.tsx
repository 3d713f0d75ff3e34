import { notFound, redirect } from 'next/navigation';
import { findFiring } from '@/data/firings';
import { listCases } from '@/data/clinic';
import { listWitnesses } from '@/data/witnesses';
import { refirePassages } from '@/data/refires';
import { unitsOf } from '@/data/studio';
import { may, permit } from '@/features/people';
import { OpeningRoom } from '../components/OpeningRoom';
import { openingRoom } from '../queries';
import { looksAt, nowOf, type RoomPiece } from '../room';
import { LoadStory } from './LoadStory';
import { LoadComplaints } from '../../clinic/rooms/LoadComplaints';
import { Keeping } from '../../device';
import { SignInAgainHost } from '../../shell';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { cameNew, refireRecords } from '@/core/looks';
import { plainStack, zonesOf } from '@/core/zones';
import { firingTitle, reachedWords } from '@/core/firing';

/** Written up, and neither thrown away nor fired again. */
const stays = (piece: RoomPiece): boolean => {
  const verdict = nowOf(looksAt(piece, null))?.verdict;
  return verdict != null && !['discard', 'refire', 'grind'].includes(verdict);
};

export async function OpeningPage({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ piece?: string; look?: string }>;
}) {
  const { person, studio } = await enter(permit('write of own pieces'));
  // Who does not keep the records writes up what is their own.
  const keeps = may(person, 'keep records');
  const { id } = await params;
  const db = database();
  const firing = /^[0-9a-f-]{36}$/.test(id) ? await findFiring(db, id) : null;
  if (firing === null) notFound();
  // It is on a device before the lid is lifted, for a kiln room without a network.
  const closed =
    keeps && (firing.status === 'firing' || firing.status === 'cooling')
      ? { status: firing.status, crackAtC: studio.crackAtC }
      : null;
  if (firing.status !== 'opened' && closed === null) redirect(keeps ? `/kilns/firings/${id}` : '/mine');
  const [room, witnesses, cases, passages] = await Promise.all([
    openingRoom(db, firing, keeps ? null : person.id),
    listWitnesses(db, [id]),
    listCases(db, { firingId: id, open: true }),
    refirePassages(db),
  ]);
  if (!keeps && room.pieces.length === 0) notFound();
  // Of other coats than this load's a page that waits in a cellar need not know.
  const here = new Set(
    room.pieces.flatMap(({ faces, layers }) =>
      zonesOf(faces, layers, 99).map(({ stack }) => plainStack(stack)),
    ),
  );
  const refires = {
    records: refireRecords(passages).filter(({ stack }) => stack === null || here.has(stack)),
    came: cameNew(passages),
  };
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
        madeAt={room.madeAt}
        mark={room.mark}
        coatings={room.coatings}
        words={room.words}
        card={room.card}
        refires={refires}
        cones={keeps ? (witnesses.get(id) ?? []) : []}
        target={firing.targetCone}
        person={{ id: person.id, name: person.name }}
        place={look === 'desk' ? 'desk' : room.place}
        units={unitsOf(studio)}
        writtenUp={firing.writtenUpAt !== null}
        start={piece ?? null}
        cases={Object.fromEntries(
          cases.flatMap((one) => (one.pieceId === null ? [] : [[one.pieceId, one.id]])),
        )}
        shared={
          keeps && (
            <>
              <LoadComplaints src={db} firingId={id} />
              <LoadStory src={db} firing={firing} kept={room.pieces.filter(stays).map((one) => one.id)} />
            </>
          )
        }
        keeps={keeps}
        closed={closed}
      />
      {/* Nothing newer is put under a hand that is writing. */}
      <Keeping madeAt={room.madeAt} offer={false} />
      <SignInAgainHost login={person.login} />
    </>
  );
}
