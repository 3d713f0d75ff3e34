import { compareCones, coneOrdinal, formatCone, nextWholeCone, previousWholeCone } from './cones';

/** A witness cone as it was found: how far its tip has come down, 0° upright to 90° touching. */
export type WitnessCone = { cone: string; place: string; bendDegrees: number };

/**
 * The one measure of how far a cone is bent, in words and drawings: how far its tip has come down, of
 * the 90° at which it touches. Of a firing it is the mean over the places that have cones.
 */
export const bentPercent = (degrees: number): number =>
  Math.round((Math.min(Math.max(degrees, 0), 90) / 90) * 100);

/** That measure, explained where cones are read. */
export const BENT_MEANS =
  'Bent: how far the tip has come down, 100 % when it touches. Of a firing it is the mean of its places.';

/** A tip at or past this angle counts as down. Common practice, no source. */
export const TIP_DOWN_DEGREES = 85;

/**
 * What a set of cones says. `ordinal` is a place on the cone line (see coneOrdinal):
 * the last cone down plus the share of the next one's bend, by the tip and not by work.
 * `bound` says when the cones only fence the truth in from one side.
 */
export type ConeReading = {
  ordinal: number;
  last: string | null;
  next: string | null;
  bend: number;
  bound: 'exact' | 'at least' | 'less than';
  /** A hotter cone is further down than a cooler one: labels swapped, or a bad place. */
  disordered: boolean;
};

/** Reads the cones of one place in the kiln. Null when there are none. */
export function readCones(cones: readonly WitnessCone[]): ConeReading | null {
  if (cones.length === 0) return null;
  const sorted = [...cones].sort((a, b) => compareCones(a.cone, b.cone));
  const disordered = sorted.some(
    (cone, i) => i > 0 && cone.bendDegrees > (sorted[i - 1] as WitnessCone).bendDegrees + 5,
  );
  let last: string | null = null;
  let upright: WitnessCone | null = null;
  for (const cone of sorted) {
    if (cone.bendDegrees >= TIP_DOWN_DEGREES) last = cone.cone;
    else if (upright === null) upright = cone;
  }
  if (upright !== null && last !== null && compareCones(upright.cone, last) < 0) {
    // A cooler cone stands though a hotter is down: believe the hotter, say so.
    upright = sorted.find((cone) => compareCones(cone.cone, last as string) > 0) ?? null;
  }
  if (upright === null) {
    const top = last as string;
    return {
      ordinal: coneOrdinal(top),
      last: top,
      next: null,
      bend: 0,
      bound: 'at least',
      disordered,
    };
  }
  const bend = Math.max(0, upright.bendDegrees) / 90;
  const below = previousWholeCone(upright.cone);
  const foot = below === null ? coneOrdinal(upright.cone) - 1 : coneOrdinal(below);
  // The bend of a whole cone always counts from the whole cone below, whatever half cone was set as well.
  const tip = foot + bend * (coneOrdinal(upright.cone) - foot);
  const ordinal = last === null ? tip : bend === 0 ? coneOrdinal(last) : Math.max(coneOrdinal(last), tip);
  return {
    ordinal,
    last,
    next: upright.cone,
    bend,
    bound: last === null && bend === 0 ? 'less than' : 'exact',
    disordered,
  };
}

/**
 * The place of a small cone or a bar in a mechanical shut-off. It bends under the weight of a rod and by a
 * table of its own (small cones are listed at 300 °C/h, some 10 to 35 °C above large ones at 60; from
 * memory), so it says when the kiln shut off and not what the shelves reached. Common practice, no source.
 */
export const SHUT_OFF = 'shut-off';
export const SHUT_OFF_MEANS =
  'A small cone or a bar in the shut-off bends under its rod and by another table: it says when the kiln shut off, and does not count for what the shelves reached.';

/** What people call that place. */
export const isShutOff = (place: string): boolean => /^(the\s+)?(shut[\s-]?off|sitter)\b/i.test(place.trim());

