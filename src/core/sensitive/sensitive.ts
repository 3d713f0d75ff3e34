import type { Lab } from '../colour';
import { SURFACES, type Surface } from '../signs';
import { factorShare, type Measured, type Share } from '../statistics';

/** A piece as it came out, with what it may turn on by name. */
export type Seen = {
  firingId: string;
  lab: Lab | null;
  surface: Surface | null;
  movementMm: number | null;
  levels: Readonly<Record<string, string>>;
};

export const RESPONSES = ['colour', 'surface', 'movement'] as const;
export type Response = (typeof RESPONSES)[number];

/**
 * Factors in the order in which people think of them; those that a whole firing shares are told by firings.
 */
export const FACTORS: readonly { name: string; asks: string; ofUnit: boolean }[] = [
  { name: 'body', asks: 'which clay it is on', ofUnit: false },
  { name: 'thickness', asks: 'how thick it is', ofUnit: false },
  { name: 'shelf', asks: 'where in the kiln it stands', ofUnit: false },
  { name: 'cone', asks: 'the cone', ofUnit: true },
  { name: 'atmosphere', asks: 'the atmosphere', ofUnit: true },
  // Of a factor that is the unit itself nothing can be averaged in it.
  { name: 'firing', asks: 'which firing it was', ofUnit: false },
];

export type Sensitivity = { factor: string; asks: string } & Record<Response, Share | null>;

const VALUES: Record<Response, (seen: Seen) => readonly number[] | null> = {
  colour: ({ lab }) => lab,
  // Gloss to dry as equal steps: an order, taken for a measure.
  surface: ({ surface }) => (surface === null ? null : [SURFACES.indexOf(surface)]),
  movement: ({ movementMm }) => (movementMm === null ? null : [movementMm]),
};

/** For every factor of which something can be said, the share of each spread that goes with it. */
export function sensitivities(seen: readonly Seen[]): Sensitivity[] {
  return FACTORS.flatMap(({ name, asks, ofUnit }): Sensitivity[] => {
    const of = (response: Response): Share | null => {
      const rows = seen.flatMap((one): Measured[] => {
        const values = VALUES[response](one);
        const level = one.levels[name];
        return values === null || level === undefined ? [] : [{ level, unit: one.firingId, values }];
      });
      return factorShare(rows, ofUnit);
    };
    const own = { colour: of('colour'), surface: of('surface'), movement: of('movement') };
    return RESPONSES.some((response) => own[response] !== null) ? [{ factor: name, asks, ...own }] : [];
  });
}

/** How much it minds, in a word, no surer than the interval allows. */
export function mindsWords({ share, interval }: Share): string {
  if (interval.high < 0.2) return 'hardly minds';
  if (interval.low > 0.5) return 'minds most of all';
  if (interval.low > 0.15) return 'minds';
  return share < 0.2 ? 'seems to mind little' : 'seems to mind';
}

/** "colour 4 % (0 to 13)": the bounds rounded away from one another, so that none is said as nothing. */
export const shareWords = (response: Response, { share, interval }: Share): string =>
  `${response} ${(100 * share).toFixed(0)} % (${Math.floor(100 * interval.low)} to ${Math.min(100, Math.ceil(100 * interval.high + 1e-9))})`;

/**
 * "two levels of thickness lie twice as far apart as two of body": the strongest beside the next, where both
 * are known.
 */
export function comparedWords(list: readonly Sensitivity[], response: Response): string | null {
  const known = list
    .filter((one) => one.factor !== 'firing' && one[response] !== null)
    .map((one) => ({ factor: one.factor, ...one[response]! }))
    .sort((a, b) => b.apart - a.apart);
  const [first, second] = known;
  if (first === undefined || second === undefined || first.interval.low < 0.1 || second.apart <= 0)
    return null;
  const times = first.apart / second.apart;
  if (times < 1.5) return null;
  const words = times < 1.75 ? 'one and a half times' : times < 2.5 ? 'twice' : `${times.toFixed(0)} times`;
  return `In ${response} two levels of ${first.factor} lie ${words} as far apart as two of ${second.factor}.`;
}
