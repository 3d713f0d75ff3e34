/** The designs there are, each defined in a file of its own; one more is one more file and its line here. */
import { z } from 'zod';
import { acrossBodies } from './across-bodies';
import { coats } from './coats';
import { coatsOnOneTile } from './coats-on-one-tile';
import { colourant } from './colourant';
import { crazing } from './crazing';
import { commonParts, type Bench, type Common, type Design as Of, type Draft, type Having } from './design';
import { factorial } from './factorial';
import { glazeInBody } from './glaze-in-body';
import { grid } from './grid';
import { line } from './line';
import { list } from './list';
import { matrix } from './matrix';
import type { Field, Parts } from './parts';
import { seconds } from './seconds';
import { triaxial } from './triaxial';

const KINDS = [
  coats,
  coatsOnOneTile,
  seconds,
  acrossBodies,
  factorial,
  matrix,
  line,
  triaxial,
  grid,
  colourant,
  crazing,
  glazeInBody,
  list,
] as const;
type Known = (typeof KINDS)[number];
type DesignOf<D> = D extends { kind: infer K extends string; parts: infer P extends Parts }
  ? Of<K, P>
  : never;

export type DesignKind = Known['kind'];
/** A design; coatings, corners and bodies are named by whatever key the caller uses for them. */
export type Design = DesignOf<Known>;

/** A kind of design as it is used, whichever it is. */
type AnyKind = {
  kind: DesignKind;
  name: string;
  asks: string;
  varies: string;
  parts: Record<string, { schema: z.ZodType; field: Field }>;
  of?: (design: Design) => readonly string[];
  first: (having: Having) => object;
  asked: (design: Design) => string[];
  tiles: (design: Design, bench: Bench) => Draft[];
  mixing?: (design: Design, tiles: number) => number;
  acrossBodies?: boolean;
  ownCoats?: boolean;
  controls?: string;
};

// Each definition takes its own design; by its kind every design meets the definition it belongs to.
export const DESIGNS = KINDS as unknown as readonly AnyKind[];
export const DESIGN_KINDS: readonly DesignKind[] = DESIGNS.map(({ kind }) => kind);

const BY_KIND = new Map(DESIGNS.map((one) => [one.kind, one]));

/** The definition of a kind of design. */
export const designOf = (kind: DesignKind): AnyKind => BY_KIND.get(kind)!;

/** A design as it is typed and sent: what all have, and the parts of its kind. */
export const designSchema = z.discriminatedUnion(
  'kind',
  DESIGNS.map(({ kind, parts }) =>
    z.object({
      ...commonParts,
      kind: z.literal(kind),
      ...Object.fromEntries(Object.entries(parts).map(([name, { schema }]) => [name, schema])),
    }),
  ) as unknown as [z.ZodObject<{ kind: z.ZodLiteral<DesignKind> }>],
) as unknown as z.ZodType<Design, Design>;

/** A first design of a kind, filled with what the studio has. */
export const firstDesign = (kind: DesignKind, having: Having, common: Common): Design =>
  ({ ...common, kind, ...designOf(kind).first(having) }) as Design;

export { CRAZING_STEP } from './crazing';
export type { Common, Having } from './design';
export type { Field } from './parts';
