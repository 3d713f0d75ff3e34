/** What lies on the ground: the connected parts of a picture that are not ground. */
import { Mask, fromMask } from 'image-js';
import type { Field } from './field';
import type { Ground } from './ground';

export type Point = { x: number; y: number };

export type Region = {
  /** Pixels, its holes filled. */
  area: number;
  /** Corners of its convex hull, in pixels. */
  hull: Point[];
  /** Touches the edge of the picture. */
  cut: boolean;
  left: number;
  top: number;
  width: number;
  height: number;
  mask: (x: number, y: number) => boolean;
};

/** A pixel this far from the ground is none, whatever its grain (OKLab; about 3 ΔE₀₀). */
const LEAST = 0.024;
/** A step between neighbours this large is an edge, though both sides may be near the ground's colour. */
const LEAST_STEP = 0.012;

/** How far each pixel is from the ground. Colour counts more than lightness: a shade is only darker. */
export function offGround(field: Field, ground: Ground): Float32Array {
  const { width, height, lab } = field;
  const out = new Float32Array(width * height);
  const at = new Float64Array(3);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const i = y * width + x;
      ground.at(x + 0.5, y + 0.5, at);
      const dl = lab[3 * i]! - at[0]!;
      const da = 1.5 * (lab[3 * i + 1]! - at[1]!);
      const db = 1.5 * (lab[3 * i + 2]! - at[2]!);
      out[i] = Math.sqrt(dl * dl + da * da + db * db);
    }
  return out;
}

/** The parts that are not ground, largest first; parts of less than a share of the picture are dust. */
export function regionsOf(
  field: Field,
  distance: Float32Array,
  ground: Ground,
  leastShare = 0.0008,
): Region[] {
  const { width, height } = field;
  const limit = Math.max(LEAST, 4 * ground.grain);
  const data = Uint8Array.from(distance, (d) => (d > limit ? 1 : 0));
  const steps = stepsOf(field);
  const some = steps.filter((_, i) => i % 23 === 0).sort();
  const usual = some[some.length >> 1]!;
  const edge = Math.max(LEAST_STEP, 4 * usual);
  for (let i = 0; i < data.length; i++) if (steps[i]! > edge) data[i] = 1;
  return connected(width, height, data, leastShare * width * height);
}

/** How sharply the colour changes at each pixel: the mean of three neighbours on either side, across and down. */
export function stepsOf({ width, height, lab }: Field): Float32Array {
  const out = new Float32Array(width * height);
  const row = 3 * width;
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const p = 3 * (y * width + x);
      let sum = 0;
      for (let c = 0; c < 3; c++) {
        const k = p + c;
        const across =
          lab[k + 3 - row]! + lab[k + 3]! + lab[k + 3 + row]! - lab[k - 3 - row]! - lab[k - 3]! - lab[k - 3 + row]!; // prettier-ignore
        const down =
          lab[k + row - 3]! + lab[k + row]! + lab[k + row + 3]! - lab[k - row - 3]! - lab[k - row]! - lab[k - row + 3]!; // prettier-ignore
        const weight = c === 0 ? 1 : 1.5;
        sum += weight * weight * (across * across + down * down);
      }
      out[y * width + x] = Math.sqrt(sum) / 6;
    }
  return out;
}

/** Connected parts of a mask of ones, without what is thinner than three pixels, holes filled. */
export function connected(
  width: number,
  height: number,
  data: Uint8Array,
  least: number,
  most = Infinity,
): Region[] {
  // prettier-ignore
  const cross = [[0, 1, 0], [1, 1, 1], [0, 1, 0]]; // prettier-ignore
  const mask = new Mask(width, height, { data }).open({ kernel: cross });
  const rois = fromMask(mask).getRois({
    minSurface: Math.max(8, least),
    maxSurface: most,
    kind: 'white',
  });
  return rois
    .map((roi): Region => {
      const { column: left, row: top } = roi.origin;
      const filled = roi.getMask({ solidFill: true });
      let area = 0;
      for (let i = 0; i < filled.size; i++) area += filled.getBitByIndex(i);
      return {
        area,
        hull: filled.getConvexHull().points.map(({ column, row }) => ({ x: left + column, y: top + row })), // prettier-ignore
        cut: left <= 1 || top <= 1 || left + roi.width >= width - 1 || top + roi.height >= height - 1, // prettier-ignore
        left,
        top,
        width: roi.width,
        height: roi.height,
        mask: (x, y) =>
          x >= left && y >= top && x < left + roi.width && y < top + roi.height &&
          filled.getBit(x - left, y - top) === 1, // prettier-ignore
      };
    })
    .sort((a, b) => b.area - a.area);
}
