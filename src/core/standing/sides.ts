/** The pieces of a cell, parted into sides by what is said of them. */
import type { Lab } from '../colour';
import type { Surface, Opacity, Meeting } from '../signs';

/** One piece of a cell: all that was seen of it there, as one. */
export type PieceView = {
  pieceId: string;
  firingId: string;
  surface: Surface | null;
  opacity: Opacity | null;
  colour: string | null;
  /** Measured by a grey in its picture. */
  lab?: Lab | null;
  met: Meeting | null;
  movementMm: number | null;
  signs: Map<string, { severity: number; wanted: boolean }>;
  variables: Record<string, string>;
};

export type Sides = Map<string, PieceView[]>;

/** Sides, most first; ties go to the one that sorts first. */
export const bySize = (sides: Sides): [value: string, own: PieceView[]][] =>
  [...sides].sort((a, b) => b[1].length - a[1].length || (a[0] < b[0] ? -1 : 1));

export function sidesBy(views: readonly PieceView[], value: (view: PieceView) => string | null): Sides {
  const sides: Sides = new Map();
  for (const view of views) {
    const said = value(view);
    if (said === null) continue;
    const side = sides.get(said);
    if (side === undefined) sides.set(said, [view]);
    else side.push(view);
  }
  return sides;
}
