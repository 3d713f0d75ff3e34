/** Pictures with what is framed in them. */
import { framesOf, greyCard, greysOf } from '@/data/frames';
import type { Repeats } from '@/core/colour';
import { besideKin, NO_REPEATS, readRepeats, type Beside } from '@/data/repeats';
import type { Source } from '@/data/database';
import type { Photo } from '@/data/photos';
import type { FramedPhoto } from './of-piece';

/** Pictures with their frames, greys and colours, and the studio's card. */
export async function framedPhotos(
  src: Source,
  photos: readonly Photo[],
  /** Of one piece: its zones are compared with the others of their stacks. */
  pieceId?: string,
): Promise<{
  card: number[] | null;
  repeats: Repeats;
  photos: (FramedPhoto & Pick<Photo, 'firingId' | 'createdAt'>)[];
}> {
  const ids = photos.map(({ id }) => id);
  const [frames, greys, card, beside, repeats] = await Promise.all([
    framesOf(src, ids),
    greysOf(src, ids),
    greyCard(src),
    pieceId === undefined ? new Map<string, Beside>() : besideKin(src, pieceId),
    pieceId === undefined ? NO_REPEATS : readRepeats(src),
  ]);
  return {
    card,
    repeats,
    photos: photos.map(({ id, sha, width, height, firingId, createdAt }) => {
      const own = frames.filter(({ photoId }) => photoId === id);
      return {
        id,
        sha,
        width,
        height,
        firingId,
        createdAt,
        frames: own.map(({ face, shape }) => ({ face, shape })),
        grey: greys.get(id)?.steps ?? null,
        colours: own.flatMap(({ colours }) =>
          colours.map(({ zone, lab, parts, variegation, byGrey }) => ({
            zone,
            lab,
            parts,
            variegation,
            byGrey,
            beside: byGrey ? (beside.get(`${firingId}/${zone}`) ?? null) : null,
          })),
        ),
      };
    }),
  };
}
