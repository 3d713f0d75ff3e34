import { z } from 'zod';
import { EVERYWHERE, FACE_KINDS, KEYS, METHODS, STAGES, WARE_SURFACES, WEIGHTS } from '@/core/zones';
import { ATMOSPHERES } from '@/core/signs';
import { answers, contract, toggled, undoneBy } from '@/platform/contract';
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
  seconds: z.number().min(0, 'Not below 0 s.').max(600, 'Longer than ten minutes? Check.').nullable(),
  stage: z.enum(STAGES),
  driedBefore: z.boolean().nullable(),
  region: z.object({
    face: z.number().int().min(1).max(6).nullable(),
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
  no: z.number().int().min(1).max(6),
  kind: z.enum(FACE_KINDS),
  slipVersionId: z.uuid().nullable(),
  surface: z.enum(WARE_SURFACES).nullable().optional(),
});
export const markField = z.string().trim().max(40, 'At most 40 characters.');
export const heightField = z
  .number('Give a height.')
  .positive('More than 0.')
  .max(3000, 'Taller than 3 m? Check the unit.')
  .nullable();
export const correctSchema = z.object({
  pieceIds: z.array(z.uuid()).min(1).max(200),
  layers: z.array(layerSchema).max(12, 'At most 12 layers.'),
  /** Somebody's recollection, not a record. */
  likely: z.boolean().default(false),
});
export const correctLayers = contract('pieces.correct-layers', correctSchema);
const changed = z.object({
  bodyId: z.uuid().optional(),
  form: z.string().trim().min(1).max(40).optional(),
  heightMm: heightField.optional(),
  faces: z.array(faceSchema).min(1).max(6).optional(),
  ownerId: z.uuid().nullable().optional(),
  wantedCone: optionalCone.optional(),
  wantedAtmosphere: z.enum(ATMOSPHERES).nullable().optional(),
  mark: markField.nullable().optional(),
  /** What was really put on; what was meant stays as it is. */
  layers: z.array(layerSchema).max(12).optional(),
  /** How sure it is what lies on it; what nobody knows is not the same as bare. */
  keyKnown: z.enum(KEYS).optional(),
  /** The same as on another piece. */
  layersLike: z.uuid().optional(),
});
export const putRightSchema = z.object({
  changes: z
    .array(z.object({ pieceIds: z.array(z.uuid()).min(1).max(500), to: changed }))
    .min(1)
    .max(600),
});
export type PutRight = z.input<typeof putRightSchema>;
const backAgain = contract('pieces.put-back', putRightSchema);
export { backAgain as putBack };
/** One act for one piece, a lot or a ticked selection: only what is named changes. */
export const putRight = undoneBy(
  contract('pieces.put-right', putRightSchema, answers<{ before: PutRight['changes'] }>()),
  backAgain,
  (_, { before }) => ({ changes: before }),
);
export const editPieceSchema = z.object({
  pieceId: z.uuid(),
  mark: markField,
  notes: z.string().trim().max(4000),
  ownerId: z.uuid().nullable(),
  heightMm: heightField,
  /** Others in the studio may look at it. */
  shown: z.boolean().default(false),
});
export const edit = contract('pieces.edit', editPieceSchema);
export const flagSchema = z.object({
  pieceIds: z.array(z.uuid()).min(1).max(200),
  text: z.string().trim().min(1, 'Say what the doubt is.').max(300),
});
export const flag = contract('pieces.flag', flagSchema);
export const clearFlagSchema = z.object({ flagId: z.uuid() });
export const clearFlag = contract('pieces.clear-flag', clearFlagSchema);
export const binSchema = z.object({
  pieceIds: z.array(z.uuid()).min(1).max(500),
  binned: z.boolean(),
});
export const bin = toggled(contract('pieces.bin', binSchema), 'binned');
export type LayerInput = z.input<typeof layerSchema>;

/** A layer as it is first offered: one dip everywhere. */
export const newLayer = (coatingVersionId: string, generation: number): LayerInput => ({
  coatingVersionId,
  method: 'dip',
  coats: 1,
  weight: 'normal',
  thicknessMm: null,
  seconds: null,
  stage: generation > 1 ? 'glaze-fired' : 'bisque',
  driedBefore: null,
  region: EVERYWHERE,
  generation,
});
