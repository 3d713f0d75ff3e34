import { formatCone } from '@/core/cones';
import { signOf } from '@/core/signs';
import { describeStanding } from '@/core/standing';
import { formatLength, type Units } from '@/core/units';
import type { Position } from './board';

export type Place = { body: string; ground: string; cone: string; atmosphere: string };

/** "Tarn over Pitch", "Pitch by itself". */
export const pairWords = (base: string, over: string | null): string =>
  over === null ? `${base} by itself` : `${over} over ${base}`;

/** "bare", "over Chalk Slip": a ground's slips as people say them. */
export function groundWords(slips: string, name: (slug: string) => string): string {
  if (slips === '') return 'bare body';
  return slips
    .split(' + ')
    .map((slip) => {
      const [slug, version] = slip.split('#');
      return version === undefined
        ? slip
        : `${name(slug as string)}${version === '1' ? '' : ` v${version}`}`;
    })
    .join(' and ');
}

/** "Peat, cone 6, oxidation". */
export const placeWords = (place: Place): string =>
  `${place.body}${place.ground === 'bare body' ? '' : ` under ${place.ground}`}, ${place.cone === 'unknown' ? 'cone unknown' : `cone ${formatCone(place.cone)}`}, ${place.atmosphere === 'unknown' ? 'atmosphere unknown' : place.atmosphere}`;

/** A cell for those who hear it: the pair, where, its standing, its faults, how far it runs. */
export function cellWords(
  pair: string,
  place: Place,
  position: Position | undefined,
  units: Units,
): string {
  if (position === undefined) return `${pair} on ${placeWords(place)}: untried`;
  const { main } = position;
  const signs = main.signs.map((sign) => signOf(sign.sign)?.name.toLowerCase() ?? sign.sign);
  const parts = [
    describeStanding(main.standing),
    `${main.pieces} ${main.pieces === 1 ? 'piece' : 'pieces'}`,
    main.photo === null ? `${main.surface ?? 'seen'}, no picture` : main.surface,
    ...signs,
    main.movementMm ? `ran ${formatLength(main.movementMm, units)}` : null,
    position.ways > 1 ? `${position.ways} ways` : null,
  ];
  return `${pair} on ${placeWords(place)}: ${parts.filter(Boolean).join(', ')}`;
}
