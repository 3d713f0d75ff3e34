/** What framing pictures needs, read together. */
import type { Source } from '@/data/database';
import { unframedPhotos } from '@/data/frames';
import { listPhotos, type Photo } from '@/data/photos';
import { loadPieces } from '@/data/pieces';
import { listPlacements } from '@/data/placements';
import { facesToFrame, type ToFrame } from './of-piece';
import { framedPhotos } from './framed';

async function withFaces(src: Source, photos: readonly Photo[]) {
  const ids = [...new Set(photos.flatMap(({ pieceId }) => pieceId ?? []))];
  const [framed, pieces, placements] = await Promise.all([
    framedPhotos(src, photos),
    loadPieces(src, { ids }),
    listPlacements(src, { pieceIds: ids }),
  ]);
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  const list = photos.flatMap((photo, i): ToFrame[] => {
    const piece = byId.get(photo.pieceId ?? '');
    if (piece === undefined || piece.keyKnown === 'lost') return [];
    const generation =
      placements.find((one) => one.pieceId === piece.id && one.firingId === photo.firingId)?.generation ?? 1;
    const faces = facesToFrame(piece.faces, piece.done, generation);
    return [{ photo: framed.photos[i]!, code: piece.code, faces }];
  });
  return { list, card: framed.card };
}

/** The newest pictures without a frame. @param ownerId only of this person’s pieces; null for all. */
export async function picturesToFrame(src: Source, ownerId: string | null, limit: number) {
  const { photos, all } = await unframedPhotos(src, ownerId, limit);
  return { ...(await withFaces(src, photos)), all };
}

/** A picture of a piece as its frame is said from elsewhere; null where there is none such. */
export async function pictureToFrame(
  src: Source,
  { pieceId, sha }: { pieceId: string; sha: string },
): Promise<(ToFrame & { card: number[] | null }) | null> {
  const photos = await listPhotos(src, { pieceIds: [pieceId], sha });
  const { list, card } = await withFaces(src, photos.slice(0, 1));
  return list[0] === undefined ? null : { ...list[0], card };
}
