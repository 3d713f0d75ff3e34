/** Pictures as pixels, for what looks at them on the server. */
import sharp from 'sharp';
import type { Raster } from '@/core/sight';
import { MAX_PIXELS } from './objects';

/**
 * The pixels of a picture, upright, its longer side at most `longest`. Errors: not a picture that can be
 * read, or too many pixels for this machine to hold.
 */
export async function rasterOf(bytes: Buffer, longest = 2400): Promise<Raster> {
  const { data, info } = await sharp(bytes, { limitInputPixels: MAX_PIXELS, failOn: 'error' })
    .rotate()
    .resize({ width: longest, height: longest, fit: 'inside', withoutEnlargement: true })
    .toColourspace('srgb')
    .flatten({ background: '#fff' })
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { width: info.width, height: info.height, channels: 3, data };
}

/** How wide a picture is in its own pixels, held upright. */
export async function widthOf(bytes: Buffer): Promise<number> {
  const { width, height, orientation = 1 } = await sharp(bytes).metadata();
  return orientation >= 5 ? height : width;
}
