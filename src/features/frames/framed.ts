/** Pictures with what is framed in them. */
import { framesOf, greyCard, greysOf } from '@/data/frames';
import type { Source } from '@/data/database';
import type { Photo } from '@/data/photos';
import type { FramedPhoto } from './of-piece';

/** Pictures with their frames, greys and colours, and the studio's card. */
export async function framedPhotos(
  src: Source,
  photos: readonly Photo[],
): Promise<{ card: number[] | null; photos: (FramedPhoto & Pick<Photo, 'firingId'>)[] }> {
  const ids = photos.map(({ id }) => id);
  const [frames, greys, card] = await Promise.all([
    framesOf(src, ids),
    greysOf(src, ids),
    greyCard(src),
  ]);
  return {
    card,
    photos: photos.map(({ id, sha, width, height, firingId }) => {
      const own = frames.filter(({ photoId }) => photoId === id);
      return {
        id,
        sha,
        width,
        height,
        firingId,
        frames: own.map(({ face, shape }) => ({ face, shape })),
        grey: greys.get(id)?.steps ?? null,
        colours: own.flatMap(
          ({ colours }) =>
          colours.map(({ zone, lab, parts, variegation, byGrey }) => ({ zone, lab, parts, variegation, byGrey })), // prettier-ignore
        ),
      };
    }),
  };
}
