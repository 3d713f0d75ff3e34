/** Where on a piece signs were seen, and which. */
import { ontoFaces, ontoPicture, type FramedHere, type Point } from '@/core/looks';
import { signOf } from '@/core/signs';
import type { RecordedObservation } from '@/data/observations';

/**
 * Where signs were shown on the drawing, or in a picture that is framed, by the looks of the last firing that
 * still stand.
 */
export const shownSpots = (
  looks: readonly RecordedObservation[],
  pictures: readonly FramedHere[],
  rings: (face: number) => boolean,
): Point[] =>
  ontoFaces(
    looks
      .filter((look) => !look.superseded && look.firingId === looks.at(-1)?.firingId)
      .flatMap(({ signs }) => signs.flatMap(({ points }) => points ?? [])),
    pictures,
    rings,
  );

/** Where the signs of a picture's firing lie in it. */
export const pinsOn = (
  looks: readonly RecordedObservation[],
  photo: FramedHere & { firingId: string | null },
  rings: (face: number) => boolean,
) =>
  looks
    .filter((look) => !look.superseded && look.firingId === photo.firingId)
    .flatMap(({ signs }) =>
      signs.flatMap(({ sign, points }) =>
        ontoPicture(points ?? [], photo, rings).map((spot) => ({
          ...spot,
          sign: signOf(sign)?.name ?? sign,
        })),
      ),
    );

/** What was seen after a firing, still stands and was not wanted. */
export const faultsOf = (looks: readonly RecordedObservation[], firingId: string): string[] => [
  ...new Set(
    looks
      .filter((look) => look.firingId === firingId && !look.superseded)
      .flatMap(({ signs }) => signs.filter(({ wanted }) => !wanted).map(({ sign }) => sign)),
  ),
];
