/** How sharp a framed face is in its picture. */
import type { Shape } from '../frame';
import type { Raster } from './field';

/** A little of the ground is looked at too: an even face has no edges but its own. */
const BESIDE = 0.04;
/** A face this many pixels high shows all there is to see; a smaller one as much less. */
const WHOLE = 500;
/** Every so many lines are enough. */
const LINES = 2;

const LUMA = [0.2126, 0.7152, 0.0722] as const;

/**
 * Between 0 and about 1: the steepest steps from pixel to pixel in and around the face against the largest
 * differences in it, so that light and contrast of the picture do not matter, less where the face is small.
 * For telling pictures of one piece apart, not for judging one by itself. 0 where there is nothing to see.
 * O(pixels of the face).
 */
export function sharpnessOf({ width, height, channels, data }: Raster, shape: Shape): number {
  const spots =
    shape.kind === 'corners'
      ? shape.corners
      : [
          { x: shape.centre.x - shape.across, y: shape.centre.y - (shape.across * width) / height },
          { x: shape.centre.x + shape.across, y: shape.centre.y + (shape.across * width) / height },
        ];
  const span = (values: readonly number[], size: number): [number, number] => {
    const [low, high] = [Math.min(...values), Math.max(...values)];
    const beside = BESIDE * (high - low);
    return [
      Math.max(0, Math.floor((low - beside) * size)),
      Math.min(size - 2, Math.ceil((high + beside) * size)),
    ];
  };
  const [left, right] = span(
    spots.map(({ x }) => x),
    width,
  );
  const [top, bottom] = span(
    spots.map(({ y }) => y),
    height,
  );
  if (right <= left || bottom <= top) return 0;
  const luma = (x: number, y: number): number => {
    const p = (y * width + x) * channels;
    return LUMA[0] * data[p]! + LUMA[1] * data[p + 1]! + LUMA[2] * data[p + 2]!;
  };
  const lights = new Uint32Array(256);
  const steps = new Uint32Array(256);
  let count = 0;
  for (let y = top; y <= bottom; y += LINES)
    for (let x = left; x <= right; x++) {
      const here = luma(x, y);
      lights[here | 0]!++;
      steps[Math.max(Math.abs(luma(x + 1, y) - here), Math.abs(luma(x, y + 1) - here)) | 0]!++;
      count++;
    }
  const below = (counts: Uint32Array, share: number): number => {
    let passed = 0;
    return counts.findIndex((n) => (passed += n) >= share * count);
  };
  const contrast = below(lights, 0.98) - below(lights, 0.02);
  if (contrast < 4) return 0;
  return (below(steps, 0.995) / contrast) * Math.min(1, (bottom - top) / WHOLE);
}
