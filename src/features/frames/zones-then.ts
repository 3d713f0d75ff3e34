import { zonesOf } from '@/core/zones';
import type { Database } from '@/data/database';
import { loadPieces } from '@/data/pieces';
import { listPlacements } from '@/data/placements';

/** The zones of a piece as it came out of a firing: of its last, where a picture is of none. */
export async function zonesThen(db: Database, pieceId: string, firingId: string | null) {
  const [piece] = await loadPieces(db, { ids: [pieceId] });
  const placements = await listPlacements(db, { pieceIds: [pieceId] });
  const generation =
    placements.find((one) => one.firingId === firingId)?.generation ??
    Math.max(1, ...placements.map((one) => one.generation));
  return piece === undefined || piece.keyKnown === 'lost' ? [] : zonesOf(piece.faces, piece.done, generation);
}
