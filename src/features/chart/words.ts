import { ATMOSPHERE, CONE, GROUND, type Names } from '@/core/axes';
import { signOf } from '@/core/signs';
import { describeStanding } from '@/core/standing';
import { count, formatLength, type Units } from '@/core/units';
import type { Position } from './board';

/** For axes whose words name nothing that is kept by slug. */
const PLAIN: Names = { body: (slug) => slug, coating: (slug) => slug };

export type Place = { body: string; ground: string; cone: string; atmosphere: string };

/** "Tarn over Pitch", "Pitch by itself". */
export const pairWords = (base: string, over: string | null): string =>
  over === null ? `${base} by itself` : `${over} over ${base}`;

/** "bare body", "Chalk Slip v2": a ground's slips as people say them. */
export const groundWords = (slips: string, name: (slug: string) => string): string =>
  GROUND.words(slips, { coating: name, body: name });

/** "Peat, cone 6, oxidation". */
export const placeWords = (place: Place): string =>
  `${place.body}${place.ground === 'bare body' ? '' : ` under ${place.ground}`}, ${CONE.words(place.cone, PLAIN)}, ${ATMOSPHERE.words(place.atmosphere, PLAIN)}`;

/** A cell for those who hear it: the pair, where, its standing, its faults, how far it runs. */
export function cellWords(pair: string, place: Place, position: Position | undefined, units: Units): string {
  if (position === undefined) return `${pair} on ${placeWords(place)}: untried`;
  const { main } = position;
  const signs = main.signs.map((sign) => signOf(sign.sign)?.name.toLowerCase() ?? sign.sign);
  const parts = [
    describeStanding(main.standing),
    main.known.read === undefined && main.known['by log'] !== undefined ? 'cone by its log' : null,
    ...main.later.map(({ sign }) => `${signOf(sign)?.name.toLowerCase() ?? sign} came later`),
    `${count(main.pieces, 'piece')}`,
    // In the order in which it is read in the cell.
    main.photo === null ? `${main.surface ?? 'seen'}, no picture` : main.surface,
    main.refired ? 'after a refire' : null,
    ...signs,
    main.movementMm ? `ran ${formatLength(main.movementMm, units)}` : null,
    position.ways > 1 ? `${position.ways} ways` : null,
  ];
  return `${pair} on ${placeWords(place)}: ${parts.filter(Boolean).join(', ')}`;
}
