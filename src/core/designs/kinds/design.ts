/** What a kind of design is: the words of the bench, its parts, and the tiles that it makes. */
import { z } from 'zod';
import type { Stretch } from '../../zones';
import { applicationSchema, type Application, type Mix, type PlannedLayer, type PlannedTile } from '../terms';
import type { Part, Parts } from './parts';

/** What every design has besides its own parts. */
export const commonParts = {
  bodies: z
    .array(z.string().min(1).max(40))
    .min(1, 'Choose at least one body.')
    .max(8, 'At most eight bodies.'),
  repeats: z.number('How many?').int().min(1).max(5, 'At most five of each.'),
  controls: z.boolean(),
  apply: applicationSchema,
};
export type Common = {
  bodies: string[];
  repeats: number;
  controls: boolean;
  apply: Application;
};

/** What a studio has to choose from, by key, in its order; '' where there is none. */
export type Having = {
  coating: (i: number) => string;
  /** Coatings that have a recipe come first. */
  recipe: (i: number) => string;
  material: (name: string) => string;
};

export type Draft = Omit<PlannedTile, 'no' | 'body' | 'role'> & { control: boolean };

/** What a design makes its tiles with. */
export type Bench = {
  layer: (coat: string | null, rest?: Partial<PlannedLayer>) => PlannedLayer;
  draft: (
    column: number,
    label: string,
    factors: Record<string, string>,
    layers: PlannedLayer[],
    rest?: Partial<Draft>,
  ) => Draft;
};

type Values<P extends Parts> = { [K in keyof P]: P[K] extends Part<infer T> ? T : never };
export type Design<K extends string, P extends Parts> = Common & { kind: K } & Values<P>;

/** What makers call a difference they look for: the variables that a design may change. */
export type Kind<K extends string = string, P extends Parts = Parts> = {
  kind: K;
  name: string;
  /** What it answers, as a maker would ask it; "{}" stands for what it is asked of. */
  asks: string;
  /** The keys that "{}" stands for. */
  of?: (design: Design<K, P>) => readonly string[];
  varies: string;
  parts: P;
  first: (having: Having) => Values<P>;
  /** The variables that it is allowed to change; anything else in the check is a warning. */
  asked: (design: Design<K, P>) => string[];
  tiles: (design: Design<K, P>, bench: Bench) => Draft[];
  /** Minutes of weighing and mixing before any tile is dipped (common practice, no source). */
  mixing?: (design: Design<K, P>, tiles: number) => number;
  /** Of one body by nature, or of several at once. */
  acrossBodies?: boolean;
  /** It says itself how many coats go on. */
  ownCoats?: boolean;
  /** What its tiles to compare with are, where that is no plain control. */
  controls?: string;
};

export const ALL: Stretch = { from: 0, to: 1 };

export const unique = (values: readonly number[]): number[] => [...new Set(values)].sort((a, b) => a - b);

export const percent = (value: number): string => `${Number(value.toFixed(2))} %`;

export const over = (stack: readonly string[]): string => [...stack].reverse().join(' over ');

/** The mix of a base with something added to it. */
export const added = (base: string, additions: Mix['additions']): Mix => ({
  shares: { [base]: 1 },
  additions,
});

/** Defines a design; the schema of its own parts is made from them. */
export const defineDesign = <const K extends string, P extends Parts>(kind: Kind<K, P>): Kind<K, P> => kind;
