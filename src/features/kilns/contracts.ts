import { z } from 'zod';
import { dayField } from '@/platform/fields';
import { UPKEEP_KINDS } from '@/core/firing';
import { checkSchedule } from '@/core/heatwork';
import { SHELF_SHAPES } from '@/core/load';
import { CONTROLS, ENERGIES } from '@/core/studio';
import { answers, contract, toggled, undoneBy } from '@/platform/contract';

const name = z.string().trim().min(1, 'Give a name.').max(80, 'At most 80 characters.');
const text = z.string().trim().max(4000, 'At most 4000 characters.').default('');
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
  volumeL: z.number('Give a number of litres.').int().min(1, 'At least a litre.').max(60_000).nullable(),
  shelves: z.number('Give a number.').int().min(1, 'At least one shelf.').max(30, 'At most 30 shelves.'),
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
  /** What its pyrometer shows; null: as the studio. */
  showsUnit: z.enum(['C', 'F']).nullable().default(null),
  notes: text,
});
/** `id: null` makes a new one; otherwise the revision that was read must still be the last. */
const saveSchema = z.object({
  id: z.uuid().nullable(),
  revision: z.number().int().default(0),
  fields: kilnFields,
});
export const save = contract('kilns.save', saveSchema, answers<{ id: string; slug?: string }>());
const archiveSchema = z.object({ id: z.uuid(), archived: z.boolean() });
export const archive = toggled(contract('kilns.archive', archiveSchema), 'archived');
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
export const saveSchedule = contract('kilns.save-schedule', saveScheduleSchema, answers<{ id: string }>());
export const archiveSchedule = toggled(contract('kilns.archive-schedule', archiveSchema), 'archived');
export const tokenSchema = z.object({
  kilnId: z.uuid(),
  name: z.string().trim().min(1, 'Say what will use it.').max(80),
});
export const makeToken = contract('kilns.make-token', tokenSchema, answers<{ id: string; secret: string }>());
export const revokeSchema = z.object({ id: z.uuid() });
export const revokeToken = contract('kilns.revoke-token', revokeSchema);
export const dropUpkeepSchema = z.object({ id: z.uuid(), dropped: z.boolean() });
export const dropUpkeep = toggled(contract('kilns.drop-upkeep', dropUpkeepSchema), 'dropped');
export const upkeepSchema = z.object({
  kilnId: z.uuid(),
  id: z.uuid(),
  kind: z.enum(UPKEEP_KINDS),
  doneOn: dayField,
  note: z.string().trim().max(500).default(''),
  /** Which shelf was ground; null for all of them. */
  shelf: z.number().int().min(1).max(40).nullable().default(null),
});
export const upkeep = undoneBy(contract('kilns.upkeep', upkeepSchema), dropUpkeep, ({ id }) => ({
  id,
  dropped: true,
}));

const posts = z
  .array(z.object({ xMm: z.number().min(-2000).max(2000), yMm: z.number().min(-2000).max(2000) }))
  .min(1, 'A shelf stands on posts.')
  .max(6, 'At most six posts.')
  .nullable();
const postsAgain = contract('kilns.set-posts-again', z.object({ kilnId: z.uuid(), posts }));
export { postsAgain as setPostsAgain };
/** Where the posts stand on every shelf of a kiln; null: at their usual places. */
export const setPosts = undoneBy(
  contract('kilns.set-posts', z.object({ kilnId: z.uuid(), posts, before: posts })),
  postsAgain,
  ({ kilnId, before }) => ({ kilnId, posts: before }),
);
