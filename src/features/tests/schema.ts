import { z } from 'zod';
import { FACE_KINDS, METHODS, STAGES, WEIGHTS } from '@/core/zones';
import { ATMOSPHERES } from '@/core/signs';
import { optionalCone } from '@/platform/fields';

const fraction = z
  .number('Give a number.')
  .min(0, 'Below the foot: a stretch starts at 0.')
  .max(1, 'Beyond the rim: the whole face is 1.');

export const stretchSchema = z
  .object({ from: fraction, to: fraction })
  .refine(({ from, to }) => to - from > 1e-6, {
    message: 'The stretch begins where it ends.',
    path: ['to'],
  });

export const layerSchema = z.object({
  coatingVersionId: z.uuid('Choose a coating.'),
  method: z.enum(METHODS),
  coats: z
    .number('How many?')
    .int('Whole dips or coats only.')
    .min(1, 'At least one.')
    .max(20, 'At most 20.'),
  weight: z.enum(WEIGHTS),
  thicknessMm: z
    .number()
    .positive('More than 0 mm.')
    .max(20, 'Thicker than 20 mm? Check the unit.')
    .nullable(),
  seconds: z
    .number()
    .min(0, 'Not below 0 s.')
    .max(600, 'Longer than ten minutes? Check.')
    .nullable(),
  stage: z.enum(STAGES),
  driedBefore: z.boolean().nullable(),
  region: z.object({
    face: z.number().int().min(1).max(4).nullable(),
    stretch: stretchSchema,
    sector: z
      .object({ from: z.number().min(0).max(1), to: z.number().min(0).max(1) })
      .refine(({ from, to }) => from !== to, {
        message: 'The sector begins where it ends.',
        path: ['to'],
      }),
    relief: z.union([
      z.enum(['all', 'hollows', 'raised']),
      z.templateLiteral(['motif:', z.string().min(1).max(30)]),
    ]),
  }),
  generation: z.number().int().min(1).max(20).default(1),
});

export const faceSchema = z.object({
  no: z.number().int().min(1).max(4),
  kind: z.enum(FACE_KINDS),
  slipVersionId: z.uuid().nullable(),
});

const date = z.iso.date('Give a date.').nullable();
const mark = z.string().trim().max(40, 'At most 40 characters.');

/** What all pieces of one act have in common. */
const common = {
  form: z.string().trim().min(1, 'Choose a form.').max(40),
  heightMm: z
    .number('Give a height.')
    .positive('More than 0.')
    .max(3000, 'Taller than 3 m? Check the unit.')
    .nullable(),
  faces: z.array(faceSchema).min(1, 'A piece has at least one face.').max(4, 'At most four faces.'),
  madeOn: date,
  notes: z.string().trim().max(4000).default(''),
  waitingFor: z.enum(['bisque', 'glaze']),
  wantedCone: optionalCone,
  wantedAtmosphere: z.enum(ATMOSPHERES).nullable(),
};

export const makeSchema = z
  .object({
    ...common,
    kind: z.enum(['tile', 'ware']),
    bodyId: z.uuid('Choose a body.'),
    count: z
      .number('How many?')
      .int('Whole pieces only.')
      .min(1, 'At least one.')
      .max(200, 'At most 200 in one act.'),
    marks: z.array(mark).max(200).default([]),
    ownerId: z.uuid().nullable(),
    layers: z.array(layerSchema).max(12, 'At most 12 layers.'),
    /** Pieces of the lot that turned out otherwise: coats by layer (0: left out), and a doubt to be remembered. */
    exceptions: z
      .array(
        z.object({
          index: z.number().int().min(1),
          coats: z.array(z.number().int().min(0).max(20)).max(12),
          flag: z.string().trim().max(300).default(''),
        }),
      )
      .max(200)
      .default([]),
    flag: z.string().trim().max(300).default(''),
  })
  .refine(({ exceptions, count }) => exceptions.every(({ index }) => index <= count), {
    message: 'An exception names a piece beyond the number made.',
    path: ['exceptions'],
  });

const coatPlan = z.object({
  method: z.enum(METHODS),
  coats: z.number().int().min(1).max(10),
  weight: z.enum(WEIGHTS),
  stretch: stretchSchema,
});

export const matrixSchema = z.object({
  ...common,
  bodyIds: z.array(z.uuid()).min(1, 'Choose at least one body.').max(10),
  bases: z.array(z.uuid()).min(1, 'Choose at least one base.').max(40),
  overs: z.array(z.uuid()).max(40),
  base: coatPlan,
  over: coatPlan,
  bothOrders: z.boolean(),
  alone: z.boolean(),
  repeats: z.number('How many?').int().min(1).max(5, 'At most five of each.'),
});

export const correctSchema = z.object({
  pieceIds: z.array(z.uuid()).min(1).max(200),
  layers: z.array(layerSchema).max(12, 'At most 12 layers.'),
});

export const editPieceSchema = z.object({
  pieceId: z.uuid(),
  mark,
  notes: z.string().trim().max(4000),
  ownerId: z.uuid().nullable(),
  heightMm: common.heightMm,
});

export const flagSchema = z.object({
  pieceIds: z.array(z.uuid()).min(1).max(200),
  text: z.string().trim().min(1, 'Say what the doubt is.').max(300),
});
export const clearFlagSchema = z.object({ flagId: z.uuid() });
export const binSchema = z.object({
  pieceIds: z.array(z.uuid()).min(1).max(500),
  binned: z.boolean(),
});

export type LayerInput = z.input<typeof layerSchema>;
export type MakeInput = z.input<typeof makeSchema>;
export type MatrixInput = z.input<typeof matrixSchema>;
