/** What a plan made from a design says of its tiles and of how coats go on. */
import { z } from 'zod';
import { METHODS, STAGES, WEIGHTS, type Stretch } from '../zones';

/** How the coats of a design go on, unless it says otherwise itself. */
export const applicationSchema = z.object({
  method: z.enum(METHODS),
  coats: z.number('How many?').int('Whole coats only.').min(1).max(10, 'At most ten coats.'),
  weight: z.enum(WEIGHTS),
  seconds: z.number().min(0).max(600, 'Longer than ten minutes? Check.').nullable(),
  /** What the clay is when they go on. */
  stage: z.enum(STAGES),
});
export type Application = z.output<typeof applicationSchema>;

/** A mix that is made for the test: shares of corner recipes, and materials added in % of the base. */
export type Mix = { shares: Record<string, number>; additions: Record<string, number> };

/** `coat` names a coating version; null is the tile's own mix. */
export type PlannedLayer = Application & { coat: string | null; stretch: Stretch };

export type PlannedTile = {
  /** Its number in the question, from 1 on. */
  no: number;
  label: string;
  role: 'test' | 'control' | 'repeat';
  row: number;
  column: number;
  body: string;
  /** Every variable of the tile with its value, in words: what the confounding check compares. */
  factors: Record<string, string>;
  mix: Mix | null;
  layers: PlannedLayer[];
};
