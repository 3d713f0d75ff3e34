import { z } from 'zod';
import { METHODS } from '@/core/zones';
import { answers, contract, toggled, undoneBy, withFile } from '@/platform/contract';
import { KNOWN_COLUMNS, type Column } from './columns';

const column = z.custom<Column>(
  (value) => KNOWN_COLUMNS.includes(value as Column),
  'There is no such column.',
);

/** `'new'` makes it, an id takes what is there. A name without an answer holds its rows up. */
const answer = z.union([z.literal('new'), z.uuid()]);

export const importOptions = z.object({
  columns: z.record(z.string(), column.nullable()).default({}),
  fillDown: z.array(column).default([]),
  /**
   * Cells mended after the file was read, in order: of one line, or of all lines that have these words
   * in that column.
   */
  mended: z
    .array(
      z.object({
        column: z.number().int().min(0),
        line: z.number().int().min(1).nullable(),
        from: z.string().max(4000),
        to: z.string().trim().max(4000, 'At most 4000 characters.'),
      }),
    )
    .max(5000, 'So much is mended better in the file.')
    .default([]),
  /** Columns that are not taken and are not to go into the note either. */
  leftOut: z.array(z.number().int().min(0)).default([]),
  bodies: z.record(z.string(), answer).default({}),
  coatings: z.record(z.string(), answer).default({}),
  kilns: z.record(z.string(), answer).default({}),
  /** The kiln of rows that name none. */
  kilnForRest: answer.nullable().default(null),
  method: z.enum(METHODS).default('dip'),
  /** Is the cone column what cones showed, or only what was intended? */
  conesShown: z.boolean().default(false),
  leaveOutRefused: z.boolean().default(false),
  /** Rows that came in before come once more. */
  again: z.boolean().default(false),
  /** Rows that may have come in before stay out too. */
  leaveOutMaybe: z.boolean().default(false),
});

export type ImportOptions = z.output<typeof importOptions>;
export type ImportOptionsInput = z.input<typeof importOptions>;

/** What an import made. */
export type Imported = {
  /** All of its pieces. */
  lotId: string;
  /** Coatings that it made. */
  coatingIds: string[];
  pieces: number;
  firings: number;
  bodies: number;
  coatings: number;
  kilns: number;
};

/**
 * Puts what came in together into the bin, and away those coatings it made that nothing else bears; or gives
 * back what went there at that moment.
 */
export const putAway = toggled(
  contract(
    'exchange.away',
    z.object({
      lotId: z.uuid(),
      coatingIds: z.array(z.uuid()).max(5000, 'So many coatings come in no table.'),
      binned: z.boolean(),
    }),
  ),
  'binned',
);

/** All rows of a file, or none; taken back as one. */
export const importFile = undoneBy(
  withFile(contract('exchange.import', importOptions, answers<Imported>()), 30 * 1024 * 1024),
  putAway,
  (_, { lotId, coatingIds }) => ({ lotId, coatingIds, binned: true }),
);
