/** A second look at many pieces at once: what each row says, and which of them are one act. */
import { v7 } from 'uuid';
import type { SeenSign } from '@/core/looks';
import { NOTHING_SEEN, type SeenInput } from '../opening/contracts';

/** A piece that is due, as it is known. */
export type DuePiece = {
  pieceId: string;
  firingId: string;
  code: string;
  firing: string;
  /** "a month" */
  after: string;
  dueOn: string;
  sha: string | null;
  /** In words. */
  now: string;
  surface: SeenInput['surface'];
  signs: readonly SeenSign[];
  /** What was heard before, a minute, oldest first. */
  pings: readonly number[];
};

/** What a second look found: crazing as bad as that (0: none), and pings. Null: nothing said. */
export type Found = { crazing: 0 | 1 | 2 | 3; pings: number | null };

export const CRAZING = 'crazing';

/** How bad its crazing was known to be. */
export const crazingOf = (signs: readonly SeenSign[]): 0 | 1 | 2 | 3 =>
  signs.find(({ sign }) => sign === CRAZING)?.severity ?? 0;

/** The look that is written: what is known stays said, crazing is as it was found, the decision stands. */
export function seenAgain(piece: Pick<DuePiece, 'signs' | 'surface'>, { crazing, pings }: Found): SeenInput {
  const others = piece.signs.filter(({ sign }) => sign !== CRAZING);
  const was = piece.signs.find(({ sign }) => sign === CRAZING);
  return {
    ...NOTHING_SEEN,
    // As it was: who looked and found nothing new has gone over it.
    surface: piece.surface,
    pings,
    signs:
      crazing === 0
        ? others
        : [...others, { sign: CRAZING, severity: crazing, wanted: was?.wanted ?? false }],
    healed: [],
  };
}

/** Looks that say the same of pieces of one firing go together, as one act that one touch takes back. */
export function actsOf(
  pieces: readonly DuePiece[],
  found: Readonly<Record<string, Found>>,
): {
  firingId: string;
  seen: SeenInput;
  pieces: { pieceId: string; observationId: string; corrects: null }[];
  codes: string[];
}[] {
  const acts = new Map<string, ReturnType<typeof actsOf>[number]>();
  for (const piece of pieces) {
    const said = found[piece.pieceId];
    if (said === undefined) continue;
    const seen = seenAgain(piece, said);
    const key = JSON.stringify([piece.firingId, seen]);
    const act = acts.get(key) ?? { firingId: piece.firingId, seen, pieces: [], codes: [] };
    act.pieces.push({ pieceId: piece.pieceId, observationId: v7(), corrects: null });
    act.codes.push(piece.code);
    acts.set(key, act);
  }
  return [...acts.values()];
}
