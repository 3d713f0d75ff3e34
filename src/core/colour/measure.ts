/** What colours a zone has, from the light of many spots of it. */
import { kmeans } from 'ml-kmeans';
import { deltaE } from './difference';
import { intoOklab, labOfLinear, linearOfOklab, type Lab, type Linear } from './spaces';

/**
 * Raised when what is measured would come out otherwise: everything of a lower version can be measured again.
 */
export const COLOUR_METHOD = 2;

export type ZoneColour = {
  /** The middle colour, each coordinate for itself. */
  lab: Lab;
  /** Two to four colours it is made of, the largest share first; one where it is even. */
  parts: { lab: Lab; share: number }[];
  /** How far spots lie from the middle colour, ΔE₀₀, on average. */
  variegation: number;
  /** Share of the spots left out because a light was mirrored in them. */
  glare: number;
  spots: number;
};

/** Fewer spots than this say nothing. */
const FEWEST = 40;
/** Spots that the division into colours is made from; the shares are of all. */
const DIVIDED = 300;
/** Colours nearer to each other than this are one, in OKLab (about 4 ΔE₀₀). */
const ONE = 0.045;
/** A colour that takes less than this is no part of it. */
const LEAST_SHARE = 0.04;

/** One of the three coordinates of every spot. */
const coordinate = (spots: Float32Array, c: number): Float32Array => {
  const values = new Float32Array(spots.length / 3);
  for (let i = 0; i < values.length; i++) values[i] = spots[3 * i + c]!;
  return values;
};

const middle = (values: Float32Array): number => {
  const sorted = values.slice().sort();
  const half = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2;
};

/**
 * Spots where a lamp is mirrored: much lighter than the zone, and paler or as pale, as light is that never
 * went into the glaze. Answers those that remain; a zone that is light and dark by itself keeps its light
 * parts when they are common.
 */
function withoutGlare(oklab: Float32Array): Float32Array {
  const lights = coordinate(oklab, 0).sort();
  const at = (share: number): number => lights[Math.floor(share * (lights.length - 1))]!;
  const limit = at(0.5) + Math.max(0.06, 3 * (at(0.5) - at(0.16)));
  const kept = new Float32Array(oklab.length);
  let count = 0;
  for (let i = 0; i < oklab.length; i += 3) {
    if (oklab[i]! > limit) continue;
    kept.set(oklab.subarray(i, i + 3), count);
    count += 3;
  }
  return count > oklab.length * 0.6 ? kept.subarray(0, count) : oklab;
}

const { sqrt } = Math;

/** From a spot to a colour, in OKLab. */
const distance = (spots: Float32Array, i: number, [l, a, b]: Lab): number =>
  // Many thousand times a zone: Math.hypot, careful with huge numbers, takes several times as long.
  sqrt((spots[i]! - l) ** 2 + (spots[i + 1]! - a) ** 2 + (spots[i + 2]! - b) ** 2);

const labAt = (spots: Float32Array, i: number): Lab => [spots[i]!, spots[i + 1]!, spots[i + 2]!];

/** So many of the spots, evenly over the zone. */
function some(spots: Float32Array, most: number): Lab[] {
  const step = Math.max(1, Math.floor(spots.length / 3 / most));
  const list: Lab[] = [];
  for (let i = 0; i < spots.length; i += 3 * step) list.push(labAt(spots, i));
  return list;
}

/** Two to four colours that lie apart, in OKLab; none where there are not even two. */
function centres(spots: readonly Lab[]): Lab[] {
  for (let k = Math.min(4, spots.length); k >= 2; k--) {
    const { centroids } = kmeans(
      spots.map((one) => [...one]),
      k,
      { seed: 7, initialization: 'kmeans++', maxIterations: 40 },
    );
    const found = Float32Array.from(centroids.flat());
    const list = centroids.map((_, i) => labAt(found, 3 * i));
    const apart = list.every((one, i) => list.every((_, j) => j <= i || distance(found, 3 * j, one) >= ONE));
    if (apart) return list;
  }
  return [];
}

function parts(spots: Float32Array, mid: Lab): { lab: Lab; share: number }[] {
  const count = spots.length / 3;
  // Where hardly a spot lies off the middle there is nothing to divide.
  let off = 0;
  for (let i = 0; i < spots.length; i += 3) if (distance(spots, i, mid) > ONE / 2) off++;
  if (off < LEAST_SHARE * count) return [];
  const best = centres(some(spots, DIVIDED));
  const counts = best.map(() => 0);
  if (best.length > 0)
    for (let i = 0; i < spots.length; i += 3) {
      let nearest = 0;
      let least = Infinity;
      best.forEach((one, k) => {
        const far = distance(spots, i, one);
        if (far < least) [nearest, least] = [k, far];
      });
      counts[nearest]!++;
    }
  return best
    .map((lab, i) => ({ lab: labOfLinear(linearOfOklab(lab)), share: counts[i]! / count }))
    .filter(({ share }) => share >= LEAST_SHARE)
    .sort((a, b) => b.share - a.share);
}

/** Spots that the scatter is told from. */
const SCATTERED = 200;

/**
 * The colours of a zone from corrected, linear light of its spots (0 to 1). Null when there are too few
 * spots, or nearly all of them mirrored a lamp. O(n log n).
 */
export function coloursOf(spots: readonly Linear[]): ZoneColour | null {
  if (spots.length < FEWEST) return null;
  const oklab = new Float32Array(3 * spots.length);
  spots.forEach(([r, g, b], i) => intoOklab(r, g, b, oklab, 3 * i));
  const kept = withoutGlare(oklab);
  const mid: Lab = [middle(coordinate(kept, 0)), middle(coordinate(kept, 1)), middle(coordinate(kept, 2))];
  const lab = labOfLinear(linearOfOklab(mid));
  const off = some(kept, SCATTERED).map((one) => deltaE(labOfLinear(linearOfOklab(one)), lab));
  const divided = parts(kept, mid);
  return {
    lab,
    parts: divided.length > 1 ? divided : [{ lab, share: 1 }],
    variegation: off.reduce((sum, one) => sum + one, 0) / off.length,
    glare: 1 - kept.length / oklab.length,
    spots: spots.length,
  };
}
