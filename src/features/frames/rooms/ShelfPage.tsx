import { notFound } from 'next/navigation';
import { firingTitle } from '@/core/firing';
import { greyCard } from '@/data/frames';
import { findFiring } from '@/data/firings';
import { loadPieces } from '@/data/pieces';
import { asTheyStood, listPlacements } from '@/data/placements';
import { mayTouchPiece, permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Page } from '@/ui/Page';
import { ShelfPicture } from '../components/ShelfPicture';
import { facesToFrame } from '../of-piece';

/** One picture of a shelf for every piece that stood on it. */
export async function ShelfPage({ params }: { params: Promise<{ id: string }> }) {
  const { person } = await enter(permit('write of own pieces'));
  const { id } = await params;
  const db = database();
  const firing = /^[0-9a-f-]{36}$/.test(id) ? await findFiring(db, id) : null;
  if (firing === null) notFound();
  const placements = await listPlacements(db, { firingId: id });
  const pieces = new Map(
    (await loadPieces(db, { ids: placements.map(({ pieceId }) => pieceId) })).map((one) => [one.id, one]),
  );
  const sorted = [...placements].sort(asTheyStood);
  const list = sorted.flatMap(({ pieceId, shelf, generation }) => {
    const piece = pieces.get(pieceId);
    if (piece === undefined || piece.keyKnown === 'lost' || !mayTouchPiece(person, piece.ownerId)) return [];
    const faces = facesToFrame(piece.faces, piece.done, generation).map(({ no }) => no);
    return [{ id: piece.id, code: piece.code, shelf, faces }];
  });
  return (
    <Page
      title={`A picture of a shelf, ${firingTitle(firing)}`}
      lead="One picture of many tiles or pieces, with some of the shelf showing between them, and the grey card beside them. Whoever may see one of them sees the whole picture."
    >
      <ShelfPicture firingId={id} pieces={list} card={await greyCard(db)} />
    </Page>
  );
}
