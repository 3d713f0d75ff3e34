/** Looks for faces and the grey card in a picture, off the main thread. */
import { look, type Card, type Seen } from '../core/sight';

export type LookRequest = { id: number; pixels: ArrayBuffer; width: number; height: number; cards: Card[]; faces?: number }; // prettier-ignore
export type LookAnswer = { id: number; seen: Seen | null };

self.onmessage = ({ data }: MessageEvent<LookRequest>) => {
  const { id, pixels, width, height, cards, faces } = data;
  let seen: Seen | null = null;
  try {
    const raster = { width, height, channels: 4 as const, data: new Uint8ClampedArray(pixels) };
    seen = look(raster, { cards, ...(faces === undefined ? {} : { faces }) });
  } catch {
    // Nothing is proposed: whoever asked draws the frame by hand.
  }
  self.postMessage({ id, seen } satisfies LookAnswer);
};
