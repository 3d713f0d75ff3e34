import { z } from 'zod';
import { HAZARD_NAMES, OXIDES, type Hazard, type Oxide } from '@/core/chemistry';
import { compareCones, isCone } from '@/core/cones';
import { ENTRY_KINDS, SG_RANGE, sgProblem } from '@/core/slurry';
import { COATING_KINDS } from '@/core/zones';
import { BODY_KINDS, GROUNDS } from '@/core/studio';
import { answers, contract, toggled, undoneBy } from '@/platform/contract';
import { optionalCone } from '@/platform/fields';
import { BODY_TRAITS, COATING_TRAITS } from '@/core/load/check-terms';

const name = z.string().trim().min(1, 'Give a name.').max(80, 'At most 80 characters.');
const text = z.string().trim().max(4000, 'At most 4000 characters.').default('');
const colour = z.string().regex(/^#[0-9a-f]{6}$/i, 'A colour is written like #7a8b8c.');
const rangeRuns = (range: { coneLow: string | null; coneHigh: string | null }): boolean =>
  range.coneLow === null ||
  range.coneHigh === null ||
  !isCone(range.coneLow) ||
  !isCone(range.coneHigh) ||
  compareCones(range.coneLow, range.coneHigh) <= 0;
const RANGE_MESSAGE = {
  message: 'This is cooler than the lower end of the range.',
  path: ['coneHigh'],
};
export const bodyFields = z
  .object({
    name,
    kind: z.enum(BODY_KINDS),
    coneLow: optionalCone,
    coneHigh: optionalCone,
    ground: z.enum(GROUNDS),
    ironBearing: z.boolean(),
    colour,
    notes: text,
    cautions: text,
    traits: z.array(z.enum(BODY_TRAITS)).default([]),
  })
  .refine(rangeRuns, RANGE_MESSAGE);
export const coatingFields = z
  .object({
    name,
    kind: z.enum(COATING_KINDS),
    coneLow: optionalCone,
    coneHigh: optionalCone,
    colour,
    atmosphereNotes: text,
    whatItDoes: text,
    cautions: text,
    traits: z.array(z.enum(COATING_TRAITS)).default([]),
  })
  .refine(rangeRuns, RANGE_MESSAGE);
type Saved = { id: string; slug?: string };
/** `id: null` makes a new one; otherwise the revision that was read must still be the last. */
const saving = <T extends z.ZodType>(fields: T) =>
  z.object({ id: z.uuid().nullable(), revision: z.number().int().default(0), fields });
export const saveBodySchema = saving(bodyFields);
export const saveBody = contract('store.save-body', saveBodySchema, answers<Saved>());
export const saveCoatingSchema = saving(coatingFields);
export const saveCoating = contract('store.save-coating', saveCoatingSchema, answers<Saved>());
export const addVersionSchema = z.object({
  coatingId: z.uuid(),
  notes: z.string().trim().min(1, 'Say what changed.').max(2000),
});
export const addVersion = contract(
  'store.add-version',
  addVersionSchema,
  answers<{ id: string; no: number }>(),
);
export const archiveSchema = z.object({
  table: z.enum(['body', 'coating']),
  id: z.uuid(),
  archived: z.boolean(),
});
export const archive = toggled(contract('store.archive', archiveSchema), 'archived');
const words = (most: number) => z.string().trim().max(most, `At most ${most} characters.`);
const positive = (what: string, most: number) =>
  z.number(`Give ${what}.`).positive('More than 0.').max(most, 'Check the unit: this is very much.');
/** What takes up oxygen in the fire yields more than it weighed; its loss is below 0. */
const yielded = z.number('Give a number.').min(0, 'Not below 0.').max(250, 'No material yields that much.');
/** An oxide whose field was left empty is not in the analysis. */
const known = (oxides: Partial<Record<Oxide, number | null | undefined>>): Partial<Record<Oxide, number>> =>
  Object.fromEntries(Object.entries(oxides).filter(([, value]) => value !== null && value !== undefined));
export const materialFields = z.object({
  name: words(120).min(1, 'Give a name.'),
  analysis: z
    .object({
      oxides: z.partialRecord(z.enum(OXIDES as [Oxide, ...Oxide[]]), yielded.nullish()).transform(known),
      loi: z
        .number('Give a number.')
        .min(-150, 'No material gains that much.')
        .max(100, 'Not above 100 %.')
        .nullish()
        .transform((value) => value ?? 0),
    })
    .refine(
      ({ oxides, loi }) => Object.values(oxides).reduce((sum, value) => sum + value, 0) + loi <= 103,
      'Oxides and loss on ignition make more than 103 %: a figure is doubled or a comma is lost.',
    )
    .refine(
      ({ oxides, loi }) => Object.values(oxides).reduce((sum, value) => sum + value, 0) + Math.abs(loi) > 0,
      'Everything is 0: leave the analysis out if it is not known.',
    )
    .nullable(),
  density: z
    .number()
    .min(0.5, 'Lighter than 0.5 g/cm³? Check.')
    .max(12, 'Heavier than 12 g/cm³? Check.')
    .nullable(),
  hazards: z.array(z.enum(HAZARD_NAMES as [Hazard, ...Hazard[]])).max(20),
  stockG: z.number().min(0, 'Not below 0.').max(5_000_000).nullable(),
  pricePerKg: z.number().min(0, 'Not below 0.').max(100_000).nullable(),
  notes: words(4000).default(''),
});
export const saveMaterialSchema = saving(materialFields);
export const saveMaterial = contract('store.save-material', saveMaterialSchema, answers<Saved>());
export const recipeLines = z
  .array(
    z.object({
      materialId: z.uuid('Choose a material.'),
      amount: z.number('Give an amount.').min(0, 'Not below 0.').max(1_000_000),
      addition: z.boolean(),
      supply: words(120).default(''),
    }),
  )
  .min(1, 'A recipe has at least one material.')
  .max(40, 'At most 40 materials.')
  .refine((lines) => lines.some((line) => !line.addition && line.amount > 0), {
    message: 'The recipe sums to nothing: give its base some amounts.',
  });
export const saveRecipeSchema = z.object({
  coatingId: z.uuid(),
  /** The version it belongs to; null makes the next one. */
  versionId: z.uuid().nullable(),
  changed: words(2000).default(''),
  unit: z.enum(['percent', 'parts']),
  notes: words(4000).default(''),
  lines: recipeLines,
});
export const saveRecipe = contract(
  'store.save-recipe',
  saveRecipeSchema,
  answers<{ id: string; no: number }>(),
);
const sg = z
  .number('Give a specific gravity, such as 1.45.')
  .superRefine((value, context) => {
    const problem = sgProblem(value);
    if (problem !== null) context.addIssue({ code: 'custom', message: problem });
  })
  .pipe(z.number().min(SG_RANGE.low).max(SG_RANGE.high));
export const bucketFields = z.object({
  name: words(80).min(1, 'Give the bucket a name.'),
  dryG: positive('a weight in grams', 500_000).nullable(),
  shape: z.enum(['round', 'square']),
  widthMm: positive('a width in mm', 3000).nullable(),
  depthMm: positive('a depth in mm', 3000).nullable(),
  litres: z.number('Give litres.').min(0, 'Not below 0.').max(1000, 'More than 1000 l? Check.').nullable(),
  advice: z.object({
    dips: z.number().int().min(1).max(10).nullable(),
    seconds: z.number().min(0).max(120, 'Longer than two minutes? Check.').nullable(),
    dryingSign: words(200),
    restirMinutes: z.number().min(1).max(1440).nullable(),
    sg: sg.nullable(),
  }),
});
export const mixSchema = z.object({
  versionId: z.uuid(),
  fields: bucketFields,
  weighed: z
    .array(z.object({ materialId: z.uuid(), name: words(120), grams: z.number().min(0).max(500_000) }))
    .max(60)
    .nullable(),
});
export const mix = contract('store.mix', mixSchema, answers<{ id: string }>());
export const saveBucketSchema = z.object({
  id: z.uuid(),
  revision: z.number().int(),
  fields: bucketFields,
});
export const saveBucket = contract('store.save-bucket', saveBucketSchema);
export const dropEntrySchema = z.object({ entryId: z.uuid() });
export const dropEntry = contract('store.drop-bucket-entry', dropEntrySchema);
export const bucketEntrySchema = z
  .object({
    bucketId: z.uuid(),
    entryId: z.uuid(),
    kind: z.enum(ENTRY_KINDS),
    sg: sg.nullable(),
    seconds: z.number().min(0).max(600).nullable(),
    temperatureC: z
      .number()
      .min(-5, 'Below freezing? Check.')
      .max(60, 'A bucket above 60 °C? Is this °F?')
      .nullable(),
    litres: z.number().min(0).max(1000, 'More than 1000 l? Check.').nullable(),
    grams: z.number().min(0).max(500_000).nullable(),
    note: words(500).default(''),
  })
  .refine((entry) => entry.kind !== 'measured' || entry.sg !== null || entry.seconds !== null, {
    message: 'A measurement has an SG or seconds.',
    path: ['sg'],
  });
export const logBucket = undoneBy(
  contract('store.log-bucket', bucketEntrySchema),
  dropEntry,
  ({ entryId }) => ({ entryId }),
);
export const emptySchema = z.object({ id: z.uuid(), emptied: z.boolean() });
export const emptyBucket = toggled(contract('store.empty-bucket', emptySchema), 'emptied');
export type MaterialInput = z.input<typeof materialFields>;
export type RecipeLinesInput = z.input<typeof recipeLines>;
export type BucketInput = z.input<typeof bucketFields>;
