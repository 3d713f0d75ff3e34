import { z } from 'zod';
import { CONE_ROLES, FIRING_KINDS, SETTINGS, STATUSES } from '@/core/firing';
import { ATMOSPHERES } from '@/core/signs';
import { coneField, optionalCone } from '@/platform/fields';

export const firingFields = z.object({
  kilnId: z.uuid('Choose a kiln.'),
  kind: z.enum(FIRING_KINDS),
  targetCone: optionalCone,
  atmosphere: z.enum(ATMOSPHERES),
  plannedFor: z.iso.date('Give a date.').nullable(),
  notes: z.string().trim().max(4000, 'At most 4000 characters.').default(''),
});

const pack = z.object({
  cone: coneField,
  role: z.enum(CONE_ROLES),
  place: z.string().trim().min(1, 'Say where it stands.').max(60),
});
const packs = z
  .array(pack)
  .max(60)
  .refine(
    (cones) => new Set(cones.map((one) => `${one.place}\n${one.cone}`)).size === cones.length,
    'The same cone stands twice in one place.',
  );

export const planSchema = z.object({ fields: firingFields, cones: packs.default([]) });
export const editFiringSchema = z.object({
  firingId: z.uuid(),
  revision: z.number().int(),
  fields: firingFields,
});
export const conesSchema = z.object({ firingId: z.uuid(), cones: packs });

export const placeSchema = z.object({
  firingId: z.uuid(),
  pieceIds: z.array(z.uuid()).min(1, 'Choose a piece.').max(500),
  shelf: z.number('Which shelf?').int().min(1, 'Shelves are counted from 1.').max(30).nullable(),
  position: z.string().trim().max(20).default(''),
  setting: z.enum(SETTINGS).default('unknown'),
});

export const takeOutSchema = z.object({
  firingId: z.uuid(),
  placementIds: z.array(z.uuid()).min(1).max(500),
});

export const moveSchema = z.object({
  firingId: z.uuid(),
  from: z.enum(STATUSES),
  to: z.enum(STATUSES),
  reason: z.string().trim().max(300, 'At most 300 characters.').default(''),
});

export const readConesSchema = z.object({
  firingId: z.uuid(),
  readings: z
    .array(
      z.object({
        coneId: z.uuid(),
        bendDegrees: z
          .number()
          .min(0, 'Upright is 0°.')
          .max(120, 'Past 120° it lies flat.')
          .nullable(),
      }),
    )
    .min(1)
    .max(60),
});
