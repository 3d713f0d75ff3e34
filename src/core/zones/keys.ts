import { inSector, sectorMiddle, sectorOverlap, sectorWidth } from './region';
import type { Coat, Face, StackEntry, Zone } from './types';

const coatKey = (coat: Coat): string => `${coat.slug}#${coat.version}`;

/** The key of a spot with no coat but its ground. */
export const BARE = 'bare';

/**
 * Canonical text of a stack, first coat first: "pitch#1 dip×1 + tarn#2 dip×2".
 * Equal stacks have equal keys; it can be read in a log.
 */
export function stackKey(stack: readonly StackEntry[]): string {
  if (stack.length === 0) return BARE;
  return stack.map((entry) => `${coatKey(entry.coat)} ${entry.amount}`).join(' + ');
}

/** One coat of a stack as its key names it. */
/** What lies there, first on first, without its amounts: "pitch+tarn". */
export const plainStack = (stack: readonly { coat: { slug: string } }[]): string =>
  stack.map(({ coat }) => coat.slug).join('+');

export type KeyedCoat = { slug: string; version: number; amount: string };

/** The coats that a stack key names, first coat first; none for bare ground. */
export function coatsOfKey(key: string): KeyedCoat[] {
  if (key === BARE) return [];
  return key.split(' + ').map((part) => {
    const [coat = '', ...amount] = part.split(' ');
    const [slug = '', version] = coat.split('#');
    return { slug, version: Number(version), amount: amount.join(' ') };
  });
}

/** Slips of a ground: "" for bare body, "chalk-slip#1", or "light slip" when nobody knows which. */
export function slipKey(face: Pick<Face, 'kind' | 'slip'>, ground: readonly Coat[]): string {
  const known = ground.map(coatKey);
  if (face.slip === null && (face.kind === 'light-slip' || face.kind === 'dark-slip')) {
    known.unshift(face.kind === 'light-slip' ? 'light slip' : 'dark slip');
  }
  return known.join(' + ');
}

/** Body and slips beneath the stack: "peat" or "peat / chalk-slip#1". */
export function groundKey(body: string, slips: string): string {
  return slips === '' ? body : `${body} / ${slips}`;
}

/** One text for a zone's place on a piece, so that an observation can name it. */
export function zoneKey(zone: Pick<Zone, 'face' | 'stretch' | 'sector' | 'relief'>): string {
  const thousandths = (value: number): number => Math.round(value * 1000);
  return [
    zone.face,
    `${thousandths(zone.stretch.from)}-${thousandths(zone.stretch.to)}`,
    `${thousandths(zone.sector.from)}-${thousandths(zone.sector.to)}`,
    zone.relief,
  ].join('|');
}

/** The place that a zone key names; null when the text is not one. */
export function parseZoneKey(key: string): Pick<Zone, 'face' | 'stretch' | 'sector' | 'relief'> | null {
  const match = /^(\d+)\|(\d+)-(\d+)\|(\d+)-(\d+)\|(.+)$/.exec(key);
  if (!match) return null;
  const [, face, from, to, start, end, relief] = match as unknown as string[];
  return {
    face: Number(face),
    stretch: { from: Number(from) / 1000, to: Number(to) / 1000 },
    sector: { from: Number(start) / 1000, to: Number(end) / 1000 },
    relief: relief as string,
  };
}

/**
 * The order in which parts of a piece are told, by their keys: all of it first (null), then side by side,
 * each from its rim down.
 */
export function compareZones(a: string | null, b: string | null): number {
  const [one, other] = [a, b].map((key) => (key === null ? null : parseZoneKey(key)));
  return (
    (one?.face ?? 0) - (other?.face ?? 0) ||
    (other?.stretch.from ?? 0) - (one?.stretch.from ?? 0) ||
    (one?.sector.from ?? 0) - (other?.sector.from ?? 0)
  );
}

/**
 * Does an observation made at `place` speak for `zone`? It does when the zone's middle lies in it, so
 * that observations survive a later correction of the layers; round the piece also when half of the
 * zone does, so that a look at one side of what passes the front speaks for all of it.
 */
export function speaksFor(
  place: Pick<Zone, 'face' | 'stretch' | 'sector' | 'relief'>,
  zone: Pick<Zone, 'face' | 'stretch' | 'sector' | 'relief'>,
): boolean {
  const height = (zone.stretch.from + zone.stretch.to) / 2;
  const parts = (relief: string): string[] => relief.split('+');
  const round =
    inSector(sectorMiddle(zone.sector), place.sector) ||
    sectorOverlap(place.sector, zone.sector) >= sectorWidth(zone.sector) / 2 - 1e-3;
  return (
    place.face === zone.face &&
    height >= place.stretch.from &&
    height <= place.stretch.to &&
    round &&
    (place.relief === 'all' ||
      zone.relief === 'all' ||
      parts(zone.relief).every((part) => parts(place.relief).includes(part)))
  );
}
