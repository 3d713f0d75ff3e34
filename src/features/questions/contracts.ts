import { z } from 'zod';
import { COUNTS, designSchema, FORMS } from '@/core/designs';
import { ATMOSPHERES, SIGNS } from '@/core/signs';
import { answers, contract, undoneBy } from '@/platform/contract';
import { optionalCone } from '@/platform/fields';
import { faceSchema, heightField } from '../pieces/contracts';

const words = (most: number) => z.string().trim().max(most, `At most ${most} characters.`);
export const questionFields = z.object({
  text: words(300).min(1, 'What do you want to know?'),
  varied: words(300).default(''),
  held: words(500).default(''),
  expected: words(500).default(''),
  /** The sign that its tiles are looked at for. */
  about: z
    .enum(SIGNS.map(({ id }) => id) as [string, ...string[]])
    .nullable()
    .default(null),
  targetPieceId: z.uuid().nullable().default(null),
});
export const askSchema = z.object({
  fields: questionFields,
  design: designSchema.nullable(),
  form: z.enum(FORMS.map(({ name }) => name) as [string, ...string[]]),
  heightMm: heightField,
  faces: z.array(faceSchema).min(1, 'A piece has at least one face.').max(6, 'At most six faces.'),
  waitingFor: z.enum(['bisque', 'glaze']),
  wantedCone: optionalCone,
  wantedAtmosphere: z.enum(ATMOSPHERES).nullable(),
  sheet: z.object({
    dryG: z.number('Give a weight.').min(10, 'At least 10 g.').max(50_000, 'More than 50 kg? Check.'),
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
const answered = <K extends string>(counts: Partial<Record<K, string>>): Partial<Record<K, string>> =>
  Object.fromEntries(Object.entries<string | undefined>(counts).filter(([, text]) => text)) as Partial<
    Record<K, string>
  >;
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
    kind: z.enum(['plasticity', 'sag', 'melt', 'absorption', 'strength of colour', 'shrinkage', 'expansion']),
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
export type AskInput = z.input<typeof askSchema>;
