import { z } from 'zod';
import { HAZARD_NAMES, OXIDES, type Hazard, type Oxide } from '@/core/chemistry';
import { SG_RANGE, sgProblem } from '@/core/slurry';
import { ENTRY_KINDS } from '@/core/slurry';

const words = (most: number) => z.string().trim().max(most, `At most ${most} characters.`);
const positive = (what: string, most: number) =>
  z
    .number(`Give ${what}.`)
    .positive('More than 0.')
    .max(most, 'Check the unit: this is very much.');

const percent = z.number('Give a number.').min(0, 'Not below 0.').max(100, 'Not above 100 %.');

export const materialFields = z.object({
  name: words(120).min(1, 'Give a name.'),
  analysis: z
    .object({
      oxides: z.partialRecord(z.enum(OXIDES as [Oxide, ...Oxide[]]), percent),
      loi: percent,
    })
    .refine(
      ({ oxides, loi }) =>
        Object.values(oxides).reduce((sum, value) => sum + value, 0) + loi <= 103,
      'Oxides and loss on ignition make more than 103 %: a figure is doubled or a comma is lost.',
    )
    .refine(
      ({ oxides, loi }) => Object.values(oxides).reduce((sum, value) => sum + value, 0) + loi > 0,
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

export const saveMaterialSchema = z.object({
  id: z.uuid().nullable(),
  revision: z.number().int().default(0),
  fields: materialFields,
});

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
  litres: z
    .number('Give litres.')
    .min(0, 'Not below 0.')
    .max(1000, 'More than 1000 l? Check.')
    .nullable(),
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
    .array(
      z.object({ materialId: z.uuid(), name: words(120), grams: z.number().min(0).max(500_000) }),
    )
    .max(60)
    .nullable(),
});

export const saveBucketSchema = z.object({
  id: z.uuid(),
  revision: z.number().int(),
  fields: bucketFields,
});

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
export const dropEntrySchema = z.object({ entryId: z.uuid() });
export const emptySchema = z.object({ id: z.uuid(), emptied: z.boolean() });

export type MaterialInput = z.input<typeof materialFields>;
export type RecipeLinesInput = z.input<typeof recipeLines>;
export type BucketInput = z.input<typeof bucketFields>;
