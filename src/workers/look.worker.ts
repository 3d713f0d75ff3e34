/** Looks for faces, the grey card and a board's tiles in a picture, off the main thread. */
import { boardTiles, look, readBoard, type Board, type BoardTile, type Card, type Grid, type Seen } from '../core/sight'; // prettier-ignore

export type LookRequest = { id: number; pixels: ArrayBuffer; width: number; height: number; cards: Card[]; faces?: number; board?: Grid | 'find' }; // prettier-ignore
/** Of a board `seen` is left out where its corners were given. */
export type LookAnswer = { id: number; seen: Seen | null; board: Board | null; tiles: BoardTile[] };

self.onmessage = ({ data }: MessageEvent<LookRequest>) => {
  const { id, pixels, width, height, cards, faces, board } = data;
  const answer: LookAnswer = { id, seen: null, board: null, tiles: [] };
  try {
    const raster = { width, height, channels: 4 as const, data: new Uint8ClampedArray(pixels) };
    if (board === undefined || board === 'find') answer.seen = look(raster, { cards, ...(faces === undefined ? {} : { faces }) }); // prettier-ignore
    if (board === 'find') answer.board = readBoard(raster, null);
    const grid = board === 'find' ? answer.board : board;
    if (grid) answer.tiles = boardTiles(raster, grid);
  } catch {
    // Nothing is proposed: whoever asked draws the frame by hand.
  }
  self.postMessage(answer);
};
