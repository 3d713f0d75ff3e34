/** Where somebody pinned a fault on a piece, on its drawing or in a framed picture of it. */
import { hasRings } from '@/core/designs';
import type { Pin } from '@/core/diagnosis';
import { heightOf, ontoFaces, zonesAt, type SeenSign } from '@/core/looks';
import { stackKey, zonesOf, type Face, type Layer } from '@/core/zones';
import type { Source } from '@/data/database';
import { framesOf } from '@/data/frames';
import { listPhotos } from '@/data/photos';

export async function pinsOf(
  src: Source,
  piece: { id: string; form: string; faces: readonly Face[]; done: readonly Layer[] },
  generation: number,
  signs: readonly SeenSign[],
): Promise<Pin[]> {
  const points = signs.flatMap((sign) => sign.points ?? []);
  if (points.length === 0) return [];
  const inPictures = points.some(({ sha }) => sha !== null);
  const photos = inPictures ? await listPhotos(src, { pieceIds: [piece.id] }) : [];
  const frames = await framesOf(
    src,
    photos.map(({ id }) => id),
  );
  const rings = (face: number): boolean =>
    hasRings(piece.form, piece.faces.find(({ no }) => no === face)?.surface ?? null);
  const framed = photos.map((photo) => ({
    ...photo,
    frames: frames.filter(({ photoId }) => photoId === photo.id),
  }));
  const zones = zonesOf(piece.faces, piece.done, generation);
  return (
    ontoFaces(points, framed, rings)
      // A picture without a frame says of no place where it is.
      .filter(({ face }) => face !== null)
      .map((point) => ({
        height: heightOf(point, rings(point.face!)),
        rings: rings(point.face!),
        stackKeys: zonesAt(zones, point, rings(point.face!)).map(({ stack }) => stackKey(stack)),
      }))
  );
}
