import { formatCone } from '@/core/cones';
import { suits } from '@/core/journey';
import { footprintOf } from '@/core/load';
import { describePiece, nameIn } from '@/core/zones';
import { wishesWith } from '@/data/journey';
import type { Source } from '@/data/database';
import { type Firing } from '@/data/firings';
import { listPlacements } from '@/data/placements';
import { listPieces, type PieceSummary } from '@/data/pieces';
import { flagsOf } from '@/data/flags';
import { facesOf, layersOf } from '@/data/layers';
import type { LoadPiece, Placed } from './components/LoadPieces';
import { listBodies } from '@/data/bodies';
import { coatNames, listCoatings } from '@/data/coatings';

/** What is in a firing, and what waits and might go in. */
export async function loadOf(
  src: Source,
  firing: Firing,
): Promise<{ placed: Placed[]; waiting: LoadPiece[] }> {
  const placements = await listPlacements(src, { firingId: firing.id });
  const [inside, waiting] = await Promise.all([
    listPieces(src, { ids: placements.map((one) => one.pieceId) }),
    firing.status === 'opened' ? [] : listPieces(src, { waiting: true, limit: 1500 }),
  ]);
  const ids = [...inside, ...waiting].map((piece) => piece.id);
  const [faces, layers, flags, coatings, bodies] = await Promise.all([
    facesOf(src, ids),
    layersOf(src, ids, ['done']),
    flagsOf(src, ids),
    listCoatings(src),
    listBodies(src),
  ]);
  const wishOf = wishesWith(bodies, coatings);
  const names = coatNames(coatings);
  const describe = (piece: PieceSummary): LoadPiece => ({
    id: piece.id,
    code: piece.code,
    mark: piece.mark,
    body: piece.bodyName,
    form: piece.form,
    stack: describePiece(
      faces.get(piece.id) ?? [],
      layers.get(piece.id) ?? [],
      { coat: nameIn(names), body: null },
      piece.keyKnown,
    ),
    flags: (flags.get(piece.id) ?? []).map((flag) => flag.text),
    wants: [
      piece.waitingFor,
      piece.wantedNext.cone ? `cone ${formatCone(piece.wantedNext.cone)}` : null,
      piece.wantedNext.atmosphere,
      piece.refireTodo,
    ]
      .filter(Boolean)
      .join(', '),
    suits: suits(wishOf(piece, layers.get(piece.id) ?? []), firing),
    footprint: footprintOf(piece.form, piece.heightMm),
  });
  const byId = new Map(inside.map((piece) => [piece.id, piece]));
  return {
    placed: placements.flatMap((one) => {
      const piece = byId.get(one.pieceId);
      return piece
        ? [{ ...describe(piece), placementId: one.id, shelf: one.shelf, setting: one.setting }]
        : [];
    }),
    waiting: waiting.map(describe),
  };
}
