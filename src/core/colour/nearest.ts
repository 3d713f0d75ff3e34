/** Which stacks come nearest to a colour: exactly, from rows that an index has narrowed down. */
import { deltaE } from './difference';
import { middleOf } from './together';
import type { Lab } from './spaces';

/** A measured zone of a piece in a cell. */
export type MeasuredZone = {
  cellId: string;
  pieceId: string;
  lab: Lab;
  parts: readonly { lab: Lab; share: number }[];
};

export type NearCell = {
  cellId: string;
  /** ΔE₀₀ of its pieces from the colour, half of them nearer. */
  distance: number;
  /** Pieces that come near, and of them the nearest. */
  pieces: number;
  nearest: string;
};

/** A colour that takes this much of a zone is one of it: a touched spot may be of that. */
const PART = 0.2;

/** From a colour to a zone: to its middle, or to a colour that takes a good part of it. */
export const distanceTo = (lab: Lab, zone: Pick<MeasuredZone, 'lab' | 'parts'>): number =>
  zone.parts.reduce(
    (least, part) => (part.share >= PART ? Math.min(least, deltaE(lab, part.lab)) : least),
    deltaE(lab, zone.lab),
  );

/** The cells of these zones, the nearest first; a piece counts once, by its nearest picture. O(zones). */
export function nearestCells(lab: Lab, zones: readonly MeasuredZone[]): NearCell[] {
  const cells = new Map<string, Map<string, number>>();
  for (const zone of zones) {
    const pieces = cells.get(zone.cellId) ?? new Map<string, number>();
    const before = pieces.get(zone.pieceId) ?? Infinity;
    pieces.set(zone.pieceId, Math.min(before, distanceTo(lab, zone)));
    cells.set(zone.cellId, pieces);
  }
  return [...cells]
    .map(([cellId, pieces]) => ({
      cellId,
      distance: middleOf([...pieces.values()]),
      pieces: pieces.size,
      nearest: [...pieces].reduce((best, one) => (one[1] < best[1] ? one : best))[0],
    }))
    .sort((a, b) => a.distance - b.distance || (a.cellId < b.cellId ? -1 : 1));
}
