import { z } from 'zod';
import { MEETINGS, OPACITIES, SURFACES, VERDICTS, signOf } from '@/core/signs';
import { parseZoneKey } from '@/core/zones';

export const seenSchema = z.object({
  surface: z.enum(SURFACES).nullable(),
  opacity: z.enum(OPACITIES).nullable(),
  colour: z.string().trim().max(120, 'At most 120 characters.').nullable(),
  movementMm: z
    .number('Give a length.')
    .min(0, 'Not below 0.')
    .max(500, 'Ran more than 500 mm? Check the unit.')
    .nullable(),
  met: z.enum(MEETINGS).nullable(),
  rating: z.number().int().min(1).max(5).nullable(),
  verdict: z.enum(VERDICTS).nullable(),
  note: z.string().trim().max(4000, 'At most 4000 characters.').default(''),
  signs: z
    .array(
      z.object({
        sign: z.string().refine((id) => signOf(id) !== undefined, 'There is no such sign.'),
        severity: z.union([z.literal(1), z.literal(2), z.literal(3)]),
        wanted: z.boolean(),
      }),
    )
    .max(30),
});

export type SeenInput = z.input<typeof seenSchema>;

/**
 * One thing seen on one or many pieces alike. The ids of the observations are made by
 * whoever writes, so that a phone without network can go on. `basedOn` names the
 * observation that was on the screen (null for none): if another stands there now,
 * somebody else wrote meanwhile. `replace` writes over that all the same.
 */
export const recordSchema = z.object({
  firingId: z.uuid(),
  pieces: z
    .array(z.object({ pieceId: z.uuid(), observationId: z.uuid(), basedOn: z.uuid().nullable() }))
    .min(1, 'Choose a piece.')
    .max(500),
  zone: z
    .string()
    .max(80)
    .refine((key) => parseZoneKey(key) !== null, 'There is no such zone.')
    .nullable(),
  replace: z.boolean().default(false),
  seen: seenSchema,
});

export type RecordInput = z.input<typeof recordSchema>;

export const withdrawSchema = z.object({ observationIds: z.array(z.uuid()).min(1).max(500) });
export const finishSchema = z.object({ firingId: z.uuid(), done: z.boolean() });
export const binPhotoSchema = z.object({ photoId: z.uuid(), binned: z.boolean() });
