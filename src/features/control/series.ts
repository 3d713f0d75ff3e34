/** The control of a kiln firing by firing, as lines with their limits. */
import { labFigure } from '@/core/colour';
import { ordinalWords } from '@/core/firing';
import { SURFACES } from '@/core/signs';
import { controlLimits, type Controlled } from '@/core/statistics';
import type { ControlSeen } from '@/data/control';

export type Series = {
  name: string;
  points: { firingId: string; no: number; day: string; value: number; words: string }[];
  /** Null while there are too few firings. */
  limits: Controlled | null;
  /** What stands out, newest first. */
  said: string[];
};

type Kind = {
  name: string;
  of: (seen: ControlSeen) => number | null;
  words: (value: number) => string;
  up: string;
  down: string;
};

const KINDS: readonly Kind[] = [
  {
    name: 'lightness',
    of: ({ lab }) => lab?.[0] ?? null,
    words: (v) => `L* ${labFigure(v)}`,
    up: 'lighter',
    down: 'darker',
  },
  {
    name: 'red and green',
    of: ({ lab }) => lab?.[1] ?? null,
    words: (v) => `a* ${labFigure(v)}`,
    up: 'redder',
    down: 'greener',
  },
  {
    name: 'yellow and blue',
    of: ({ lab }) => lab?.[2] ?? null,
    words: (v) => `b* ${labFigure(v)}`,
    up: 'yellower',
    down: 'bluer',
  },
  {
    name: 'surface',
    of: ({ surface }) => surface,
    words: (v) => SURFACES[Math.round(v)] ?? '',
    up: 'drier',
    down: 'glossier',
  },
  {
    name: 'movement',
    of: ({ movementMm }) => movementMm,
    words: (v) => `${v.toFixed(0)} mm`,
    up: 'ran further',
    down: 'ran less',
  },
  {
    name: 'cone reached',
    of: ({ reached }) => reached,
    words: (v) => ordinalWords(v),
    up: 'hotter',
    down: 'cooler',
  },
];

const IS = {
  beyond: 'outside what is usual',
  jump: 'a jump from the firing before',
  drift: 'the eighth on one side in a row: a drift',
} as const;

/** The firings that can be compared: those to the commonest cone and air among them. */
export function alike(seen: readonly ControlSeen[]): {
  of: ControlSeen[];
  cone: string;
  atmosphere: string;
} {
  const counts = new Map<string, ControlSeen[]>();
  for (const one of seen) {
    const key = `${one.cone}|${one.atmosphere}`;
    counts.set(key, [...(counts.get(key) ?? []), one]);
  }
  const of = [...counts.values()].sort((a, b) => b.length - a.length)[0] ?? [];
  return { of, cone: of[0]?.cone ?? '', atmosphere: of[0]?.atmosphere ?? '' };
}

/** A line for everything that was seen of the control in at least two firings. */
export function controlSeries(seen: readonly ControlSeen[]): Series[] {
  return KINDS.flatMap(({ name, of, words, up, down }): Series[] => {
    const points = seen.flatMap((one) => {
      const value = of(one);
      return value === null
        ? []
        : [{ firingId: one.firingId, no: one.no, day: one.plannedFor, value, words: words(value) }];
    });
    if (points.length < 2) return [];
    const limits = controlLimits(points.map(({ value }) => value));
    const said = [...(limits?.signals ?? [])]
      .reverse()
      .map(
        ({ at, is }) =>
          `Firing ${points[at]!.no}: ${points[at]!.value > limits!.centre ? up : down}, ${points[at]!.words}, ${IS[is]}.`,
      );
    return [{ name, points, limits, said }];
  });
}
