/** Looks for faces, the grey card and a board's tiles in a picture, off the main thread. */
import {
  boardTiles,
  look,
  lookAtMany,
  type Board,
  type BoardTile,
  type Card,
  type Grid,
  type Many,
  type Seen,
} from '../core/sight';

export type LookRequest = {
  id: number;
  pixels: ArrayBuffer;
  width: number;
  height: number;
  cards: Card[];
  faces?: number;
  board?: Grid;
};
/** `seen` is left out where the corners of a board were given. */
export type LookAnswer = { id: number; seen: Seen | null; board: Board | null; tiles: BoardTile[] };

const found = ({ board, tiles, ...seen }: Many): Omit<LookAnswer, 'id'> => ({ seen, board, tiles });

self.onmessage = ({ data }: MessageEvent<LookRequest>) => {
  const { id, pixels, width, height, cards, faces, board } = data;
  const answer: LookAnswer = { id, seen: null, board: null, tiles: [] };
  try {
    const raster = { width, height, channels: 4 as const, data: new Uint8ClampedArray(pixels) };
    if (faces !== undefined) answer.seen = look(raster, { cards, faces });
    else if (board === undefined) Object.assign(answer, found(lookAtMany(raster, { cards })));
    else answer.tiles = boardTiles(raster, board);
  } catch {
    // Nothing is proposed: whoever asked draws the frame by hand.
  }
  self.postMessage(answer);
};
