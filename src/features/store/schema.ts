import { z } from 'zod';
import { compareCones, isCone } from '@/core/cones';
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
  })
  .refine(rangeRuns, RANGE_MESSAGE);

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
