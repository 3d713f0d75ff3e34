import type { Verdict } from '@/core/signs';
import type { RecordInput, SeenInput } from './schema';

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
  flags: string[];
  faces: import('@/core/zones').Face[];
  layers: import('@/core/zones').Layer[];
  otherwise: string[];
  photos: string[];
  /** What is believed now, by zone ('' for the whole piece). */
  seen: Record<string, { id: string; by: string; at: string; seen: SeenInput }>;
};

/** Nothing said yet; a tile is kept as a test unless somebody decides otherwise. */
export function blank(kind: 'tile' | 'ware'): SeenInput {
  const verdict: Verdict = kind === 'tile' ? 'study' : 'keep';
  return {
    surface: null,
    opacity: null,
    colour: null,
    movementMm: null,
    met: null,
    rating: null,
    verdict,
    note: '',
    signs: [],
  };
}

export const isWritten = (piece: RoomPiece): boolean => piece.seen[''] !== undefined;

/** The pieces with these words said of them, as the device has them before the server does. */
export function withRecord(
  pieces: readonly RoomPiece[],
  { pieces: entries, zone, seen }: RecordInput,
  by: string,
  at: string,
): RoomPiece[] {
  const ids = new Map(entries.map((entry) => [entry.pieceId, entry.observationId]));
  return pieces.map((piece) => {
    const id = ids.get(piece.id);
    return id === undefined
      ? piece
      : { ...piece, seen: { ...piece.seen, [zone ?? '']: { id, by, at, seen } } };
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
  missing: string[];
  grind: number[];
  tell: { owner: string; codes: string[] }[];
  refire: string[];
};

/** What is left to do when the last piece is down: what is missing, which shelves to grind, whom to tell. */
export function tally(
  pieces: readonly RoomPiece[],
  said: (piece: RoomPiece) => SeenInput | null,
): Tally {
  const grind = new Set<number>();
  const tell = new Map<string, string[]>();
  const missing: string[] = [];
  const refire: string[] = [];
  for (const piece of pieces) {
    const seen = said(piece);
    if (seen === null) missing.push(piece.code);
    const dripped =
      seen?.signs.some(
        ({ sign, severity }) => sign === 'stuck' || (sign === 'running' && severity === 3),
      ) ?? false;
    if (dripped && piece.shelf !== null && piece.setting !== 'waster') grind.add(piece.shelf);
    if (seen?.verdict === 'refire') refire.push(piece.code);
    if (piece.owner !== null && seen !== null)
      tell.set(piece.owner, [...(tell.get(piece.owner) ?? []), piece.code]);
  }
  return {
    written: pieces.length - missing.length,
    all: pieces.length,
    missing,
    grind: [...grind].sort((a, b) => a - b),
    refire,
    tell: [...tell]
      .map(([owner, codes]) => ({ owner, codes }))
      .sort((a, b) => a.owner.localeCompare(b.owner)),
  };
}
