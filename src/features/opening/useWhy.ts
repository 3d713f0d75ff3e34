'use client';
import { v7 } from 'uuid';
import { complaintOf } from '@/core/diagnosis';
import type { Item } from '@/platform/sender/store';
import type { Sender } from '@/platform/sender/sender';
import { open as openingCase } from '../clinic/contracts';
import { casesAsked } from './fold';
import type { RoomPiece } from './room';
import { aboutOpening, type SeenInput } from './contracts';

/** Faults that are said of a piece, in what stands and in what is being said. */
export function faultsHere(piece: RoomPiece, said: SeenInput | null): string[] {
  const looks = Object.values(piece.looks).flat();
  const all = [...looks.flatMap(({ seen }) => seen.signs), ...(said?.signs ?? [])];
  return [...new Set(all.filter(({ wanted }) => !wanted).map(({ sign }) => sign))];
}

/**
 * Asks the clinic why, by way of the sender: without a network it is kept as a wish and asked when the server
 * can be reached. The case has its address from the start.
 * @param known open cases of this firing, by piece.
 */
export function useWhy(
  sender: Pick<Sender, 'add'> | null,
  items: readonly Item[],
  firingId: string,
  known: Readonly<Record<string, string>>,
): {
  caseOf: (pieceId: string) => string | null;
  ask: (piece: RoomPiece, signs: readonly string[]) => Promise<void>;
} {
  const asked = casesAsked(items);
  return {
    caseOf: (pieceId) => asked[pieceId] ?? known[pieceId] ?? null,
    ask: async (piece, signs) => {
      // A colour that is off says not which: the sheet asks.
      const complaints = signs.filter((sign) => complaintOf(sign) !== undefined).slice(0, 4);
      await sender?.add({
        id: v7(),
        name: openingCase.name,
        input: { id: v7(), pieceId: piece.id, firingId, complaints },
        label: `Why? of ${piece.code}`,
        about: aboutOpening({ firingId }),
      });
    },
  };
}
