'use client';
import { useState } from 'react';
import { v7 } from 'uuid';
import { complaintOf } from '@/core/diagnosis';
import { open as openingCase } from '../clinic/contracts';
import type { Outbox } from './outbox';
import type { RoomPiece } from './room';
import type { SeenInput } from './contracts';

/** Faults that are said of a piece, in what stands and in what is being said. */
export function faultsHere(piece: RoomPiece, said: SeenInput | null): string[] {
  const looks = Object.values(piece.looks).flat();
  const all = [...looks.flatMap(({ seen }) => seen.signs), ...(said?.signs ?? [])];
  return [...new Set(all.filter(({ wanted }) => !wanted).map(({ sign }) => sign))];
}

/**
 * Asks the clinic why, by way of the outbox: without a network it is kept as a wish and asked when the server can be
 * reached. The case has its address from the start.
 * @param known open cases of this firing, by piece.
 */
export function useWhy(
  box: Outbox | null,
  firingId: string,
  known: Readonly<Record<string, string>>,
): {
  caseOf: (pieceId: string) => string | null;
  ask: (piece: RoomPiece, signs: readonly string[]) => Promise<void>;
} {
  const [asked, setAsked] = useState<Readonly<Record<string, string>>>({});
  return {
    caseOf: (pieceId) => asked[pieceId] ?? known[pieceId] ?? null,
    ask: async (piece, signs) => {
      if (box === null) return;
      const id = v7();
      // A colour that is off says not which: the sheet asks.
      const complaints = signs.filter((sign) => complaintOf(sign) !== undefined).slice(0, 4);
      await box.add({
        id: v7(),
        kind: 'act',
        name: openingCase.name,
        input: { id, pieceId: piece.id, firingId, complaints },
        label: `Why? of ${piece.code}`,
      });
      setAsked((now) => ({ ...now, [piece.id]: id }));
    },
  };
}
