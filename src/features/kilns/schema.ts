import { z } from 'zod';
import {
  CONE_ROLES,
  FIRING_KINDS,
  LOG_KINDS,
  SETTINGS,
  STATUSES,
  UPKEEP_KINDS,
} from '@/core/firing';
import { checkSchedule } from '@/core/heatwork';
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

export const arrangeSchema = z.object({
  firingId: z.uuid(),
  spots: z
    .array(
      z.object({
        placementId: z.uuid(),
        shelf: z.number().int().min(1).max(30).nullable(),
        xMm: z.number().min(-2000).max(2000).nullable(),
        yMm: z.number().min(-2000).max(2000).nullable(),
        turned: z.boolean(),
      }),
    )
    .min(1)
    .max(500),
});

export const settingSchema = z.object({
  firingId: z.uuid(),
  placementIds: z.array(z.uuid()).min(1).max(500),
  setting: z.enum(SETTINGS),
});

export const overruleSchema = z.object({
  firingId: z.uuid(),
  finding: z.string().min(1).max(200),
  pieces: z.array(z.string().max(10)).max(500),
  reason: z.string().trim().min(3, 'Say why it may stay so.').max(300),
});
export const withdrawOverruleSchema = z.object({ firingId: z.uuid(), id: z.uuid() });

const segment = z.object({
  rate: z.number('Give a rate, or leave it empty for as fast as it goes.').nullable(),
  target: z.number('Give a temperature.'),
  holdMinutes: z.number('Give minutes, or 0.'),
});
export const segmentsField = z
  .array(segment)
  .min(1, 'At least one segment.')
  .max(40)
  .superRefine((segments, context) => {
    for (const { segment: at, field, message } of checkSchedule(segments))
      context.addIssue({ code: 'custom', message, path: [at, field] });
  });
export const scheduleFields = z.object({
  name: z.string().trim().min(1, 'Give a name.').max(80, 'At most 80 characters.'),
  notes: z.string().trim().max(1000, 'At most 1000 characters.').default(''),
  segments: segmentsField,
});
export const saveScheduleSchema = z.object({
  id: z.uuid().nullable(),
  revision: z.number().int().default(0),
  fields: scheduleFields,
});
export const archiveScheduleSchema = z.object({ id: z.uuid(), archived: z.boolean() });

export const runSchema = z.object({
  firingId: z.uuid(),
  schedule: z
    .object({ name: z.string().max(80), segments: segmentsField })
    .nullable()
    .optional(),
  onDuty: z.uuid().nullable().optional(),
  bringBy: z.iso.date('Give a date.').nullable().optional(),
  notice: z.string().trim().max(2000, 'At most 2000 characters.').optional(),
  nextTime: z.string().trim().max(2000, 'At most 2000 characters.').optional(),
  readEveryS: z.number().int().min(1).max(86_400).optional(),
  latestHours: z.number('Give hours.').min(1).max(200).nullable().optional(),
  energyUsed: z.number('Give a number.').min(0).max(1e6).nullable().optional(),
});

const celsius = z
  .number('Give a temperature.')
  .min(-30, 'Colder than a kiln is ever.')
  .max(2500, 'Hotter than any kiln.');
export const readSchema = z.object({
  firingId: z.uuid(),
  at: z.iso.datetime(),
  celsius,
  probeMv: z.number().min(-200).max(1500).nullable().default(null),
  /** Said when asked whether a strange reading is really so. */
  sure: z.boolean().default(false),
});
export const litSchema = z.object({ firingId: z.uuid(), at: z.iso.datetime() });
export const strikeSchema = z.object({
  firingId: z.uuid(),
  at: z.iso.datetime(),
  struck: z.boolean(),
});
export const importLogSchema = z.object({
  firingId: z.uuid(),
  /** Milliseconds since 1970 and °C, one pair a reading. */
  readings: z
    .array(z.tuple([z.number().int(), z.number().nullable()]))
    .min(1, 'The file has no readings.')
    .max(200_000, 'At most 200,000 readings at a time.'),
});
export const entrySchema = z.object({
  firingId: z.uuid(),
  id: z.uuid(),
  at: z.iso.datetime(),
  kind: z.enum(LOG_KINDS),
  atmosphere: z.enum(ATMOSPHERES).nullable().default(null),
  text: z.string().trim().max(500, 'At most 500 characters.').default(''),
});
export const dropEntrySchema = z.object({
  firingId: z.uuid(),
  id: z.uuid(),
  dropped: z.boolean(),
});

export const tokenSchema = z.object({
  kilnId: z.uuid(),
  name: z.string().trim().min(1, 'Say what will use it.').max(80),
});
export const revokeSchema = z.object({ id: z.uuid() });
export const upkeepSchema = z.object({
  kilnId: z.uuid(),
  id: z.uuid(),
  kind: z.enum(UPKEEP_KINDS),
  doneOn: z.iso.date('Give a date.'),
  note: z.string().trim().max(500).default(''),
});
export const dropUpkeepSchema = z.object({ id: z.uuid(), dropped: z.boolean() });
export const straysSchema = z.object({
  firingId: z.uuid().nullable(),
  kilnId: z.uuid(),
});
