import type { Face } from '@/core/zones';

/** Where a face is drawn: its place and size in the drawing's own units, and whether in rings. */
export type Slot = {
  face: Face;
  left: number;
  top: number;
  width: number;
  height: number;
  rings: boolean;
};

const [W, H, GAP, LABEL] = [92, 200, 10, 22];

/**
 * Places the faces of a piece beside one another: what is large has a column of its own, the rim, foot
 * and lid of ware share one, each with room for its name.
 */
export function layOutFaces(
  faces: readonly Face[],
  rings: (face: Face) => boolean,
): { slots: Slot[]; width: number; height: number } {
  const isSmall = ({ surface }: Face): boolean =>
    surface === 'rim' || surface === 'foot' || surface === 'lid';
  const large = faces.filter((face) => !isSmall(face));
  const small = faces.filter(isSmall);
  // What is round is drawn as wide as it is tall: a bowl's rings are as large as a tile, for a thumb.
  const wide = (face: Face): number => (rings(face) ? H : W);
  const column = (index: number): number =>
    GAP + large.slice(0, index).reduce((sum, face) => sum + wide(face) + GAP, 0);
  const each = small.length === 0 ? 0 : (H + LABEL) / small.length;
  return {
    slots: [
      ...large.map((face, i) => ({
        face,
        left: column(i),
        top: 0,
        width: wide(face),
        height: H,
        rings: rings(face),
      })),
      ...small.map((face, i) => ({
        face,
        left: column(large.length),
        top: i * each,
        width: W,
        height: each - LABEL,
        rings: false,
      })),
    ],
    width: column(large.length) + (small.length > 0 ? W + GAP : 0),
    height: H + LABEL,
  };
}
