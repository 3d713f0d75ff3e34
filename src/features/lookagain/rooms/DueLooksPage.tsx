import { lookWords, spanWord, stateOf } from '@/core/looks';
import { listObservations, toldOf } from '@/data/observations';
import { listPhotos } from '@/data/photos';
import { dueLooks } from '@/data/second-looks';
import { unitsOf } from '@/data/studio';
import { may, permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Caution } from '@/ui/Caution';
import { Nothing, Page } from '@/ui/Page';
import { today } from '@/ui/time';
import { DueLooks } from '../components/DueLooks';
import type { DuePiece } from '../looks';

/**
 * Pieces that are due to be looked at again: everybody's for who keeps records, one's own for anybody else.
 */
export async function DueLooksPage() {
  const { person, studio } = await enter(permit('write of own pieces'));
  const db = database();
  const owner = may(person, 'keep records') ? null : person.id;
  const due = await dueLooks(db, today(studio.timeZone), owner);
  const pieceIds = [...new Set(due.map(({ pieceId }) => pieceId))];
  const [looks, photos] =
    pieceIds.length === 0
      ? [[], []]
      : await Promise.all([listObservations(db, { pieceIds, current: true }), listPhotos(db, { pieceIds })]);
  const pieces = due.map((one): DuePiece => {
    const told = toldOf(looks, one.pieceId, one.firingId);
    const now = stateOf(told)?.now ?? null;
    return {
      pieceId: one.pieceId,
      firingId: one.firingId,
      code: one.code,
      firing: one.firing,
      after: spanWord(one.days),
      dueOn: one.dueOn,
      sha: photos.find((photo) => photo.pieceId === one.pieceId)?.sha ?? null,
      now: now === null ? '' : lookWords(now, unitsOf(studio)),
      surface: now?.surface ?? null,
      signs: now?.signs ?? [],
      pings: told.flatMap(({ pings }) => (pings == null ? [] : [pings])),
    };
  });
  return (
    <Page
      title="Look again"
      lead="Tick what you looked at, touch what is new. What was said first stays; the new look stands beside it."
    >
      <Caution brief>
        A glaze that crazes on what food or drink touches is not for food any more, whatever was decided
        first. The studio’s own rules come first.
      </Caution>
      {pieces.length === 0 ? (
        <Nothing>Nothing is due.</Nothing>
      ) : (
        <DueLooks pieces={pieces} key={pieces.map(({ pieceId }) => pieceId).join()} />
      )}
    </Page>
  );
}
