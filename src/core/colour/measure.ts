/** What colours a zone has, from the light of many spots of it. */
import { kmeans } from 'ml-kmeans';
import { deltaE } from './difference';
import { labOfLinear, linearOfOklab, oklabOfLinear, type Lab, type Linear } from './spaces';

/** Raised when what is measured would come out otherwise: everything of a lower version can be measured again. */
export const COLOUR_METHOD = 1;

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
const DIVIDED = 1500;
/** Colours nearer to each other than this are one, in OKLab (about 4 ΔE₀₀). */
const ONE = 0.045;
/** A colour that takes less than this is no part of it. */
const LEAST_SHARE = 0.04;

const middle = (values: Float64Array): number => {
  const sorted = Float64Array.from(values).sort();
  const half = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2;
};

/**
 * Spots where a lamp is mirrored: much lighter than the zone, and paler or as pale, as light is that never went into the
 * glaze. Answers those that remain; a zone that is light and dark by itself keeps its light parts when they are common.
 */
function withoutGlare(oklab: readonly Lab[]): Lab[] {
  const lights = Float64Array.from(oklab, ([l]) => l).sort();
  const at = (share: number): number => lights[Math.floor(share * (lights.length - 1))]!;
  const limit = at(0.5) + Math.max(0.06, 3 * (at(0.5) - at(0.16)));
  const kept = oklab.filter(([l]) => l <= limit);
  return kept.length > oklab.length * 0.6 ? kept : [...oklab];
}

const distance = (one: Lab, other: Lab): number =>
  Math.hypot(one[0] - other[0], one[1] - other[1], one[2] - other[2]);

function parts(spots: readonly Lab[]): { lab: Lab; share: number }[] {
  const step = Math.max(1, Math.floor(spots.length / DIVIDED));
  const some = spots.filter((_, i) => i % step === 0);
  let best: Lab[] = [];
  for (let k = Math.min(4, some.length); k >= 2; k--) {
    const { centroids } = kmeans(some.map((one) => [...one]), k, { seed: 7, initialization: 'kmeans++', maxIterations: 40 }); // prettier-ignore
    const list = centroids.map(([l, a, b]): Lab => [l!, a!, b!]);
    const apart = list.every((one, i) => list.every((other, j) => j <= i || distance(one, other) >= ONE)); // prettier-ignore
    if (!apart) continue;
    best = list;
    break;
  }
  if (best.length === 0) return [];
  const counts = best.map(() => 0);
  for (const spot of spots) {
    let nearest = 0;
    for (let i = 1; i < best.length; i++)
      if (distance(spot, best[i]!) < distance(spot, best[nearest]!)) nearest = i;
    counts[nearest]!++;
  }
  return best
    .map((lab, i) => ({ lab: labOfLinear(linearOfOklab(lab)), share: counts[i]! / spots.length }))
    .filter(({ share }) => share >= LEAST_SHARE)
    .sort((a, b) => b.share - a.share);
}

/**
 * The colours of a zone from corrected, linear light of its spots (0 to 1). Null when there are too few spots, or nearly
 * all of them mirrored a lamp.
 */
export function coloursOf(spots: readonly Linear[]): ZoneColour | null {
  if (spots.length < FEWEST) return null;
  const oklab = spots.map(oklabOfLinear);
  const kept = withoutGlare(oklab);
  const mid = [0, 1, 2].map((c) => middle(Float64Array.from(kept, (one) => one[c]!)));
  const lab = labOfLinear(linearOfOklab([mid[0]!, mid[1]!, mid[2]!]));
  const step = Math.max(1, Math.floor(kept.length / 400));
  const some = kept.filter((_, i) => i % step === 0);
  const variegation =
    some.reduce((sum, one) => sum + deltaE(labOfLinear(linearOfOklab(one)), lab), 0) / some.length;
  const divided = parts(kept);
  return {
    lab,
    parts: divided.length > 1 ? divided : [{ lab, share: 1 }],
    variegation,
    glare: 1 - kept.length / spots.length,
    spots: spots.length,
  };
}
