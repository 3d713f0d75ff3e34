/** Pictures that were taken in the order in which the pots came out, laid on the pieces of the plan. */
import type { RoomPiece } from './room';

/**
 * Which picture is of which piece, if they were taken shelf by shelf: one each, from a piece on, skipping
 * pieces that have pictures already. Pictures that are more than pieces stay without one.
 */
export function inOrder(
  pictures: readonly string[],
  pieces: readonly RoomPiece[],
  from: string | null,
  pictured: ReadonlySet<string>,
): { picture: string; piece: RoomPiece }[] {
  const start = Math.max(
    0,
    pieces.findIndex(({ id }) => id === from),
  );
  const free = pieces.slice(start).filter(({ id }) => !pictured.has(id));
  return pictures.slice(0, free.length).map((picture, i) => ({ picture, piece: free[i]! }));
}
