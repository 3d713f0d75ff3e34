/**
 * A folder of pictures: whose each is by its name, by what somebody said, and by the order in which they were
 * taken.
 */
import { inOrder, orderOfTaking, type Known } from './in-order';
import type { PictureMatch, PieceInOrder } from './pictures';

/** A chosen picture as far as its name and its looker say. */
export type Chosen = PictureMatch & {
  picture: File;
  /** By the camera's clock. */
  at: number | null;
  state: 'ready' | 'sending' | 'kept' | 'failed';
  said: string;
  /** It shows none of the pieces. */
  none: boolean;
};

export type OfFiring = {
  firingId: string;
  pieces: readonly PieceInOrder[];
  each: number;
  /** Pieces that have a picture already are in the order too. */
  all: boolean;
};

const knownOf = ({ none, pieceId }: Chosen): Known => (none ? 'none' : pieceId === null ? null : { pieceId });

/** Every picture with the piece that is proposed for it, in the order in which they were chosen. */
export function proposed(chosen: readonly Chosen[], of: OfFiring | null): Chosen[] {
  if (of === null) return [...chosen];
  const codes = new Map(of.pieces.map(({ id, code }) => [id, code]));
  const pieces = of.pieces.filter(({ pictured }) => of.all || !pictured).map(({ id }) => id);
  const order = orderOfTaking(chosen.map(({ file, at }) => ({ name: file, at })));
  const found = inOrder(
    order.map((i) => knownOf(chosen[i]!)),
    pieces,
    of.each,
  );
  const out = [...chosen];
  order.forEach((i, k) => {
    const one = chosen[i]!;
    const { pieceId, key, why } = found[k]!;
    // Where it was in that firing, that is the firing it shows.
    if (one.pieceId !== null) out[i] = codes.has(one.pieceId) ? { ...one, firingId: of.firingId } : one;
    else if (pieceId !== null && key === 'likely')
      out[i] = { ...one, pieceId, code: codes.get(pieceId)!, firingId: of.firingId, key, why };
    else
      out[i] = {
        ...one,
        why,
        maybe: pieceId === null ? one.maybe : [{ id: pieceId, code: codes.get(pieceId)! }],
      };
  });
  return out;
}
