/** What the places say at which somebody pinned a fault: on which stretch, in which coats. */
import { coatsOfKey } from '../zones';
import { count } from '../units';
import { told, type Told } from './told';

/** A pin: how high on its face (0 foot or middle, 1 rim), and in which of the piece’s stacks it lies. */
export type Pin = { height: number; rings: boolean; stackKeys: readonly string[] };

/** One pin is an example, and says nothing of where there is none. */
const ENOUGH = 2;
const RIM = 0.85;
const FOOT = 0.15;
/** On rings the middle is the bottom of the form. */
const BOTTOM = 0.35;

/**
 * Which of a piece’s stacks have a fault: as it was written up, but where it was pinned in several places,
 * those in which a pin lies. A fault that was said of the whole piece is by its pins only there.
 */
export function hasByPins<Z extends { stackKey: string; has: boolean }>(
  zones: readonly Z[],
  pins: readonly Pin[],
): Z[] {
  const pinned = new Set(pins.flatMap(({ stackKeys }) => stackKeys));
  const known = pins.filter(({ stackKeys }) => stackKeys.length > 0);
  if (known.length < ENOUGH || !zones.some(({ stackKey }) => pinned.has(stackKey))) return [...zones];
  return zones.map((zone) => ({ ...zone, has: pinned.has(zone.stackKey) }));
}

const coatings = (stackKey: string): number => new Set(coatsOfKey(stackKey).map(({ slug }) => slug)).size;

/** Where on the piece a fault is by its pins; null where they are few, or say two things at once. */
export function whereByPins(pins: readonly Pin[], zones: readonly { stackKey: string }[]): Told | null {
  if (pins.length < ENOUGH) return null;
  const found: [value: string, words: string][] = [];
  if (pins.every(({ height }) => height > RIM)) found.push(['rim', 'at the rim']);
  if (pins.every(({ height, rings }) => !rings && height < FOOT)) found.push(['foot', 'at the foot']);
  if (pins.every(({ height, rings }) => rings && height < BOTTOM)) found.push(['bottom', 'in the bottom']);
  const over = (key: string): boolean => coatings(key) > 1;
  const beside = zones.some(({ stackKey }) => !over(stackKey));
  if (beside && pins.every(({ stackKeys }) => stackKeys.length > 0 && stackKeys.every(over)))
    found.push(['overlap', 'where coats overlap']);
  const [only] = found;
  return only === undefined || found.length > 1
    ? null
    : told('where', only[0], `${count(pins.length, 'pin')}, all ${only[1]}`);
}
