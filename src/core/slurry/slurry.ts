/** Density of dry glaze mix taken when nothing better is known, g/cm³ (common practice, no source). */
export const DRY_DENSITY = 2.6;

/** Specific gravities outside these are almost surely a slip of the pen (common practice, no source). */
export const SG_RANGE = { low: 1, high: 2.2 };

/** Why an SG cannot be reckoned with, in words; null when it can. */
export function sgProblem(sg: number): string | null {
  if (!Number.isFinite(sg)) return 'Give a specific gravity, such as 1.45.';
  if (sg >= 1000 && sg <= 2200) return `${sg}? As grams a litre that is SG ${sg / 1000}.`;
  if (sg < SG_RANGE.low) return 'Lighter than water: weigh again, with the same volume full.';
  if (sg > SG_RANGE.high) return 'Heavier than any glaze slurry: weigh again, empty jug deducted.';
  return null;
}

function checkSg(sg: number): void {
  const problem = sgProblem(sg);
  if (problem !== null) throw new RangeError(problem);
}

/**
 * Dry solids in a litre of slurry, g/l, from its specific gravity and the density of the dry
 * material, g/cm³. Brongniart's formula, as potters' handbooks give it.
 */
export function drySolids(sg: number, density = DRY_DENSITY): number {
  checkSg(sg);
  return ((sg - 1) * 1000 * density) / (density - 1);
}

/** The specific gravity of a slurry that holds so many g/l of dry solids. */
export const sgOf = (gramsPerLitre: number, density = DRY_DENSITY): number =>
  1 + (gramsPerLitre * (density - 1)) / (1000 * density);

/** Density of a dry mix from its materials', g/cm³, by volume; unknown ones count as DRY_DENSITY. */
export function mixDensity(lines: readonly { amount: number; density: number | null }[]): number {
  const mass = lines.reduce((sum, line) => sum + line.amount, 0);
  const volume = lines.reduce((sum, line) => sum + line.amount / (line.density ?? DRY_DENSITY), 0);
  return volume === 0 ? DRY_DENSITY : mass / volume;
}

/** Water in litres to bring a volume from one SG down to another. */
export function waterToThin(litres: number, from: number, to: number): number {
  checkSg(from);
  checkSg(to);
  if (to <= 1) throw new RangeError('Water alone has SG 1: choose something above.');
  if (to > from) throw new RangeError('That is thicker than it is now: dry mix must go in.');
  return (litres * (from - to)) / (to - 1);
}

/** Dry mix in grams to bring a volume from one SG up to another, and the volume it makes. */
export function dryToThicken(
  litres: number,
  from: number,
  to: number,
  density = DRY_DENSITY,
): { grams: number; litres: number } {
  checkSg(from);
  checkSg(to);
  if (to < from) throw new RangeError('That is thinner than it is now: water must go in.');
  if (to >= density) throw new RangeError('No slurry is as heavy as the dry material.');
  // Adding m grams adds m/(1000ρ) litres: (1000·from·V + m)/(1000·V + m/ρ) = to.
  const grams = (1000 * litres * (to - from)) / (1 - to / density);
  return { grams, litres: litres + grams / (1000 * density) };
}

/** Grams of a fresh addition for what is left of a bucket, from percent of the base. */
export function additionForBucket(
  bucket: { litres: number; sg: number; density?: number; additionsIn: number },
  percent: number,
): { dry: number; base: number; grams: number } {
  const dry = bucket.litres * drySolids(bucket.sg, bucket.density);
  const base = (dry * 100) / (100 + bucket.additionsIn);
  return { dry, base, grams: (base * percent) / 100 };
}

/** A round bucket or a square basin, inside measures in mm. */
export type Vessel = { shape: 'round' | 'square'; widthMm: number; depthMm: number };
export type Pot = { widthMm: number; heightMm: number; volumeMl: number };

/**
 * Does this pot go into this bucket, and how full must the bucket be so that the glaze just
 * covers it without running over? Room to turn a hand is kept at the sides and below.
 */
export function dipFits(
  vessel: Vessel,
  pot: Pot,
  roomMm = 15,
): { fits: boolean; why: string | null; needLitres: number; atMostLitres: number } {
  const area = vessel.shape === 'round' ? (Math.PI * vessel.widthMm ** 2) / 4 : vessel.widthMm ** 2;
  const litres = (mm: number): number => (area * mm) / 1e6;
  const potLitres = pot.volumeMl / 1000;
  const cover = pot.heightMm + roomMm;
  const needLitres = Math.max(0, litres(cover) - potLitres);
  const atMostLitres = Math.max(0, litres(vessel.depthMm) - potLitres);
  const why =
    pot.widthMm + 2 * roomMm > vessel.widthMm
      ? `The pot is ${pot.widthMm} mm wide and needs ${roomMm} mm round it; the bucket has ${vessel.widthMm} mm. Pour or dip in halves.`
      : cover > vessel.depthMm
        ? `The pot is ${pot.heightMm} mm high; the bucket is ${vessel.depthMm} mm deep. Dip it in two halves, or pour.`
        : null;
  return { fits: why === null, why, needLitres, atMostLitres };
}

/** Volumes that carry equal dry solids: the water that brings each slurry to the thinnest one's solids. */
export function equaliseSolids(
  slurries: readonly { name: string; litres: number; sg: number; density: number }[],
): { name: string; waterLitres: number; litres: number; gramsPerLitre: number }[] {
  const solids = slurries.map(({ sg, density }) => drySolids(sg, density));
  const least = Math.min(...solids);
  return slurries.map(({ name, litres }, i) => {
    const water = litres * ((solids[i] as number) / least - 1);
    return { name, waterLitres: water, litres: litres + water, gramsPerLitre: least };
  });
}
