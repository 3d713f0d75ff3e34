'use client';
/**
 * Printed labels with a QR code that lie beside a piece: read from what the camera sees, or from a picture.
 */
import type { LabelAnswer, LabelRequest } from '@/workers/label.worker';

/**
 * A label beside a pot takes a tenth of the picture: so many pixels are enough to read it, and few enough to
 * be quick.
 */
const STILL_PX = 1400;
const LIVE_PX = 720;

let worker: Worker | null = null;
let last = 0;
const asked = new Map<number, (text: string | null) => void>();

function reader(): Worker {
  if (worker === null) {
    worker = new Worker(new URL('../../workers/label.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<LabelAnswer>) => {
      asked.get(data.id)?.(data.text);
      asked.delete(data.id);
    };
    // A browser that cannot run it reads no labels, and says nothing of it: codes can be typed.
    worker.onerror = () => {
      for (const answer of asked.values()) answer(null);
      asked.clear();
    };
  }
  return worker;
}

/** What is written on a label in an image, as the browser gives its pixels; null where none is found. */
function read({ data, width, height }: ImageData): Promise<string | null> {
  const id = ++last;
  return new Promise((resolve) => {
    asked.set(id, resolve);
    const pixels = data.buffer as ArrayBuffer;
    reader().postMessage({ id, pixels, width, height } satisfies LabelRequest, [pixels]);
  });
}

function pixelsOf(source: CanvasImageSource, width: number, height: number, most: number): ImageData | null {
  const scale = Math.min(1, most / Math.max(width, height, 1));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(width * scale));
  canvas.height = Math.max(1, Math.round(height * scale));
  const context = canvas.getContext('2d', { willReadFrequently: true });
  context?.drawImage(source, 0, 0, canvas.width, canvas.height);
  return context?.getImageData(0, 0, canvas.width, canvas.height) ?? null;
}

/**
 * The label in a picture that was taken; null where there is none, or this browser cannot show the picture.
 */
export async function labelInPicture(file: Blob): Promise<string | null> {
  try {
    const bitmap = await createImageBitmap(file);
    const pixels = pixelsOf(bitmap, bitmap.width, bitmap.height, STILL_PX);
    bitmap.close();
    return pixels === null ? null : await read(pixels);
  } catch {
    return null;
  }
}

/** The label that the camera sees now. */
export async function labelInView(video: HTMLVideoElement): Promise<string | null> {
  const { videoWidth, videoHeight } = video;
  if (videoWidth === 0) return null;
  const pixels = pixelsOf(video, videoWidth, videoHeight, LIVE_PX);
  return pixels === null ? null : read(pixels);
}
