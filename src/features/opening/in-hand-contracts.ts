/** A fired piece in hand whose making or firing nobody recorded. */
import { z } from 'zod';
import { isCone } from '@/core/cones';
import { ATMOSPHERES } from '@/core/signs';
import { WARE_SURFACES } from '@/core/zones';
import { answers, contract, undoneBy } from '@/platform/contract';
import { dayField, optionalCone } from '@/platform/fields';
import { bin, markField, stretchSchema } from '../pieces/contracts';
import { takeOut } from '../loading/contracts';
import { seenSchema } from './contracts';

/** Something of the store by its id, or by a name that the store may not have yet. */
const named = z
  .object({ id: z.uuid().nullable(), name: z.string().trim().max(80, 'At most 80 characters.') })
  .refine(({ id, name }) => id !== null || name !== '', 'Choose one, or give a name.');

export const inHandSchema = z.object({
  /** Made by whoever writes, so that pictures can follow at once and a repeat makes no second piece. */
  pieceId: z.uuid(),
  observationId: z.uuid(),
  body: named,
  form: z.string().trim().min(1, 'Choose a form.').max(40),
  mark: markField,
  /** Null: nobody knows what lies on it. An empty list: nothing does. First coat first. */
  coats: z
    .array(
      z.object({
        coating: named,
        coats: z.number('How many?').int('Whole coats only.').min(1).max(20),
        stretch: stretchSchema,
        /** Of ware; null: all but the foot. */
        surface: z.enum(WARE_SURFACES).nullable().optional(),
      }),
    )
    .max(12)
    .nullable(),
  /** Somebody's recollection, not a record. */
  likely: z.boolean().default(false),
  firing: z.object({
    /** A firing on record; null: one that nobody wrote down. */
    id: z.uuid().nullable(),
    kilnId: z.uuid().nullable(),
    on: dayField.nullable(),
    cone: optionalCone.refine((cone) => cone === null || isCone(cone), 'There is no such cone.'),
    shown: z.boolean(),
    atmosphere: z.enum(ATMOSPHERES),
  }),
  seen: seenSchema,
});
export type InHand = z.input<typeof inHandSchema>;
export const inHand = undoneBy(
  contract(
    'opening.in-hand',
    inHandSchema,
    answers<{ code: string; firingId: string; chart: string | null }>(),
  ),
  bin,
  ({ pieceId }) => ({ pieceIds: [pieceId], binned: true }),
);

const firing = inHandSchema.shape.firing;
export const unregisteredSchema = z.object({
  /** One for each thing, made by whoever writes, so that a repeat makes none twice. */
  pieceIds: z.array(z.uuid()).min(1, 'How many are there?').max(200, 'At most 200 at a time.'),
  /** What is written on them, in order; empty where they bear no numbers. */
  marks: z.array(markField).max(200),
  body: named,
  form: z.string().trim().min(1, 'Choose a form.').max(40),
  firing,
});
export type Unregistered = z.input<typeof unregisteredSchema>;
/**
 * Things out of a kiln that nobody registered: on record without their coats, to be written up by their
 * marks.
 */
export const unregistered = undoneBy(
  contract('opening.unregistered', unregisteredSchema, answers<{ firingId: string }>()),
  bin,
  ({ pieceIds }) => ({ pieceIds, binned: true }),
);

/** A piece that was on no list when the kiln was lit, and came out of it. */
export const join = undoneBy(
  contract(
    'opening.join',
    z.object({ firingId: z.uuid(), code: z.string().trim().min(1).max(20) }),
    answers<{ placementIds: string[] }>(),
  ),
  takeOut,
  ({ firingId }, { placementIds }) => ({ firingId, placementIds }),
);
