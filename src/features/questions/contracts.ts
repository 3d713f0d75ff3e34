import { z } from 'zod';
import { COUNTS, FORMS } from '@/core/designs';
import { FACE_KINDS, METHODS, WEIGHTS } from '@/core/zones';
import { ATMOSPHERES } from '@/core/signs';
import { answers, contract, undoneBy } from '@/platform/contract';
import { optionalCone } from '@/platform/fields';

const words = (most: number) => z.string().trim().max(most, `At most ${most} characters.`);
const coats = z.number('How many?').int('Whole coats only.').min(1).max(10, 'At most ten coats.');
const several = <T extends z.ZodType>(one: T, least = 1, most = 40) =>
  z.array(one).min(least, `Choose at least ${least}.`).max(most, `At most ${most}.`);
const version = z.uuid('Choose a coating.');
const percents = several(
  z.number('Give a number.').min(0, 'Not below 0 %.').max(100, 'Not above 100 %.'),
  1,
  12,
);
const common = {
  bodies: several(z.uuid(), 1, 8),
  repeats: z.number('How many?').int().min(1).max(5, 'At most five of each.'),
  controls: z.boolean(),
  apply: z.object({
    method: z.enum(METHODS),
    coats,
    weight: z.enum(WEIGHTS),
    seconds: z.number().min(0).max(600, 'Longer than ten minutes? Check.').nullable(),
  }),
};
const differ = (corners: readonly string[]): boolean => new Set(corners).size === corners.length;
const TWICE = 'Two corners are the same: choose different ones.';
/** A design, its coatings, corners, materials and bodies named by their ids. */
export const designSchema = z.discriminatedUnion('kind', [
  z.object({ ...common, kind: z.literal('coats'), coating: version, coats: several(coats, 1, 10) }),
  z.object({
    ...common,
    kind: z.literal('coats on one tile'),
    coating: version,
    most: z.number().int().min(2, 'At least two.').max(6, 'At most six.'),
  }),
  z.object({
    ...common,
    kind: z.literal('seconds'),
    coating: version,
    seconds: several(z.number().min(0).max(600), 2, 12),
  }),
  z.object({ ...common, kind: z.literal('across bodies'), stack: several(version, 1, 6) }),
  z.object({
    ...common,
    kind: z.literal('factorial'),
    coatings: several(version),
    coats: several(coats, 1, 6),
  }),
  z.object({
    ...common,
    kind: z.literal('line'),
    corners: z.tuple([version, version]).refine(differ, TWICE),
    points: z.number().int().min(3, 'At least three.').max(21, 'At most 21.'),
  }),
  z.object({
    ...common,
    kind: z.literal('triaxial'),
    corners: z.tuple([version, version, version]).refine(differ, TWICE),
    steps: z.number().int().min(2, 'At least two.').max(10, 'At most ten.'),
  }),
  z.object({
    ...common,
    kind: z.literal('grid'),
    corners: z.tuple([version, version, version, version]).refine(differ, TWICE),
    rows: z.number().int().min(2).max(10, 'At most ten.'),
    columns: z.number().int().min(2).max(10, 'At most ten.'),
  }),
  z.object({
    ...common,
    kind: z.literal('colourant'),
    base: version,
    material: z.uuid('Choose a material.'),
    percents,
  }),
  z.object({
    ...common,
    kind: z.literal('crazing'),
    base: version,
    steps: z.number().int().min(1).max(8, 'At most eight.'),
    silica: z.uuid('Choose a material.'),
    kaolin: z.uuid('Choose a material.'),
  }),
  z.object({ ...common, kind: z.literal('body and glaze'), glaze: version, percents }),
  z.object({
    ...common,
    kind: z.literal('matrix'),
    bases: several(version),
    overs: several(version),
    both: z.boolean(),
  }),
  z.object({ ...common, kind: z.literal('list'), stacks: several(several(version, 1, 6)) }),
]);
export const questionFields = z.object({
  text: words(300).min(1, 'What do you want to know?'),
  varied: words(300).default(''),
  held: words(500).default(''),
  expected: words(500).default(''),
  targetPieceId: z.uuid().nullable().default(null),
});
export const askSchema = z.object({
  fields: questionFields,
  design: designSchema.nullable(),
  tile: z.object({
    form: z.enum(FORMS.map(({ name }) => name) as [string, ...string[]]),
    heightMm: z.number('Give a height.').positive().max(3000).nullable(),
    faces: z.array(z.enum(FACE_KINDS)).min(1).max(4),
    waitingFor: z.enum(['bisque', 'glaze']),
    wantedCone: optionalCone,
    wantedAtmosphere: z.enum(ATMOSPHERES).nullable(),
  }),
  sheet: z.object({
    dryG: z
      .number('Give a weight.')
      .min(10, 'At least 10 g.')
      .max(50_000, 'More than 50 kg? Check.'),
    cupMl: z.number('Give a volume.').min(5).max(1000, 'More than a litre a cup? Check.'),
    measureMl: z.number('Give a volume.').min(0.1).max(100),
    resolutionG: z.number('Give a weight.').min(0.001).max(50),
  }),
  shelves: z.number().int().min(1).max(12),
  seed: z.number().int().min(0).max(4294967295),
});
export const ask = contract(
  'questions.ask',
  askSchema,
  answers<{ id: string; no: number; codes: string[] }>(),
);
export const editQuestionSchema = z.object({
  id: z.uuid(),
  revision: z.number().int(),
  fields: questionFields,
});
export const edit = contract('questions.edit', editQuestionSchema);
/** What was left empty says nothing. */
const answered = <K extends string>(
  counts: Partial<Record<K, string>>,
): Partial<Record<K, string>> =>
  Object.fromEntries(
    Object.entries<string | undefined>(counts).filter(([, text]) => text),
  ) as Partial<Record<K, string>>;
