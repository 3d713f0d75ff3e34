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
  const { steps, usual } = stepsOf(field);
  const edge = Math.max(LEAST_STEP, 4 * usual);
  const data = new Uint8Array(distance.length);
  for (let i = 0; i < data.length; i++) if (distance[i]! > limit || steps[i]! > edge) data[i] = 1;
  return connected(width, height, data, leastShare * width * height);
}

type Steps = { steps: Float32Array; /** The middle of them. */ usual: number };
const reckoned = new WeakMap<Field, Steps>();

/** How sharply the colour changes at each pixel; reckoned once for a picture. */
export function stepsOf(field: Field): Steps {
  const held = reckoned.get(field);
  if (held !== undefined) return held;
  const steps = stepsIn(field);
  const some = new Float32Array(Math.ceil(steps.length / SOME));
  for (let i = 0; i < some.length; i++) some[i] = steps[SOME * i]!;
  const found = { steps, usual: some.sort()[some.length >> 1]! };
  reckoned.set(field, found);
  return found;
}
/** One in so many tells the middle. */
const SOME = 23;

/** The mean of three neighbours on either side, across and down. */
function stepsIn({ width, height, lab }: Field): Float32Array {
  const out = new Float32Array(width * height);
  const row = 3 * width;
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const p = 3 * (y * width + x);
      let sum = 0;
      for (let c = 0; c < 3; c++) {
        const k = p + c;
        const across =
          lab[k + 3 - row]! +
          lab[k + 3]! +
          lab[k + 3 + row]! -
          lab[k - 3 - row]! -
          lab[k - 3]! -
          lab[k - 3 + row]!;
        const down =
          lab[k + row - 3]! +
          lab[k + row]! +
          lab[k + row + 3]! -
          lab[k - row - 3]! -
          lab[k - row]! -
          lab[k - row + 3]!;
        const weight = c === 0 ? 1 : 1.5;
        sum += weight * weight * (across * across + down * down);
      }
      out[y * width + x] = Math.sqrt(sum) / 6;
    }
  return out;
}

/**
 * A mask without what is thinner than three pixels: worn by a pixel above, below and beside, then grown by as
 * much.
 */
function opened(width: number, height: number, data: Uint8Array): Uint8Array {
  const worn = new Uint8Array(data.length);
  const out = new Uint8Array(data.length);
  for (let y = 1; y < height - 1; y++)
    for (let i = y * width + 1; i < (y + 1) * width - 1; i++)
      worn[i] = data[i]! & data[i - 1]! & data[i + 1]! & data[i - width]! & data[i + width]!;
  for (let y = 1; y < height - 1; y++)
    for (let i = y * width + 1; i < (y + 1) * width - 1; i++)
      out[i] = worn[i]! | worn[i - 1]! | worn[i + 1]! | worn[i - width]! | worn[i + width]!;
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
  const mask = new Mask(width, height, { data: opened(width, height, data) });
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
        hull: filled.getConvexHull().points.map(({ column, row }) => ({ x: left + column, y: top + row })),
        cut: left <= 1 || top <= 1 || left + roi.width >= width - 1 || top + roi.height >= height - 1,
        left,
        top,
        width: roi.width,
        height: roi.height,
        mask: (x, y) =>
          x >= left &&
          y >= top &&
          x < left + roi.width &&
          y < top + roi.height &&
          filled.getBit(x - left, y - top) === 1,
      };
    })
    .sort((a, b) => b.area - a.area);
}
