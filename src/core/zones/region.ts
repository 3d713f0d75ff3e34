import type { Face, Region, Relief, Sector, Stretch } from './types';
import { ROUND, WHOLE } from './types';

/** An end of a stretch as a person gives it. */
export type Mark = { value: number; unit: 'fraction' | 'mm'; from: 'foot' | 'rim' };

export type StretchResult = { ok: true; stretch: Stretch } | { ok: false; message: string };

/**
 * Turns two marks into fractions of a face `lengthMm` long (needed only for marks in mm).
 * Refuses marks beyond rim or foot and stretches without any length.
 */
export function resolveStretch(a: Mark, b: Mark, lengthMm: number | null): StretchResult {
  const ends: number[] = [];
  for (const mark of [a, b]) {
    if (!Number.isFinite(mark.value) || mark.value < 0) {
      return { ok: false, message: 'A stretch is measured upwards from 0.' };
    }
    let fraction = mark.value;
    if (mark.unit === 'mm') {
      if (lengthMm === null || lengthMm <= 0) {
        return {
          ok: false,
          message: 'To give a stretch in length, give the height of the piece first.',
        };
      }
      fraction = mark.value / lengthMm;
      if (fraction > 1 + 1e-9) {
        return {
          ok: false,
          message: `${mark.value} mm from the ${mark.from} is beyond the ${mark.from === 'foot' ? 'rim' : 'foot'}: the face is ${lengthMm} mm long.`,
        };
      }
    } else if (fraction > 1 + 1e-9) {
      return {
        ok: false,
        message: `${fraction} of the face is beyond the ${mark.from === 'foot' ? 'rim' : 'foot'}; the whole face is 1.`,
      };
    }
    ends.push(Math.min(1, mark.from === 'foot' ? fraction : 1 - fraction));
  }
  const [from, to] = [Math.min(...ends), Math.max(...ends)];
  if (to - from < 1e-6) return { ok: false, message: 'The stretch begins where it ends.' };
  return { ok: true, stretch: { from, to } };
}

export const EVERYWHERE: Region = { face: null, stretch: WHOLE, sector: ROUND, relief: 'all' };

/** Stretches people name. */
export const NAMED_STRETCHES: readonly { name: string; stretch: Stretch }[] = [
  { name: 'foot to rim', stretch: WHOLE },
  { name: 'lower third', stretch: { from: 0, to: 1 / 3 } },
  { name: 'lower half', stretch: { from: 0, to: 1 / 2 } },
  { name: 'lower two thirds', stretch: { from: 0, to: 2 / 3 } },
  { name: 'middle third', stretch: { from: 1 / 3, to: 2 / 3 } },
  { name: 'upper two thirds', stretch: { from: 1 / 3, to: 1 } },
  { name: 'upper half', stretch: { from: 1 / 2, to: 1 } },
  { name: 'upper third', stretch: { from: 2 / 3, to: 1 } },
];

export const NAMED_SECTORS: readonly { name: string; sector: Sector }[] = [
  { name: 'all round', sector: ROUND },
  { name: 'front half', sector: { from: 0.75, to: 0.25 } },
  { name: 'back half', sector: { from: 0.25, to: 0.75 } },
  { name: 'left half', sector: { from: 0.5, to: 1 } },
  { name: 'right half', sector: { from: 0, to: 0.5 } },
  { name: 'first quarter', sector: { from: 0, to: 0.25 } },
];

const near = (a: number, b: number): boolean => Math.abs(a - b) < 0.005;

const percent = (fraction: number): string => `${Math.round(fraction * 100)}`;

/** "lower two thirds", or "10–35 % up" when it has no name. */
export function describeStretch(stretch: Stretch): string {
  const named = NAMED_STRETCHES.find(
    (entry) => near(entry.stretch.from, stretch.from) && near(entry.stretch.to, stretch.to),
  );
  return named?.name ?? `${percent(stretch.from)}–${percent(stretch.to)} % up`;
}

/** "front half", or the turn in degrees. */
export function describeSector(sector: Sector): string {
  const named = NAMED_SECTORS.find(
    (entry) => near(entry.sector.from, sector.from) && near(entry.sector.to, sector.to),
  );
  return named?.name ?? `${Math.round(sector.from * 360)}–${Math.round(sector.to * 360)}°`;
}

/** The whole region in a few words: "lower half, front half, in the hollows". */
export function describeRegion(region: Pick<Region, 'stretch' | 'sector'> & { relief: string }): string {
  const words = [describeStretch(region.stretch)];
  if (!isRound(region.sector)) words.push(describeSector(region.sector));
  if (region.relief !== 'all') words.push(describeRelief(region.relief));
  return words.join(', ');
}

/** "in the hollows", "on the raised parts", "on the fish". */
export function describeRelief(relief: Relief | string): string {
  return relief
    .split('+')
    .map((part) => {
      if (part === 'hollows') return 'in the hollows';
      if (part === 'raised') return 'on the raised parts';
      if (part === 'flat') return 'on the plain parts';
      if (part.startsWith('motif:')) return `on the ${part.slice(6)}`;
      return part;
    })
    .join(' and ');
}

export const isRound = (sector: Sector): boolean => near(sector.from, 0) && near(sector.to, 1);

/** Does the sector hold this turn (0 ≤ turn < 1)? */
export function inSector(turn: number, sector: Sector): boolean {
  return sector.from < sector.to
    ? turn >= sector.from && turn < sector.to
    : turn >= sector.from || turn < sector.to;
}

/** How much of the way round a sector takes, 0 … 1. */
export const sectorWidth = ({ from, to }: Sector): number => (from < to ? to - from : 1 - from + to);

/** The middle of a sector, as a turn 0 … 1. */
export const sectorMiddle = (sector: Sector): number => (sector.from + sectorWidth(sector) / 2) % 1;

/** A sector as stretches of turns that do not pass the front: one or two. */
export const sectorParts = ({ from, to }: Sector): Sector[] =>
  from < to
    ? [{ from, to }]
    : [
        { from, to: 1 },
        { from: 0, to },
      ].filter((part) => part.to - part.from > 1e-9);

/** How much of the way round two sectors share, 0 … 1. */
export const sectorOverlap = (a: Sector, b: Sector): number =>
  sectorParts(a)
    .flatMap((one) => sectorParts(b).map((two) => ({ one, two })))
    .reduce(
      (sum, { one, two }) => sum + Math.max(0, Math.min(one.to, two.to) - Math.max(one.from, two.from)),
      0,
    );

/**
 * Does a layer lie on a face? One put on "every face" does not lie on the foot of a pot: that is wiped
 * before it goes into the kiln (common practice, no source); a glazed foot is said of the foot itself.
 */
export const liesOn = (region: Pick<Region, 'face'>, face: Pick<Face, 'no' | 'surface'>): boolean =>
  region.face === face.no || (region.face === null && face.surface !== 'foot');

/**
 * Does it come down to what stands on the shelf? An inside ends in the bottom of the pot, a lid on its
 * gallery.
 */
export function reachesShelf(
  faces: readonly Pick<Face, 'no' | 'surface'>[],
  region: Pick<Region, 'face' | 'stretch'>,
): boolean {
  return faces.some((face) => {
    if (!liesOn(region, face)) return false;
    if (face.surface === 'foot') return true;
    return (face.surface == null || face.surface === 'outside') && region.stretch.from < 0.02;
  });
}
