import { z } from 'zod';
import { ATMOSPHERES } from '@/core/signs';
import { answers, contract } from '@/platform/contract';
import { dayField, optionalCone } from '@/platform/fields';
import { faceSchema, heightField, layerSchema, markField } from '../pieces/contracts';

const date = dayField.nullable();
/** What all pieces of one act have in common. */
const common = {
  form: z.string().trim().min(1, 'Choose a form.').max(40),
  heightMm: heightField,
  faces: z.array(faceSchema).min(1, 'A piece has at least one face.').max(6, 'At most six faces.'),
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
    marks: z.array(markField).max(200).default([]),
    ownerId: z.uuid().nullable(),
    layers: z.array(layerSchema).max(12, 'At most 12 layers.'),
    /**
     * Pieces of the lot that turned out otherwise: coats by layer (0: left out), and a doubt to be
     * remembered.
     */
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
export const make = contract('tests.make', makeSchema, answers<{ codes: string[]; lotId: string | null }>());
export type MakeInput = z.input<typeof makeSchema>;
