/** The pixels of a picture in a browser. */
import type { Raster } from '@/core/sight';

/** Enough for the middle of a spot and of a step of the card, and small enough for a phone. */
const LONGEST = 1600;

export type OpenPicture = { url: string; raster: Raster & { data: Uint8ClampedArray } };

/** Opens a picture that stays on this device. Errors: with words for whoever chose it. */
export async function openPicture(file: File): Promise<OpenPicture> {
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file);
  } catch {
    throw new Error('This file is no picture that can be shown here, or it is too large for this device.');
  }
  const scale = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(bitmap.width * scale));
  canvas.height = Math.max(1, Math.round(bitmap.height * scale));
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (context === null)
    throw new Error('This device has no room left for a picture. Close something and try again.');
  context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  const { data, width, height } = context.getImageData(0, 0, canvas.width, canvas.height);
  return { url: URL.createObjectURL(file), raster: { width, height, channels: 4, data } };
}
