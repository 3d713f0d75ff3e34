import { z } from 'zod';
import { shapeSchema, spotSchema } from '@/core/frame';
import { answers, contract, undoneBy } from '@/platform/contract';

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
    .refine((list) => new Set(list.map(({ face }) => face)).size === list.length, 'Each face has one frame.'), // prettier-ignore
  /** The middles of the grey card's steps, dark to light; null where there is none in the picture. */
  grey: z.array(spotSchema).min(1).max(MOST_STEPS).nullable(),
});

type Before = z.input<typeof setFramesSchema>;

/** Why nothing was measured, or how many zones were. */
export type Measured = { zones: number; byGrey: boolean; why: string | null };

const putFrames = contract('frames.set', setFramesSchema, answers<Measured & { before: Before }>());

/** Says where the faces of a piece lie in a picture; taken back by what was said before. */
export const setFrames = undoneBy(putFrames, putFrames, (_, { before }) => before);

export const greyCardSchema = z.object({
  card: z
    .array(z.number().min(3).max(99))
    .max(MOST_STEPS)
    .refine((list) => list.every((l, i) => i === 0 || l > list[i - 1]!), 'From dark to light, each step lighter than the one before.'), // prettier-ignore
});

/** The steps of the studio's grey card, by their lightness L*; none for “we have no card”. */
export const sayCard = contract('frames.card', greyCardSchema);
