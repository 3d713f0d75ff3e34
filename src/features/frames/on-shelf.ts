/** Faces that were found on a shelf, and whose they are. */
import type { Shape } from '@/core/frame';

export type OnShelf = { id: string; code: string; shelf: number | null; faces: number[] };
/** A found face, with the piece it is said to be of and which of its faces; null for none of them. */
export type Found = { shape: Shape; of: { pieceId: string; face: number } | null };

/**
 * Faces in reading order given to pieces in theirs, as many to each as it has; what is left over is nobody's.
 */
export function inOrder(shapes: readonly Shape[], pieces: readonly OnShelf[]): Found[] {
  const slots = pieces.flatMap(({ id, faces }) => faces.map((face) => ({ pieceId: id, face })));
  return shapes.map((shape, i) => ({ shape, of: slots[i] ?? null }));
}

/** After somebody says of a found face whose it is: who had that face before has what this one had. */
export function given(list: readonly Found[], at: number, of: Found['of']): Found[] {
  const same = (one: Found['of']): boolean =>
    one !== null && of !== null && one.pieceId === of.pieceId && one.face === of.face;
  const had = list[at]?.of ?? null;
  return list.map((one, i) => (i === at ? { ...one, of } : same(one.of) ? { ...one, of: had } : one));
}

/** What is to be kept of it: pieces with the frames that were given to them. */
export function framesOfPieces(
  list: readonly Found[],
): { pieceId: string; frames: { face: number; shape: Shape; guessed: boolean }[] }[] {
  const by = new Map<string, { face: number; shape: Shape; guessed: boolean }[]>();
  for (const { shape, of } of list)
    if (of !== null)
      by.set(of.pieceId, [...(by.get(of.pieceId) ?? []), { face: of.face, shape, guessed: true }]);
  return [...by].map(([pieceId, frames]) => ({ pieceId, frames }));
}
