/**
 * Where a piece is in its life. It follows from what it was made for, all its firings and what
 * was seen of it: never from the last act, so a corrected look or a firing stepped back moves
 * it back as well.
 */
import type { FiringKind, FiringStatus } from '../firing';
import type { Atmosphere, Verdict } from '../signs';

/** What a piece can be made for: its next firing as it leaves the hands. */
export const MADE_FOR = ['bisque', 'glaze'] as const;
export type MadeFor = (typeof MADE_FOR)[number];

/** What a piece can wait for. */
export type WaitsFor = MadeFor | 'refire';

/** What a refire is for; what nobody said is empty or null. */
export type Refire = {
  why: string;
  /** What will be done before it: another coat, ground, as it is. */
  todo: string;
  cone: string | null;
  atmosphere: Atmosphere | null;
};

/** One time in a kiln. `order` sorts firings by when they were opened (milliseconds). */
export type Passage = {
  kind: FiringKind;
  status: FiringStatus;
  order: number;
  /** What was decided of the whole piece when it came out; null while nobody has looked. */
  verdict: Verdict | null;
  /** What that refire is for, where the verdict is one. */
  refire?: Refire | null;
};

export type Life = { madeFor: MadeFor | null; passages: readonly Passage[] };

const opened = (life: Life): Passage[] =>
  life.passages.filter(({ status }) => status === 'opened').sort((a, b) => a.order - b.order);

type Deciding = {
  zone: string | null;
  seenAt: string;
  verdict: Verdict | null;
  refire?: Refire | null;
};

/**
 * What was decided of a whole piece, and what a refire is for: the latest look that decides anything does.
 */
export function decisionOf(looks: readonly Deciding[]): {
  verdict: Verdict | null;
  refire: Refire | null;
} {
  let last: Deciding | null = null;
  for (const look of looks)
    if (look.zone === null && look.verdict !== null && (last === null || look.seenAt >= last.seenAt))
      last = look;
  return {
    verdict: last?.verdict ?? null,
    refire: last?.verdict === 'refire' ? (last.refire ?? null) : null,
  };
}

export const verdictOf = (looks: readonly Deciding[]): Verdict | null => decisionOf(looks).verdict;

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

/** What the refire that a piece waits for is for; null when it waits for none, or nobody said. */
export const refireOf = (life: Life): Refire | null =>
  waitsFor(life) === 'refire' ? (opened(life).at(-1)?.refire ?? null) : null;

/**
 * At which cone and in which air a piece wants to be fired next: for a refire what that is for says
 * so, and where it does not, what the piece was made for.
 */
export const wantedNext = (piece: {
  waitsFor: WaitsFor | null;
  cone: string | null;
  atmosphere: string | null;
  refire: Pick<Refire, 'cone' | 'atmosphere'> | null;
}): { cone: string | null; atmosphere: string | null } =>
  piece.waitsFor === 'refire'
    ? {
        cone: piece.refire?.cone ?? piece.cone,
        atmosphere: piece.refire?.atmosphere ?? piece.atmosphere,
      }
    : { cone: piece.cone, atmosphere: piece.atmosphere };

/** How often it has been through a firing that was not a bisque. */
export const timesFired = (life: Life): number => opened(life).filter(({ kind }) => kind !== 'bisque').length;

export type Journey =
  | { stage: 'binned' }
  | { stage: 'in a firing'; firing: string }
  | { stage: 'waiting'; for: WaitsFor; cone: string | null; todo: string }
  | { stage: 'fired'; times: number }
  | { stage: 'made' };

/** Where a piece is, from what is kept of it: in the bin, in a kiln, waiting, fired, or just made. */
export function journeyOf(piece: {
  binned: boolean;
  waitsFor: WaitsFor | null;
  wantedCone: string | null;
  /** What will be done before its refire, in words; empty where nobody said. */
  refireTodo?: string;
  /** The firing it lies in that is not opened yet, as it is called. */
  firing: string | null;
  timesFired: number;
}): Journey {
  if (piece.binned) return { stage: 'binned' };
  if (piece.firing !== null) return { stage: 'in a firing', firing: piece.firing };
  if (piece.waitsFor !== null)
    return {
      stage: 'waiting',
      for: piece.waitsFor,
      cone: piece.wantedCone,
      todo: piece.refireTodo ?? '',
    };
  return piece.timesFired > 0 ? { stage: 'fired', times: piece.timesFired } : { stage: 'made' };
}
