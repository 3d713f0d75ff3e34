'use client';
/** What the application proposes as frames of a picture; looked for in a worker. */
import { split, type Corners, type Shape, type Spot } from '@/core/frame';
import type { Board, BoardTile, Card, Grid, Seen } from '@/core/sight';
import type { LookAnswer, LookRequest } from '@/workers/look.worker';

/** Enough to be within a hundredth of the picture, and small enough for a phone. */
const LOOKED_AT = 960;

export type Proposal = {
  frames: { face: number; shape: Shape }[];
  grey: Spot[] | null;
  /** Why there is no frame, or no grey, in words; empty when there is nothing to say. */
  words: string[];
};

let worker: Worker | null = null;
let last = 0;
const asked = new Map<number, (answer: LookAnswer) => void>();
const NOTHING: LookAnswer = { id: 0, seen: null, board: null, tiles: [] };

function looker(): Worker {
  if (worker === null) {
    worker = new Worker(new URL('../../workers/look.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<LookAnswer>) => {
      asked.get(data.id)?.(data);
      asked.delete(data.id);
    };
    worker.onerror = () => {
      // It is gone: the next question has another.
      worker?.terminate();
      worker = null;
      for (const answer of asked.values()) answer(NOTHING);
      asked.clear();
    };
  }
  return worker;
}

type Pixels = { data: Uint8ClampedArray; width: number; height: number };

/** What the worker sees; the pixels are copied, for what is handed to it is gone here. */
function asking(
  { data, width, height }: Pixels,
  rest: Pick<LookRequest, 'cards' | 'faces' | 'board'>,
): Promise<LookAnswer> {
  const id = ++last;
  const pixels = data.slice().buffer;
  return new Promise((resolve) => {
    asked.set(id, resolve);
    looker().postMessage({ id, pixels, width, height, ...rest } satisfies LookRequest, [pixels]);
  });
}

const cardsOf = (card: Card | null): Card[] => (card === null ? [] : [card]);
const greyIn = (seen: Seen | null): Spot[] | null =>
  seen?.grey.found?.card == null ? null : seen.grey.found.steps.map(({ at }) => at);

function pixelsOf(image: HTMLImageElement): ImageData | null {
  const scale = Math.min(1, LOOKED_AT / Math.max(image.naturalWidth, image.naturalHeight, 1));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(image.naturalWidth * scale));
  canvas.height = Math.max(1, Math.round(image.naturalHeight * scale));
  const context = canvas.getContext('2d', { willReadFrequently: true });
  context?.drawImage(image, 0, 0, canvas.width, canvas.height);
  return context?.getImageData(0, 0, canvas.width, canvas.height) ?? null;
}

/** Where a frame is begun by hand: the middle of the picture. */
export const BY_HAND: Corners = {
  kind: 'corners',
  corners: [
    { x: 0.3, y: 0.8 },
    { x: 0.7, y: 0.8 },
    { x: 0.7, y: 0.2 },
    { x: 0.3, y: 0.2 },
  ],
};

const WORDS = {
  'no-ground': 'There is no even ground around it here: drag the corners to the face.',
  nothing: 'No face stands out from its ground here: drag the corners to it.',
} as const;

/** As many frames as the piece has faces, in reading order; one found for several is divided. */
export function facesFrom(seen: Seen | null, faces: readonly number[]): Proposal {
  const found = seen?.frames.map(({ shape }) => shape) ?? [];
  const words: string[] = [];
  let shapes: Shape[] = found.slice(0, faces.length);
  if (found.length === 0) {
    words.push(
      seen === null
        ? 'Nothing could be looked for in this browser: drag the corners to the face.'
        : WORDS[seen.why ?? 'nothing'],
    );
    shapes = split(BY_HAND, faces.length);
  } else if (found.length < faces.length) {
    const only = found[0]!;
    shapes = found.length === 1 && only.kind === 'corners' ? split(only, faces.length) : found;
    words.push(`${found.length} of ${faces.length} faces stand out here.`);
  } else if (found.length > faces.length)
    words.push(
      `${found.length} things lie here; the first ${faces.length === 1 ? 'is' : 'are'} framed. Drag the corners if it is another.`,
    );
  if (seen?.grey.found === null && seen.grey.why === 'two-that-disagree')
    words.push('Two grey cards here disagree: touch the right one’s steps.');
  return {
    frames: shapes.map((shape, i) => ({ face: faces[i]!, shape })),
    grey: greyIn(seen),
    words,
  };
}

/**
 * Looks at a shown picture and proposes frames for these faces. Errors: none, then a frame to be drawn by
 * hand.
 */
export async function propose(
  image: HTMLImageElement,
  faces: readonly number[],
  card: Card | null,
): Promise<Proposal> {
  const pixels = pixelsOf(image);
  return pixels === null ? facesFrom(null, faces) : proposeIn(pixels, faces, card);
}

/** The same in pixels; without faces only the grey is looked for. */
export async function proposeIn(
  pixels: Pixels,
  faces: readonly number[],
  card: Card | null,
): Promise<Proposal> {
  const { seen } = await asking(pixels, { cards: cardsOf(card), faces: Math.max(1, faces.length) });
  return facesFrom(seen, faces);
}

/** Everything that lies in a picture of a shelf, in reading order, and the grey card. */
export async function shelfIn(
  pixels: Pixels,
  card: Card | null,
): Promise<{ shapes: Shape[]; grey: Spot[] | null }> {
  const { seen } = await asking(pixels, { cards: cardsOf(card) });
  return { shapes: seen?.frames.map(({ shape }) => shape) ?? [], grey: greyIn(seen) };
}

/** A board in a picture, where one is found, with its tiles and the grey card. */
export async function boardIn(
  pixels: Pixels,
  card: Card | null,
): Promise<{ board: Board | null; tiles: BoardTile[]; grey: Spot[] | null }> {
  const { board, tiles, seen } = await asking(pixels, { cards: cardsOf(card) });
  return { board, tiles, grey: greyIn(seen) };
}

/** The tiles of a board whose corners, rows and columns somebody has said. */
export const tilesIn = async (pixels: Pixels, board: Grid): Promise<BoardTile[]> =>
  (await asking(pixels, { cards: [], board })).tiles;
