import { z } from 'zod';
import { momentField } from '@/platform/fields';
import { aboutFiring } from '../firings/contracts';
import { LOG_KINDS } from '@/core/firing';
import { ATMOSPHERES } from '@/core/signs';
import { answers, contract, kept, toggled, undoneBy, withMuch } from '@/platform/contract';

export const strikeSchema = z.object({
  firingId: z.uuid(),
  at: momentField,
  struck: z.boolean(),
  /** Why it is struck, where that is said. */
  why: z.string().trim().max(200, 'At most 200 characters.').default(''),
});
export const strike = toggled(contract('firelog.strike', strikeSchema), 'struck');
const celsius = z
  .number('Give a temperature.')
  .min(-30, 'Colder than a kiln is ever.')
  .max(2500, 'Hotter than any kiln.');
export const readSchema = z.object({
  firingId: z.uuid(),
  at: momentField,
  celsius,
  probeMv: z.number().min(-200).max(1500).nullable().default(null),
  /** Said when asked whether a strange reading is really so. */
  sure: z.boolean().default(false),
});
export const read = kept(
  undoneBy(contract('firelog.read', readSchema), strike, ({ firingId, at }) => ({
    firingId,
    at,
    struck: true,
    why: '',
  })),
  {
    about: aboutFiring,
    label: ({ celsius, at }) => `Reading of ${at.slice(11, 16)} UTC: ${Math.round(celsius)} °C`,
    anyway: (input) => ({ ...input, sure: true }),
  },
);
const moments = z.array(z.number().int()).max(2000);
export const keepPaper = toggled(
  contract(
    'firelog.keep-paper',
    z.object({ firingId: z.uuid(), at: moments, remarks: z.array(z.uuid()), kept: z.boolean() }),
  ),
  'kept',
);
export const paperSchema = z.object({
  firingId: z.uuid(),
  /** Milliseconds since 1970 and °C. */
  readings: z.array(z.tuple([z.number().int(), celsius])).max(2000, 'At most 2000 lines at a time.'),
  remarks: z
    .array(
      z.object({
        id: z.uuid(),
        at: z.number().int(),
        kind: z.enum(LOG_KINDS),
        text: z.string().trim().min(1).max(500),
      }),
    )
    .max(2000),
});
/** A log from paper, in one act: readings and what was done beside them. */
export const paper = undoneBy(
  contract('firelog.paper', paperSchema, answers<{ kept: number; repeated: number; doubted: number }>()),
  keepPaper,
  ({ firingId, readings, remarks }) => ({
    firingId,
    at: readings.map(([at]) => at),
    remarks: remarks.map(({ id }) => id),
    kept: false,
  }),
);
export const correctSchema = z.object({
  firingId: z.uuid(),
  at: momentField,
  celsius,
  why: z.string().trim().min(1, 'Say why.').max(200, 'At most 200 characters.'),
});
export const correct = contract('firelog.correct', correctSchema);
/** In which unit the readings of a firing were written down: taken for °C, they may have been °F. */
export const sayUnit = toggled(
  contract('firelog.say-unit', z.object({ firingId: z.uuid(), fahrenheit: z.boolean() })),
  'fahrenheit',
);
export const litSchema = z.object({ firingId: z.uuid(), at: momentField });
export const litAt = contract('firelog.lit-at', litSchema);
export const importLogSchema = z.object({
  firingId: z.uuid(),
  /** Milliseconds since 1970 and °C, one pair a reading. */
  readings: z
    .array(z.tuple([z.number().int(), z.number().nullable()]))
    .min(1, 'The file has no readings.')
    .max(200_000, 'At most 200,000 readings at a time.'),
});
export const importLog = withMuch(
  contract(
    'firelog.import',
    importLogSchema,
    answers<{
      kept: number;
      repeated: number;
      doubted: number;
      /** Lines that cannot be readings, how many and the first of them. */
      refused: number;
      firstRefused: { row: number; why: string }[];
    }>(),
  ),
  8 * 1024 ** 2,
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
  at: momentField,
  kind: z.enum(LOG_KINDS),
  atmosphere: z.enum(ATMOSPHERES).nullable().default(null),
  text: z.string().trim().max(500, 'At most 500 characters.').default(''),
});
export const write = kept(
  undoneBy(contract('firelog.write', entrySchema), dropEntry, ({ firingId, id }) => ({
    firingId,
    id,
    dropped: true,
  })),
  {
    about: aboutFiring,
    label: ({ kind, text }) => ['Diary', kind, text].filter(Boolean).join(', '),
  },
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
