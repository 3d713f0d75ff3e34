/**
 * Where a piece is in its life. It follows from what it was made for, all its firings and what
 * was seen of it: never from the last act, so a corrected look or a firing stepped back moves
 * it back as well.
 */
import type { FiringKind, FiringStatus } from '../firing';
import type { Verdict } from '../signs';

/** What a piece can be made for: its next firing as it leaves the hands. */
export const MADE_FOR = ['bisque', 'glaze'] as const;
export type MadeFor = (typeof MADE_FOR)[number];

/** What a piece can wait for. */
export type WaitsFor = MadeFor | 'refire';

/** One time in a kiln. `order` sorts firings by when they were opened (milliseconds). */
export type Passage = {
  kind: FiringKind;
  status: FiringStatus;
  order: number;
  /** What was decided of the whole piece when it came out; null while nobody has looked. */
  verdict: Verdict | null;
};

export type Life = { madeFor: MadeFor | null; passages: readonly Passage[] };

const opened = (life: Life): Passage[] =>
  life.passages.filter(({ status }) => status === 'opened').sort((a, b) => a.order - b.order);

/** What was decided of a whole piece: the latest look that decides anything does. */
export function verdictOf(
  looks: readonly { zone: string | null; seenAt: string; verdict: Verdict | null }[],
): Verdict | null {
  let last: { seenAt: string; verdict: Verdict } | null = null;
  for (const { zone, seenAt, verdict } of looks)
    if (zone === null && verdict !== null && (last === null || seenAt >= last.seenAt))
      last = { seenAt, verdict };
  return last?.verdict ?? null;
}

/**
 * What a piece waits for, setting aside that it may lie in a kiln or in the bin just now; null for
 * nothing. After a bisque it waits for glaze, unless it was given up or is to go through again;
 * after any other firing only when the last look at the last firing wants a refire.
 */
export function waitsFor(life: Life): WaitsFor | null {
  const last = opened(life).at(-1);
  if (last === undefined) return life.madeFor;
  if (last.kind !== 'bisque') return last.verdict === 'refire' ? 'refire' : null;
  if (last.verdict === 'discard') return null;
  return last.verdict === 'refire' ? 'bisque' : 'glaze';
}

/** How often it has been through a firing that was not a bisque. */
export const timesFired = (life: Life): number =>
  opened(life).filter(({ kind }) => kind !== 'bisque').length;

export type Journey =
  | { stage: 'binned' }
  | { stage: 'in a firing'; firing: string }
  | { stage: 'waiting'; for: WaitsFor; cone: string | null }
  | { stage: 'fired'; times: number }
  | { stage: 'made' };

/** Where a piece is, from what is kept of it: in the bin, in a kiln, waiting, fired, or just made. */
export function journeyOf(piece: {
  binned: boolean;
  waitsFor: WaitsFor | null;
  wantedCone: string | null;
  /** The firing it lies in that is not opened yet, as it is called. */
  firing: string | null;
  timesFired: number;
}): Journey {
  if (piece.binned) return { stage: 'binned' };
  if (piece.firing !== null) return { stage: 'in a firing', firing: piece.firing };
  if (piece.waitsFor !== null)
    return { stage: 'waiting', for: piece.waitsFor, cone: piece.wantedCone };
  return piece.timesFired > 0 ? { stage: 'fired', times: piece.timesFired } : { stage: 'made' };
}
