import { z } from 'zod';
import { CONE_ROLES, FIRING_KINDS, HOW_FULL, STATUSES } from '@/core/firing';
import { ATMOSPHERES } from '@/core/signs';
import { count } from '@/core/units';
import { kept, answers, contract, toggled, undoneBy } from '@/platform/contract';
import { momentField, coneField, dayField, optionalCone } from '@/platform/fields';
import { segmentsField } from '../kilns/contracts';

/** Under which name what is said of a firing is kept on a device. */
export const aboutFiring = ({ firingId }: { firingId: string }): string => `firing/${firingId}`;

export const firingFields = z.object({
  kilnId: z.uuid('Choose a kiln.'),
  kind: z.enum(FIRING_KINDS),
  targetCone: optionalCone,
  atmosphere: z.enum(ATMOSPHERES),
  plannedFor: dayField.nullable(),
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
export const plan = contract(
  'firings.plan',
  planSchema,
  answers<{
    id: string;
    no: number;
    /** The control tile that went in by itself. */ control: { code: string; placementId: string } | null;
  }>(),
);
export const editFiringSchema = z.object({
  firingId: z.uuid(),
  revision: z.number().int(),
  fields: firingFields,
});
export const edit = contract('firings.edit', editFiringSchema);
export const conesSchema = z.object({ firingId: z.uuid(), cones: packs });
export const setCones = contract('firings.set-cones', conesSchema);
export const moveSchema = z.object({
  firingId: z.uuid(),
  from: z.enum(STATUSES),
  to: z.enum(STATUSES),
  reason: z.string().trim().max(300, 'At most 300 characters.').default(''),
  /** When it was, where that is not now: it was said without a network. */
  at: momentField.nullable().default(null),
});
export const move = kept(contract('firings.move', moveSchema), {
  about: aboutFiring,
  label: ({ to }) => `The firing is ${to}`,
  anyway: (input) => ({ ...input, reason: input.reason || 'said at the kiln, without a network' }),
});
export const callOff = toggled(
  contract('firings.call-off', z.object({ firingId: z.uuid(), calledOff: z.boolean() })),
  'calledOff',
);
export const readConesSchema = z.object({
  firingId: z.uuid(),
  readings: z
    .array(
      z.object({
        coneId: z.uuid(),
        bendDegrees: z.number().min(0, 'Upright is 0°.').max(120, 'Past 120° it lies flat.').nullable(),
      }),
    )
    .min(1)
    .max(60),
});
export const readCones = kept(
  contract(
    'firings.read-cones',
    readConesSchema,
    answers<{
      reachedOrdinal: number | null;
      coneBand: string;
      /** Earlier firings that stand under another cone by what this one taught. */
      moved: { title: string; was: string; became: string }[];
    }>(),
  ),
  {
    about: aboutFiring,
    label: ({ readings }) => `${count(readings.length, 'cone')} read`,
  },
);
const how = z.object({
  fullness: z.enum(HOW_FULL).nullable(),
  /** Where the air was another than in the rest, by shelf counted from the lowest. */
  shelfAir: z.record(
    z.string().regex(/^([1-9]|[12]\d|30)$/, 'Shelves are counted from 1.'),
    z.enum(ATMOSPHERES),
  ),
});
const howAgain = contract('firings.say-how-again', how.extend({ firingId: z.uuid() }));
export { howAgain as sayHowAgain };
/** How full it was, and where its air differed; `before` is what was said until now, for the way back. */
export const sayHow = undoneBy(
  contract('firings.say-how', how.extend({ firingId: z.uuid(), before: how })),
  howAgain,
  ({ firingId, before }) => ({ firingId, ...before }),
);
/** How a firing is run: what is not named stays as it is. */
export const runSchema = z.object({
  firingId: z.uuid(),
  schedule: z
    .object({ name: z.string().max(80), segments: segmentsField })
    .nullable()
    .optional(),
  onDuty: z.uuid().nullable().optional(),
  bringBy: dayField.nullable().optional(),
  notice: z.string().trim().max(2000, 'At most 2000 characters.').optional(),
  nextTime: z.string().trim().max(2000, 'At most 2000 characters.').optional(),
  readEveryS: z.number().int().min(1).max(86_400).optional(),
  latestHours: z.number('Give hours.').min(1).max(200).nullable().optional(),
  energyUsed: z.number('Give a number.').min(0).max(1e6).nullable().optional(),
});
export const setRun = contract('firings.set-run', runSchema);
