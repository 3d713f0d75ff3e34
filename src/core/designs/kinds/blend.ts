/** Tiles of a blend: one for each of its points, each a mix of its corners by weight. */
import type { BlendPoint } from '../blends';
import type { Bench, Draft } from './design';

/** Blends keep to a mix by weight; a share is named to the nearest tenth of a percent. */
const share = (value: number): string => `${Number((value * 100).toFixed(1))} %`;

/** Throws a RangeError when two corners are the same. */
export function blend(
  points: readonly BlendPoint[],
  corners: readonly string[],
  { layer, draft }: Bench,
): Draft[] {
  if (new Set(corners).size !== corners.length)
    throw new RangeError('Two corners are the same: choose different ones.');
  return points.map((point) => {
    const parts = corners.flatMap((corner, i) => {
      const weight = point.weights[i] as number;
      return weight > 0 ? [[corner, weight] as const] : [];
    });
    return draft(
      point.column,
      parts.map(([corner, weight]) => `${share(weight)} ${corner}`).join(' + '),
      Object.fromEntries(corners.map((corner, i) => [corner, share(point.weights[i] as number)])),
      [layer(null)],
      {
        row: point.row,
        mix: { shares: Object.fromEntries(parts), additions: {} },
        control: parts.length === 1,
      },
    );
  });
}

/** A corner is weighed once, a cup poured for each tile: minutes (common practice, no source). */
export const pouring = (corners: readonly string[], tiles: number): number =>
  15 * corners.length + 1.5 * tiles;
