/** A picture as it is looked at: reduced, in OKLab, where equal steps look about equally large. */
import { oklabOfPixels } from '../colour';

/** Pixels as they come: 3 or 4 channels of 8 bits each, row by row. */
export type Raster = {
  width: number;
  height: number;
  channels: 3 | 4;
  data: Uint8Array | Uint8ClampedArray;
};

/** The longer side of the picture that is looked at: enough for a hundredth of its width, and quick. */
export const LOOKED_AT = 720;

/**
 * The picture reduced so that its longer side has at most so many pixels, each the mean of those it covers.
 */
export function reduced(of: Raster, longest = LOOKED_AT): Raster {
  const scale = Math.min(1, longest / Math.max(of.width, of.height));
  if (scale === 1) return of;
  const width = Math.max(1, Math.round(of.width * scale));
  const height = Math.max(1, Math.round(of.height * scale));
  const data = new Uint8Array(width * height * 3);
  for (let y = 0; y < height; y++) {
    const top = Math.floor((y * of.height) / height);
    const bottom = Math.max(top + 1, Math.floor(((y + 1) * of.height) / height));
    for (let x = 0; x < width; x++) {
      const left = Math.floor((x * of.width) / width);
      const right = Math.max(left + 1, Math.floor(((x + 1) * of.width) / width));
      let r = 0;
      let g = 0;
      let b = 0;
      for (let sy = top; sy < bottom; sy++) {
        let p = (sy * of.width + left) * of.channels;
        for (let sx = left; sx < right; sx++, p += of.channels) {
          r += of.data[p]!;
          g += of.data[p + 1]!;
          b += of.data[p + 2]!;
        }
      }
      const count = (bottom - top) * (right - left);
      const o = (y * width + x) * 3;
      data[o] = r / count + 0.5;
      data[o + 1] = g / count + 0.5;
      data[o + 2] = b / count + 0.5;
    }
  }
  return { width, height, channels: 3, data };
}

/** A length of two or three coordinates; many times as quick as the one that guards against overflow. */
export const far = (a: number, b: number, c = 0): number => Math.sqrt(a * a + b * b + c * c);

export class Field {
  readonly width: number;
  readonly height: number;
  /** OKLab, three numbers a pixel. */
  readonly lab: Float32Array;

  constructor(readonly raster: Raster) {
    this.width = raster.width;
    this.height = raster.height;
    this.lab = oklabOfPixels(raster.data, raster.channels);
  }

  /** Colour at a place between pixels, written into `into`; at the edge it goes on. */
  sample(x: number, y: number, into: Float64Array): void {
    const cx = Math.min(this.width - 1.001, Math.max(0, x - 0.5));
    const cy = Math.min(this.height - 1.001, Math.max(0, y - 0.5));
    const ix = Math.floor(cx);
    const iy = Math.floor(cy);
    const fx = cx - ix;
    const fy = cy - iy;
    const p = (iy * this.width + ix) * 3;
    const down = this.width * 3;
    for (let c = 0; c < 3; c++) {
      const a = this.lab[p + c]! * (1 - fx) + this.lab[p + 3 + c]! * fx;
      const b = this.lab[p + down + c]! * (1 - fx) + this.lab[p + down + 3 + c]! * fx;
      into[c] = a * (1 - fy) + b * fy;
    }
  }
}
