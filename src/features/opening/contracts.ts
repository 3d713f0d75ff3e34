import { z } from 'zod';
import { ATMOSPHERES, MEETINGS, OPACITIES, SURFACES, VERDICTS, signOf } from '@/core/signs';
import { MOST_POINTS, PLACES } from '@/core/looks';
import { parseZoneKey } from '@/core/zones';
import { count } from '@/core/units';
import { contract, kept, toggled, undoneBy } from '@/platform/contract';
import { momentField, optionalCone } from '@/platform/fields';

/** Under which name the acts of an opening are kept on a device. */
export const aboutOpening = ({ firingId }: { firingId: string }): string => `opening/${firingId}`;

const share = z.number().min(0).max(1);
const pointSchema = z
  .object({
    face: z.number().int().min(1).max(6).nullable(),
    sha: z
      .string()
      .regex(/^[0-9a-f]{64}$/)
      .nullable(),
    x: share,
    y: share,
  })
  .refine(({ face, sha }) => (face === null) !== (sha === null), 'On a face or on a picture.');

export const seenSchema = z.object({
  surface: z.enum(SURFACES).nullable(),
  opacity: z.enum(OPACITIES).nullable(),
  colour: z.string().trim().max(120, 'At most 120 characters.').nullable(),
  movementMm: z
    .number('Give a length.')
    .min(0, 'Not below 0.')
    .max(500, 'Ran more than 500 mm? Check the unit.')
    .nullable(),
  met: z.enum(MEETINGS).nullable(),
  rating: z.number().int().min(1).max(5).nullable(),
  /** Heard in a minute. */
  pings: z.number().int().min(0).max(600, 'Ten a second? Count again.').nullable().optional(),
  verdict: z.enum(VERDICTS).nullable(),
  /** What a refire is for; said with the verdict, and taken back with it. */
  refire: z
    .object({
      why: z.string().trim().max(300, 'At most 300 characters.'),
      todo: z.string().trim().max(200, 'At most 200 characters.'),
      cone: optionalCone,
      atmosphere: z.enum(ATMOSPHERES).nullable(),
    })
    .nullable()
    .optional(),
  /** Signs of before that were looked for and are gone. */
  healed: z
    .array(z.string().refine((id) => signOf(id) !== undefined, 'There is no such sign.'))
    .max(30)
    .optional(),
  note: z.string().trim().max(4000, 'At most 4000 characters.').default(''),
  signs: z
    .array(
      z.object({
        sign: z.string().refine((id) => signOf(id) !== undefined, 'There is no such sign.'),
        severity: z.union([z.literal(1), z.literal(2), z.literal(3)]),
        wanted: z.boolean(),
        /** Where it was shown, on the drawing or on a picture. */
        points: z.array(pointSchema).max(MOST_POINTS).optional(),
      }),
    )
    .max(30),
});
export type SeenInput = z.input<typeof seenSchema>;
/** Nothing said yet. */
export const NOTHING_SEEN: SeenInput = {
  surface: null,
  opacity: null,
  colour: null,
  movementMm: null,
  met: null,
  rating: null,
  verdict: null,
  note: '',
  signs: [],
};

export const withdrawSchema = z.object({ observationIds: z.array(z.uuid()).min(1).max(500) });
export const withdraw = contract('opening.withdraw', withdrawSchema);
/**
 * One thing seen on one or many pieces alike. The ids of the looks are made by whoever writes,
 * so that a phone without network can go on; `seenAt` is the moment by its clock. A look stands
 * beside those that are there; `corrects` names the one that it replaces (null: none; left out:
 * one's own of the same day, if there is one).
 */
export const recordSchema = z.object({
  firingId: z.uuid(),
  pieces: z
    .array(
      z.object({
        pieceId: z.uuid(),
        observationId: z.uuid(),
        corrects: z.uuid().nullable().optional(),
      }),
    )
    .min(1, 'Choose a piece.')
    .max(500),
  zone: z
    .string()
    .max(80)
    .refine((key) => parseZoneKey(key) !== null, 'There is no such zone.')
    .nullable(),
  seenAt: momentField.nullable().default(null),
  place: z.enum(PLACES).default('kiln'),
  seen: seenSchema,
});
export const record = kept(
  undoneBy(contract('opening.record', recordSchema), withdraw, ({ pieces }) => ({
    observationIds: pieces.map(({ observationId }) => observationId),
  })),
  {
    about: aboutOpening,
    label: ({ pieces }) => `A look at ${count(pieces.length, 'piece')}`,
    // As a look of its own, beside what was said meanwhile.
    anyway: (input) => ({
      ...input,
      pieces: input.pieces.map((entry) => ({ ...entry, corrects: null })),
    }),
  },
);
export type RecordInput = z.input<typeof recordSchema>;
export const settleDoubtSchema = z.object({ observationId: z.uuid(), corrects: z.boolean() });
/** From before looks stood beside one another: was this a look of its own, or a correction? */
export const settleDoubt = contract('opening.settle-doubt', settleDoubtSchema);
export const finishSchema = z.object({ firingId: z.uuid(), done: z.boolean() });
export const finish = toggled(contract('opening.finish', finishSchema), 'done');
