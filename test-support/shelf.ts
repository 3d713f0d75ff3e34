import type { Footprint } from '../src/core/load';

/** A round foot of this width. */
export const disc = (widthMm: number, heightMm = 90): Footprint => ({
  round: true,
  widthMm,
  depthMm: widthMm,
  heightMm,
});
