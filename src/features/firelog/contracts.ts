import { z } from 'zod';
import { LOG_KINDS } from '@/core/firing';
import { ATMOSPHERES } from '@/core/signs';
import { answers, contract, toggled, undoneBy } from '@/platform/contract';

export const strikeSchema = z.object({
  firingId: z.uuid(),
  at: z.iso.datetime(),
  struck: z.boolean(),
});
export const strike = toggled(contract('firelog.strike', strikeSchema), 'struck');
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
export const read = undoneBy(contract('firelog.read', readSchema), strike, ({ firingId, at }) => ({
  firingId,
  at,
  struck: true,
}));
export const litSchema = z.object({ firingId: z.uuid(), at: z.iso.datetime() });
export const litAt = contract('firelog.lit-at', litSchema);
export const importLogSchema = z.object({
  firingId: z.uuid(),
  /** Milliseconds since 1970 and °C, one pair a reading. */
  readings: z
    .array(z.tuple([z.number().int(), z.number().nullable()]))
    .min(1, 'The file has no readings.')
    .max(200_000, 'At most 200,000 readings at a time.'),
});
export const importLog = contract(
  'firelog.import',
  importLogSchema,
  answers<{ kept: number; repeated: number; doubted: number }>(),
);
export const dropEntrySchema = z.object({
  firingId: z.uuid(),
  id: z.uuid(),
  dropped: z.boolean(),
});
export const dropEntry = toggled(contract('firelog.drop-entry', dropEntrySchema), 'dropped');
export const entrySchema = z.object({
  firingId: z.uuid(),
  id: z.uuid(),
  at: z.iso.datetime(),
  kind: z.enum(LOG_KINDS),
  atmosphere: z.enum(ATMOSPHERES).nullable().default(null),
  text: z.string().trim().max(500, 'At most 500 characters.').default(''),
});
export const write = undoneBy(
  contract('firelog.write', entrySchema),
  dropEntry,
  ({ firingId, id }) => ({
    firingId,
    id,
    dropped: true,
  }),
);
export const straysSchema = z.object({
  firingId: z.uuid().nullable(),
  kilnId: z.uuid(),
});
export const settleStrays = contract(
  'firelog.settle-strays',
  straysSchema,
  answers<{ kept: number; dropped: number }>(),
);
