import { z } from 'zod';
import { compareCones, isCone } from '@/core/cones';
import { BODY_TRAITS, COATING_TRAITS, SHELF_SHAPES } from '@/core/load';
import { COATING_KINDS } from '@/core/zones';
import { optionalCone } from '@/platform/fields';
import { BODY_KINDS, CONTROLS, ENERGIES, GROUNDS } from '@/data/catalogue';

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

const measure = (most: number) =>
  z
    .number('Give a length.')
    .min(50, 'At least 50 mm.')
    .max(most, `At most ${most} mm.`)
    .nullable()
    .default(null);
const place = z.number('Give a length.').min(-1000).max(1000).nullable().default(null);

export const kilnFields = z.object({
  name,
  energy: z.enum(ENERGIES),
  control: z.enum(CONTROLS),
  volumeL: z
    .number('Give a number of litres.')
    .int()
    .min(1, 'At least a litre.')
    .max(60_000)
    .nullable(),
  shelves: z
    .number('Give a number.')
    .int()
    .min(1, 'At least one shelf.')
    .max(30, 'At most 30 shelves.'),
  shelfShape: z.enum(SHELF_SHAPES).nullable().default(null),
  shelfWidthMm: measure(2000),
  shelfDepthMm: measure(2000),
  chamberMm: measure(4000),
  thermocoupleXMm: place,
  thermocoupleYMm: place,
  powerKw: z.number('Give a number.').positive('Above 0.').max(500).nullable().default(null),
  unitPrice: z.number('Give a number.').min(0).max(1000).nullable().default(null),
  climbRate: z.number('Give a number.').min(20).max(1500).nullable().default(null),
  latestHours: z.number('Give a number.').min(1).max(200).nullable().default(null),
  notes: text,
});

/** `id: null` makes a new one; otherwise the revision that was read must still be the last. */
const saving = <T extends z.ZodType>(fields: T) =>
  z.object({ id: z.uuid().nullable(), revision: z.number().int().default(0), fields });

export const saveBodySchema = saving(bodyFields);
export const saveCoatingSchema = saving(coatingFields);
export const saveKilnSchema = saving(kilnFields);
export const addVersionSchema = z.object({
  coatingId: z.uuid(),
  notes: z.string().trim().min(1, 'Say what changed.').max(2000),
});
export const archiveSchema = z.object({
  table: z.enum(['body', 'coating', 'kiln']),
  id: z.uuid(),
  archived: z.boolean(),
});