export type FiringReading = {
  /** Mean over the places that have cones, the shut-off left out. */
  ordinal: number;
  /** Hottest place minus coolest, in cones. */
  spread: number;
  bound: ConeReading['bound'];
  disordered: boolean;
  byPlace: { place: string; reading: ConeReading }[];
};

/** Reads every place of a firing and the firing as a whole; null when no cone was set on a shelf. */
export function readFiring(cones: readonly WitnessCone[]): FiringReading | null {
  const places = new Map<string, WitnessCone[]>();
  for (const cone of cones) {
    const group = places.get(cone.place);
    if (group) group.push(cone);
    else places.set(cone.place, [cone]);
  }
  const byPlace = [...places].map(([place, group]) => ({
    place,
    reading: readCones(group) as ConeReading,
  }));
  const shelves = byPlace.filter(({ place }) => !isShutOff(place));
  if (shelves.length === 0) return null;
  const ordinals = shelves.map(({ reading }) => reading.ordinal);
  const bounds = new Set(shelves.map(({ reading }) => reading.bound));
  return {
    ordinal: ordinals.reduce((sum, value) => sum + value, 0) / ordinals.length,
    spread: Math.max(...ordinals) - Math.min(...ordinals),
    bound: bounds.size === 1 ? ([...bounds][0] as ConeReading['bound']) : 'exact',
    disordered: shelves.some(({ reading }) => reading.disordered),
    byPlace,
  };
}

/** "cone 6, 7 bent 40 %", "at least cone 6", "less than cone 5". */
export function describeReading(reading: ConeReading): string {
  if (reading.bound === 'at least') return `at least cone ${formatCone(reading.last)}`;
  if (reading.bound === 'less than') return `less than cone ${formatCone(reading.next)}`;
  const bend = `${formatCone(reading.next)} bent ${bentPercent(90 * reading.bend)} %`;
  return reading.last === null ? bend : `cone ${formatCone(reading.last)} down, ${bend}`;
}

/** One whole cone below, the target, one above: the cones a pack usually holds. */
export function usualPack(target: string): { cone: string; role: 'guide' | 'target' | 'guard' }[] {
  const pack: { cone: string; role: 'guide' | 'target' | 'guard' }[] = [];
  const [below, above] = [previousWholeCone(target), nextWholeCone(target)];
  if (below !== null) pack.push({ cone: below, role: 'guide' });
  pack.push({ cone: target, role: 'target' });
  if (above !== null) pack.push({ cone: above, role: 'guard' });
  return pack;
}

/** Which shelf a place is on, counted from the bottom; null where its words do not say. */
function shelfOfPlace(place: string, shelves: number): number | null {
  const numbered = /shelf\s*(\d+)/i.exec(place);
  if (numbered !== null) return Number(numbered[1]);
  if (/bottom|lowest|floor/i.test(place)) return 1;
  if (/top|highest/i.test(place)) return shelves;
  return /middle/i.test(place) ? (1 + shelves) / 2 : null;
}

/**
 * The heat that a shelf got, by the cones that stood on it, or on a shelf above and one below it, between
 * which it is taken to fall evenly. Null where the cones do not say.
 * @param shelf counted from the bottom, 1 to `shelves`.
 */
export function reachedAt(cones: readonly WitnessCone[], shelf: number, shelves: number): number | null {
  const known = (readFiring(cones)?.byPlace ?? []).flatMap(({ place, reading }) => {
    const at = isShutOff(place) ? null : shelfOfPlace(place, shelves);
    return at === null ? [] : [{ at, ordinal: reading.ordinal }];
  });
  const mean = (list: readonly { ordinal: number }[]): number =>
    list.reduce((sum, { ordinal }) => sum + ordinal, 0) / list.length;
  const here = known.filter(({ at }) => Math.abs(at - shelf) < 0.5);
  if (here.length > 0) return mean(here);
  const below = known.filter(({ at }) => at < shelf).sort((a, b) => b.at - a.at)[0];
  const above = known.filter(({ at }) => at > shelf).sort((a, b) => a.at - b.at)[0];
  if (below === undefined || above === undefined) return null;
  const part = (shelf - below.at) / (above.at - below.at);
  return below.ordinal + part * (above.ordinal - below.ordinal);
}
