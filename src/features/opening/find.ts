import { readCode } from '@/core/codes';
import type { RoomPiece } from './room';

export type Found =
  | { piece: RoomPiece }
  /** Nothing of this load: why, and the code where it is a whole one. */
  | { wrong: string; code: string | null };

/** So many characters of a code are enough where only one piece of the load begins with them. */
export const ENOUGH = 3;

/** The piece of a load that a code, the beginning of one, or a mark names. */
export function findHere(pieces: readonly RoomPiece[], text: string): Found {
  const read = readCode(text);
  const plain = text.trim().toUpperCase();
  const whole = pieces.find(
    (one) => (read.ok && one.code === read.code) || one.mark?.toUpperCase() === plain,
  );
  if (whole !== undefined) return { piece: whole };
  const begun = plain.length < ENOUGH ? [] : pieces.filter(({ code }) => code.startsWith(plain));
  if (begun.length === 1) return { piece: begun[0]! };
  if (begun.length > 1)
    return { wrong: `${begun.map(({ code }) => code).join(', ')} begin so: one more character.`, code: null };
  return read.ok
    ? { wrong: `${read.code} is on no list of this firing.`, code: read.code }
    : { wrong: read.message, code: null };
}
