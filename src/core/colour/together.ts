/** The colour of several pieces that were made alike, and how far they lie apart. */
import { deltaE } from './difference';
import type { Lab } from './spaces';

/** A piece's colour, measured by a grey, with the firing it came out of. */
export type PieceColour = {
  pieceId: string;
  firingId: string;
  lab: Lab;
  parts: readonly { lab: Lab; share: number }[];
};

export type TogetherColour = {
  lab: Lab;
  /** Of the piece that lies nearest to the middle: an average of patterns is a pattern that nobody made. */
  parts: readonly { lab: Lab; share: number }[];
  pieces: number;
  firings: number;
  /** How far two of them lie apart, ΔE₀₀, half of the pairs nearer; null of one alone. */
  scatter: number | null;
  /** How far the two furthest do. */
  furthest: number | null;
};

/** The middle of numbers; of an even count between the two in the middle. NaN of none. */
export function middleOf(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2;
}

/** The middle of colours, each coordinate for itself. */
export const middleLab = (labs: readonly Lab[]): Lab => [
  middleOf(labs.map(([l]) => l)),
  middleOf(labs.map(([, a]) => a)),
  middleOf(labs.map(([, , b]) => b)),
];

/** Of so many the pairs are looked at: their number grows with the square. */
const PAIRED = 40;

/** What pieces are together; null of none. Each piece once in each firing it came out of. */
export function together(colours: readonly PieceColour[]): TogetherColour | null {
  if (colours.length === 0) return null;
  const lab = middleLab(colours.map((one) => one.lab));
  const far = colours.map((one) => deltaE(one.lab, lab));
  const nearest = far.indexOf(Math.min(...far));
  const some = colours.slice(0, PAIRED);
  const pairs = some.flatMap((one, i) => some.slice(i + 1).map((other) => deltaE(one.lab, other.lab)));
  return {
    lab,
    parts: colours[nearest]!.parts,
    pieces: new Set(colours.map(({ pieceId }) => pieceId)).size,
    firings: new Set(colours.map(({ firingId }) => firingId)).size,
    scatter: pairs.length === 0 ? null : middleOf(pairs),
    furthest: pairs.length === 0 ? null : Math.max(...pairs),
  };
}
