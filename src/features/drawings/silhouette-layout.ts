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
  // A plate alone is drawn as large as it can be, not in the middle of a tall strip.
  const tall = faces.every(rings) ? W : H;
  const column = (index: number): number => GAP + index * (W + GAP);
  const each = small.length === 0 ? 0 : (tall + LABEL) / small.length;
  return {
    slots: [
      ...large.map((face, i) => ({
        face,
        left: column(i),
        top: 0,
        width: W,
        height: tall,
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
    width: column(large.length + (small.length > 0 ? 1 : 0)),
    height: tall + LABEL,
  };
}
