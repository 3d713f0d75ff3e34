/**
 * What a chart can be laid out by, as data: each axis is one small definition, and a new one is a
 * line more. A chart asks an axis for the value of a cell, the order of values, and their words.
 */
import { coneOrdinal, isCone } from '../cones';
import { CONE_KNOWN, bandWords, intendedOf, type ConeKnown } from '../firing';
import { ATMOSPHERES } from '../signs';
import { slipNames } from '../zones';

/** What an axis may ask of a cell. Coats from base to top, by slug. */
export type Placed = {
  body: string;
  slips: string;
  cone: string;
  atmosphere: string;
  base: string | null;
  over: string | null;
  depth: number;
  generation: number;
  coneKnown: ConeKnown;
};

/** Names of what is kept by slug, for words. */
export type Names = { body: (slug: string) => string; coating: (slug: string) => string };

export type Axis<K extends keyof Placed = keyof Placed> = {
  id: string;
  label: string;
  /** What of a cell it asks for. */
  needs: readonly K[];
  /** Where a cell stands on it; null when it has no place there. */
  value: (cell: Pick<Placed, K>) => string | null;
  order: (a: string, b: string) => number;
  words: (value: string, names: Names) => string;
};

const axis = <K extends keyof Placed>(definition: Axis<K>): Axis<K> => definition;

const byText = (a: string, b: string): number => a.localeCompare(b);
const byList =
  (list: readonly string[]) =>
  (a: string, b: string): number =>
    list.indexOf(a) - list.indexOf(b);

/** Cones by heat; then what was only intended, by heat; what is none of them last. */
export function byCone(a: string, b: string): number {
  const place = (band: string): number => {
    const intended = intendedOf(band);
    if (intended !== null) return 1000 + coneOrdinal(intended);
    return isCone(band) ? coneOrdinal(band) : 9999;
  };
  return place(a) - place(b);
}

/** The value of a cell whose stack has one coat only, on the axis of what lies over it. */
export const ALONE = '';

export const BASE = axis({
  id: 'base',
  label: 'Base',
  needs: ['base'],
  value: ({ base }) => base,
  order: byText,
  words: (value, names) => names.coating(value),
});

export const OVER = axis({
  id: 'over',
  label: 'Over',
  needs: ['over'],
  value: ({ over }) => over ?? ALONE,
  order: byText,
  words: (value, names) => (value === ALONE ? 'by itself' : names.coating(value)),
});

export const BODY = axis({
  id: 'body',
  label: 'Body',
  needs: ['body'],
  value: ({ body }) => body,
  order: byText,
  words: (value, names) => names.body(value),
});

export const GROUND = axis({
  id: 'ground',
  label: 'Ground',
  needs: ['slips'],
  value: ({ slips }) => slips,
  order: byText,
  words: (value, names) => (value === '' ? 'bare body' : slipNames(value, names.coating).join(' and ')),
});

export const CONE = axis({
  id: 'cone',
  label: 'Cone',
  needs: ['cone'],
  value: ({ cone }) => cone,
  order: byCone,
  words: bandWords,
});

export const ATMOSPHERE = axis({
  id: 'atmosphere',
  label: 'Atmosphere',
  needs: ['atmosphere'],
  value: ({ atmosphere }) => atmosphere,
  order: byList(ATMOSPHERES),
  words: (value) => (value === 'unknown' ? 'atmosphere unknown' : value),
});

export const DEPTH = axis({
  id: 'depth',
  label: 'Coats on one another',
  needs: ['depth'],
  value: ({ depth }) => String(depth),
  order: (a, b) => Number(a) - Number(b),
  words: (value) => (value === '0' ? 'no coat' : value === '1' ? 'one coat' : `${value} coats`),
});

export const GENERATION = axis({
  id: 'generation',
  label: 'Firing of the piece',
  needs: ['generation'],
  value: ({ generation }) => String(generation),
  order: (a, b) => Number(a) - Number(b),
  words: (value) => (value === '0' ? 'bisque' : value === '1' ? 'first glaze firing' : `firing ${value}`),
});

export const CONE_KNOWN_BY = axis({
  id: 'cone-known',
  label: 'How the cone is known',
  needs: ['coneKnown'],
  value: ({ coneKnown }) => coneKnown,
  order: byList(CONE_KNOWN),
  words: (value) =>
    value === 'read'
      ? 'cones read'
      : value === 'by log'
        ? 'by its log'
        : value === 'intended'
          ? 'as intended, cones not read'
          : 'cone unknown',
});

/** Every axis there is, by its id in an address. */
export const AXES = {
  base: BASE,
  over: OVER,
  body: BODY,
  ground: GROUND,
  cone: CONE,
  atmosphere: ATMOSPHERE,
  depth: DEPTH,
  generation: GENERATION,
  'cone-known': CONE_KNOWN_BY,
} as const;
export type AxisId = keyof typeof AXES;
