/** What a studio's own pieces say of a glaze on a body, beside what was computed. */
import type { Fit } from '../chemistry';
import { count } from '../units';
import { SETTLED_DAYS, TAKES_UP, type Apart, type Examined, type Placed } from './place';

/** The pieces of one glaze on one body: how many, and how many of them craze. */
export type Own = { crazed: number; pieces: number };

/** What a placed body says of a glaze by its computed expansion. */
export type Sits = 'crazes' | 'near' | 'holds';

/** A glaze against a placed body: it crazes or holds where the whole interval says so. */
export const sits = (expansion: number, { low, high }: Placed): Sits =>
  expansion > high ? 'crazes' : expansion < low ? 'holds' : 'near';

/** At least so many pieces of one glaze before records speak against a figure. */
const FEW = 2;
const FEW_SOUND = 3;

/**
 * Where record and computation disagree about one glaze on one body: "computed as fitting (−0.70), yet
 * 14 of 16 pieces craze here: believe the pieces". Null where they agree or the pieces are too few.
 */
export function disagreement(
  computed: Pick<Fit, 'tendency' | 'difference'>,
  pieces: readonly Pick<Examined, 'found' | 'days'>[],
): string | null {
  const crazed = pieces.filter(({ found }) => found !== 'sound').length;
  const figure = `${computed.difference > 0 ? '+' : '−'}${Math.abs(computed.difference).toFixed(2)}`;
  const fits = computed.difference <= 0;
  if (fits && crazed >= FEW && crazed * 4 >= pieces.length)
    return `Computed as ${computed.tendency === 'fits' ? 'fitting' : computed.tendency} (${figure}), yet ${crazed} of ${count(pieces.length, 'piece')} craze here: believe the pieces.`;
  const sound = pieces.filter(({ days }) => days >= SETTLED_DAYS).length;
  return computed.tendency === 'crazing' && crazed === 0 && sound >= FEW_SOUND
    ? `Computed as crazing (${figure}), yet none of ${count(pieces.length, 'piece')} crazes here, ${sound} of them looked at again after two weeks: believe the pieces.`
    : null;
}

const figure = (value: number): string => value.toFixed(1);

/** "By 31 pieces of 6 glazes it crazes what is computed above 6.4 (95 %: 6.1 to 6.9)". */
export function placedWords(placed: Placed): string {
  const { at, low, high, glazes, pieces, sides } = placed;
  const by = `by ${count(pieces, 'piece')} of ${count(glazes, 'glaze')}`;
  if (sides === 'crazed')
    return `What is computed above ${figure(high)} crazes here, ${by}, all crazed; none that is sound says from where on.`;
  if (sides === 'sound')
    return `What is computed below ${figure(low)} holds here, ${by}, all sound; none that crazed says how far.`;
  return `What is computed above ${figure(at)} (95 %: ${figure(low)} to ${figure(high)}) crazes here, ${by}.`;
}

/** What a glaze's own pieces on a body say, before any figure: "15 of 15 pieces of it craze here". */
export function ownWords({ crazed, pieces }: Own): string {
  if (crazed === 0) return `none of ${count(pieces, 'piece')} of it crazes here so far`;
  return `${crazed} of ${count(pieces, 'piece')} of it ${crazed === 1 ? 'crazes' : 'craze'} here`;
}

/** What was left out of it, and why. */
export function apartWords({ thick, moisture, early }: Apart, name: (glaze: string) => string): string[] {
  return [
    ...thick.map(
      ({ glaze, coats, pieces }) =>
        `${name(glaze)}: ${count(pieces, 'piece')} crazed only at ${coats} coats and more: that is thickness, and not counted.`,
    ),
    ...(moisture > 0
      ? [
          `${count(moisture, 'piece')} crazed weeks later, and the body takes up more than ${TAKES_UP} %: it may swell with water. Not counted.`,
        ]
      : []),
    ...(early > 0
      ? [
          `${count(early, 'piece')} sound when ${early === 1 ? 'it' : 'they'} came out and not looked at since ${early === 1 ? 'counts' : 'count'} half: look again after two weeks.`,
        ]
      : []),
  ];
}
