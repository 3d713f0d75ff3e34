import { gluesShelf } from '@/core/signs';
import { decisionOf, type Refire } from '@/core/journey';
import { meansCorrection, stateOf, type Place, type SeenSign } from '@/core/looks';
import type { Verdict } from '@/core/signs';
import { NOTHING_SEEN, type RecordInput, type SeenInput } from './contracts';

/** Who writes on this device. */
export type Writer = { id: string; name: string };

/** A look that stands. */
export type RoomLook = {
  id: string;
  by: Writer;
  at: string;
  place: Place;
  seen: SeenInput;
};

/** How a piece came out of the firing before, and what it was to go in again for. */
export type Before = {
  firing: string;
  photos: string[];
  surface: string | null;
  signs: SeenSign[];
  refire: Refire | null;
};

/** A piece as opening mode needs it. */
export type RoomPiece = {
  id: string;
  code: string;
  mark: string | null;
  kind: 'tile' | 'ware';
  form: string;
  bodyName: string;
  bodyColour: string;
  lotId: string | null;
  owner: string | null;
  shelf: number | null;
  setting: string;
  generation: number;
  /**
   * It was on no list when the kiln was lit: where it stands in the firing, so that it can be taken out
   * again.
   */
  joined: string | null;
  /** False where nobody knows what lies on it. */
  keyKnown: import('@/core/zones').KeyKnown;
  flags: string[];
  faces: import('@/core/zones').Face[];
  layers: import('@/core/zones').Layer[];
  /** What to beware of in what is on it. */
  cautions: string[];
  otherwise: string[];
  photos: string[];
  /** How it came out of the firing before this one, where this is a refire. */
  before: Before | null;
  /** The looks that stand, oldest first, by zone ('' for the whole piece). */
  looks: Record<string, RoomLook[]>;
};

/** Nothing said yet; a tile is kept as a test unless somebody decides otherwise. */
export const blank = (kind: 'tile' | 'ware'): SeenInput => {
  const verdict: Verdict = kind === 'tile' ? 'study' : 'keep';
  return { ...NOTHING_SEEN, verdict };
};

export const looksAt = (piece: RoomPiece, zone: string | null): RoomLook[] => piece.looks[zone ?? ''] ?? [];

export const isWritten = (piece: RoomPiece): boolean => looksAt(piece, null).length > 0;

/** What the looks at one part say together now; null when there are none. Notes stay with their looks. */
export function nowOf(looks: readonly RoomLook[]): SeenInput | null {
  const told = looks.map(({ by, at, seen }) => ({
    ...seen,
    zone: null,
    by: by.id,
    seenAt: at,
    verdict: seen.verdict,
  }));
  const state = stateOf(told);
  return state && { ...state.now, ...decisionOf(told), healed: [], note: '' };
}

/** What is being written: a look of its own (null), or the correction of one that stands. */
export function usualSaying(looks: readonly RoomLook[], writer: Writer, now: string): RoomLook | null {
  const me = { by: writer.id, seenAt: now };
  return looks.filter(({ by, at }) => meansCorrection({ by: by.id, seenAt: at }, me)).at(-1) ?? null;
}

/** What the form shows before anything is touched: the words to be corrected, or the piece as it is known. */
export const formStart = (piece: RoomPiece, zone: string | null, correcting: RoomLook | null): SeenInput =>
  correcting?.seen ??
  nowOf(looksAt(piece, zone)) ?? {
    ...blank(piece.kind),
    ...(zone === null ? {} : { verdict: null }),
  };

/** The pieces with these words said of them, as the device has them before the server does. */
export function withRecord(
  pieces: readonly RoomPiece[],
  { pieces: entries, zone, seen, seenAt, place }: RecordInput,
  by: Writer,
): RoomPiece[] {
  const ofPiece = new Map(entries.map((entry) => [entry.pieceId, entry]));
  const at = seenAt ?? new Date().toISOString();
  return pieces.map((piece) => {
    const entry = ofPiece.get(piece.id);
    if (entry === undefined) return piece;
    const look = { id: entry.observationId, by, at, place: place ?? 'kiln', seen };
    const standing = looksAt(piece, zone).filter(({ id }) => id !== entry.corrects);
    return { ...piece, looks: { ...piece.looks, [zone ?? '']: [...standing, look] } };
  });
}

/** The next piece after this one that nobody has written up, going round; null when all are. */
export function nextUnwritten(
  pieces: readonly RoomPiece[],
  after: string,
  written: ReadonlySet<string>,
): string | null {
  const start = pieces.findIndex((piece) => piece.id === after);
  for (let i = 1; i <= pieces.length; i++) {
    const piece = pieces[(start + i) % pieces.length] as RoomPiece;
    if (!written.has(piece.id) && piece.id !== after) return piece.id;
  }
  return null;
}

export type Tally = {
  written: number;
  all: number;
  /** On no list when the kiln was lit, and found in it. */
  joined: number;
  missing: string[];
  /** Cracked through. */
  broken: string[];
  grind: number[];
  refire: string[];
  /** How many were decided how, the commonest first. */
  verdicts: { verdict: Verdict; n: number }[];
};

/** What is left to do when the last piece is down: what is missing, which shelves to grind. */
export function tally(pieces: readonly RoomPiece[], said: (piece: RoomPiece) => SeenInput | null): Tally {
  const grind = new Set<number>();
  const missing: string[] = [];
  const broken: string[] = [];
  const refire: string[] = [];
  const verdicts = new Map<Verdict, number>();
  for (const piece of pieces) {
    const seen = said(piece);
    if (seen === null) missing.push(piece.code);
    const dripped = seen?.signs.some(gluesShelf) ?? false;
    if (dripped && piece.shelf !== null && piece.setting !== 'waster') grind.add(piece.shelf);
    if (seen?.signs.some(({ sign }) => sign === 'dunt')) broken.push(piece.code);
    if (seen?.verdict === 'refire') refire.push(piece.code);
    if (seen?.verdict) verdicts.set(seen.verdict, (verdicts.get(seen.verdict) ?? 0) + 1);
  }
  return {
    written: pieces.length - missing.length,
    all: pieces.length,
    joined: pieces.filter(({ joined }) => joined !== null).length,
    missing,
    broken,
    grind: [...grind].sort((a, b) => a - b),
    refire,
    verdicts: [...verdicts].map(([verdict, n]) => ({ verdict, n })).sort((a, b) => b.n - a.n),
  };
}
