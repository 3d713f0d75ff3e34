/** Finds a printed label in a picture, off the main thread: looking for one takes longer than a frame. */
import jsQR from 'jsqr';

export type LabelRequest = { id: number; pixels: ArrayBuffer; width: number; height: number };
export type LabelAnswer = { id: number; text: string | null };

self.onmessage = ({ data }: MessageEvent<LabelRequest>) => {
  const { id, pixels, width, height } = data;
  const found = jsQR(new Uint8ClampedArray(pixels), width, height, {
    inversionAttempts: 'dontInvert',
  });
  self.postMessage({ id, text: found?.data ?? null } satisfies LabelAnswer);
};
