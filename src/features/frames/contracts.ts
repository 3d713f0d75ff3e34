import { z } from 'zod';
import { boxSchema, shapeSchema, spotSchema } from '@/core/frame';
import { answers, contract, toggled, undoneBy, withFile } from '@/platform/contract';

export const MOST_STEPS = 24;
export const MOST_FACES = 8;

const frameSchema = z.object({
  face: z.number().int().min(1).max(99),
  shape: shapeSchema,
  guessed: z.boolean(),
});

export const setFramesSchema = z.object({
  photoId: z.uuid(),
  frames: z
    .array(frameSchema)
    .max(MOST_FACES)
    .refine((list) => new Set(list.map(({ face }) => face)).size === list.length, 'Each face has one frame.'),
  /** The middles of the grey card's steps, dark to light; null where there is none in the picture. */
  grey: z.array(spotSchema).min(1).max(MOST_STEPS).nullable(),
  /** There is nothing to frame in it: it is not asked about again. */
  nothing: z.boolean().default(false),
});

export const setOfSchema = setFramesSchema.omit({ photoId: true }).extend({
  pieceId: z.uuid(),
  firingId: z.uuid().nullable(),
  /** The act that sends it: by that the device knows which of its pictures are framed. */
  act: z.uuid(),
  /** Of the file as it is sent. */
  sha: z.string().regex(/^[0-9a-f]{64}$/),
});

export const MOST_PICTURES = 24;
export const setManySchema = z.object({
  pictures: z
    .array(setFramesSchema)
    .min(1)
    .max(MOST_PICTURES)
    .refine((list) => new Set(list.map(({ photoId }) => photoId)).size === list.length, 'Each picture once.'),
});

type Before = z.input<typeof setFramesSchema>;

/** Why nothing was measured, or how many zones were. */
export type Measured = { zones: number; byGrey: boolean; why: string | null };

const putFrames = contract('frames.set', setFramesSchema, answers<Measured & { before: Before }>());

/** Says where the faces of a piece lie in a picture; taken back by what was said before. */
export const setFrames = undoneBy(putFrames, putFrames, (_, { before }) => before);

/** The same of a picture that waits on a device: named by what it is of, and sent after it. */
export const setFramesOf = contract('frames.set-of', setOfSchema, answers<Measured>());

const putMany = contract(
  'frames.set-many',
  setManySchema,
  answers<{ framed: number; measured: number; before: { pictures: Before[] } }>(),
);

/** The same for many pictures as one act. */
export const setManyFrames = undoneBy(putMany, putMany, (_, { before }) => before);

export const greyCardSchema = z.object({
  card: z
    .array(z.number().min(3).max(99))
    .max(MOST_STEPS)
    .refine(
      (list) => list.every((l, i) => i === 0 || l > list[i - 1]!),
      'From dark to light, each step lighter than the one before.',
    ),
});

/** The steps of the studio's grey card, by their lightness L*; none for “we have no card”. */
export const sayCard = contract('frames.card', greyCardSchema);

export const standsSchema = z.object({
  /** The cell’s id as it follows from what it is. */
  cellId: z.string().regex(/^[0-9a-f]{32}$/),
  /** Null: the best of its pictures, by itself. */
  photoId: z.uuid().nullable(),
});
type Stands = z.input<typeof standsSchema>;

const putStands = contract('frames.stands', standsSchema, answers<{ before: Stands }>());

/** Lets a picture stand for a cell of the chart; taken back by what stood before. */
export const letStand = undoneBy(putStands, putStands, (_, { before }) => before);

const MOST_BYTES = 40 * 1024 * 1024;
export const MOST_ON_SHELF = 120;

export const shelfSchema = z.object({
  firingId: z.uuid(),
  pieces: z
    .array(z.object({ pieceId: z.uuid(), frames: z.array(frameSchema).min(1).max(MOST_FACES) }))
    .min(1, 'Say of at least one of them which piece it is.')
    .max(MOST_ON_SHELF)
    .refine((list) => new Set(list.map(({ pieceId }) => pieceId)).size === list.length, 'Each piece once.'),
  grey: z.array(spotSchema).min(1).max(MOST_STEPS).nullable(),
});

const shelfAway = contract(
  'frames.shelf-away',
  z.object({ photoIds: z.array(z.uuid()).max(MOST_ON_SHELF), binned: z.boolean() }),
);
/** Takes a picture of many pieces away from all of them, or gives it back. */
export const putShelfAway = toggled(shelfAway, 'binned');

/**
 * One picture of a shelf becomes the picture of every piece on it, each with its frame; taken back as one.
 */
export const addShelf = undoneBy(
  withFile(
    contract(
      'frames.shelf',
      shelfSchema,
      answers<{ photoIds: string[]; added: string[]; measured: number }>(),
    ),
    MOST_BYTES,
  ),
  shelfAway,
  // A picture that a piece had before stays with it.
  (_, { added }) => ({ photoIds: added, binned: true }),
);

/**
 * Keeps only a part of a picture, wherever it is shown, and what was cut away for nobody: there is no way
 * back.
 */
export const cropPicture = contract(
  'frames.crop',
  z.object({ photoId: z.uuid(), keep: boxSchema }),
  answers<{ pieces: number }>(),
);
