import { z } from 'zod';
import { cornersSchema, spotSchema } from '@/core/frame';
import { ATMOSPHERES } from '@/core/signs';
import { AXES } from '@/core/wallboard';
import { FACE_KINDS, METHODS } from '@/core/zones';
import { answers, contract, undoneBy, withFile, withMuch } from '@/platform/contract';
import { dayField, optionalCone } from '@/platform/fields';
import { putAway } from '../exchange/contracts';

/** So many rows, and so many columns, a board may have. */
export const MOST_SIDE = 24;
export const MOST_TILES = 400;

const heading = z.string().trim().max(80, 'At most 80 characters.');
const side = z.object({ are: z.enum(AXES), headings: z.array(heading).max(MOST_SIDE) });
const coats = z.number().int().min(0).max(6);

export const boardSchema = z.object({
  rows: side,
  columns: side,
  beneath: z.enum(['rows', 'columns']),
  under: coats.min(1),
  top: z
    .object({ lower: coats, upper: coats })
    .refine(({ lower, upper }) => lower + upper > 0, 'Say how many coats are on top.'),
  line: z.number().min(0.05).max(0.95),
  halves: z.object({ left: z.enum(FACE_KINDS), right: z.enum(FACE_KINDS) }).nullable(),
  body: heading.min(1, 'Say which body the tiles are of.'),
});

export const bringBoardSchema = z.object({
  /** What the board is called, so that its tiles are found together. */
  name: z.string().trim().min(1, 'Give the board a name.').max(80, 'At most 80 characters.'),
  board: boardSchema,
  cone: optionalCone,
  /** The cone is what cones showed, not only what was meant. */
  conesShown: z.boolean(),
  atmosphere: z.enum(ATMOSPHERES),
  kilnId: z.uuid().nullable(),
  firedOn: dayField.nullable(),
  method: z.enum(METHODS),
  tiles: z
    .array(
      z.object({
        row: z
          .number()
          .int()
          .min(0)
          .max(MOST_SIDE - 1),
        column: z
          .number()
          .int()
          .min(0)
          .max(MOST_SIDE - 1),
        own: z.string().trim().max(200).nullable(),
        shape: cornersSchema,
      }),
    )
    .min(1, 'No tile hangs on this board.')
    .max(MOST_TILES, `At most ${MOST_TILES} tiles at a time.`)
    .refine(
      (list) => new Set(list.map(({ row, column }) => `${row}/${column}`)).size === list.length,
      'Each place once.',
    ),
  grey: z.array(spotSchema).min(1).max(24).nullable(),
});

export type BringBoard = z.output<typeof bringBoardSchema>;
export type BringBoardInput = z.input<typeof bringBoardSchema>;

export type Brought = {
  /** All of its tiles. */
  lotId: string;
  pieceIds: string[];
  /** Coatings that it made. */
  coatingIds: string[];
  bodies: number;
  measured: number;
  /** The board of the chart on which most of them stand. */
  chart: { body: string; cone: string; atmosphere: string } | null;
};

/** A picture of a board becomes its tiles, each with its own part of the picture; taken back as one. */
export const bringBoard = undoneBy(
  withMuch(
    withFile(contract('wallboard.bring', bringBoardSchema, answers<Brought>()), 40 * 1024 * 1024),
    2 * 1024 * 1024,
  ),
  putAway,
  (_, { lotId, coatingIds }) => ({ lotId, coatingIds, binned: true }),
);