export const concludeSchema = z.object({
  id: z.uuid(),
  conclusion: z
    .object({
      said: words(2000).min(1, 'Say what came out, in a sentence.'),
      asExpected: z.enum(['as expected', 'otherwise', 'cannot tell']),
      counts: z.partialRecord(z.enum(COUNTS), words(300).optional()).transform(answered),
      nextChange: words(500),
    })
    .nullable(),
});
const concluding = contract('questions.conclude', concludeSchema);
export const conclude = undoneBy(concluding, concluding, ({ id }) => ({ id, conclusion: null }));
export const moveTilesSchema = z.object({
  bodyId: z.uuid('Choose a body.'),
  form: words(40).min(1, 'Choose a form.'),
  faces: words(80).min(1),
  number: z.number('How many?').int('Whole tiles only.').min(0).max(5000),
  why: z.enum(['made', 'used', 'broken', 'counted']),
});
export const moveTiles = contract('questions.move-tiles', moveTilesSchema);
export const bodyTestSchema = z
  .object({
    bodyId: z.uuid('Choose a body.'),
    kind: z.enum([
      'plasticity',
      'sag',
      'melt',
      'absorption',
      'strength of colour',
      'shrinkage',
      'expansion',
    ]),
    value: z.number('Give a number.').min(-100).max(1000).nullable(),
    cone: optionalCone,
    note: words(500).default(''),
  })
  .refine(({ value, note }) => value !== null || note !== '', {
    message: 'Give a figure, or say what was seen.',
    path: ['value'],
  });
export const testBody = contract('questions.test-body', bodyTestSchema);
export const formCardSchema = z.object({
  id: z.uuid(),
  name: words(80).min(1, 'Give the form a name.'),
  bodyId: z.uuid().nullable(),
  clayG: z
    .number('Give the clay in g.')
    .positive('More than 0 g.')
    .max(50_000, 'More than 50 kg? Check the unit.'),
  wetHeightMm: z.number().positive().max(2000, 'Taller than 2 m? Check the unit.').nullable(),
  wetWidthMm: z.number().positive().max(2000, 'Wider than 2 m? Check the unit.').nullable(),
  shrinkage: z.number().min(0).max(0.3, 'Shrinkage lies between 0 and 30 %.').nullable(),
  fits: words(300).default(''),
});
export const saveFormCard = contract('questions.save-form-card', formCardSchema);
export const dropFormCardSchema = z.object({ id: z.uuid() });
const dropping = contract(
  'questions.drop-form-card',
  dropFormCardSchema,
  answers<z.input<typeof formCardSchema>>(),
);
export const dropFormCard = undoneBy(dropping, saveFormCard, (_, card) => card);
export type DesignInput = z.output<typeof designSchema>;
export type AskInput = z.input<typeof askSchema>;
