import { z } from 'zod';
import { CAUSES, COMPLAINTS, FACTS, TESTS } from '@/core/diagnosis';
import { answers, contract, undoneBy } from '@/platform/contract';

const one = (ids: readonly { id: string }[], words: string) =>
  z.string().refine((id) => ids.some((known) => known.id === id), words);
const complaint = one(COMPLAINTS, 'No complaint that the clinic knows.');

const whose = z.uuid().nullable().default(null);
/**
 * What a case is of: a piece after a firing, a firing, all with a coating, a bucket, all on a body, or
 * nothing on record.
 */
export const openSchema = z
  .object({
    /** Its address, where the device that asks has given it one already. */
    id: z.uuid().optional(),
    pieceId: whose,
    firingId: whose,
    coatingId: whose,
    bucketId: whose,
    bodyId: whose,
    complaints: z.array(complaint).max(4, 'At most four complaints in one case.'),
  })
  .refine(
    ({ pieceId, firingId, coatingId, bucketId, bodyId }) =>
      [pieceId ?? firingId, coatingId, bucketId, bodyId].filter((one) => one !== null).length <= 1,
    'A case is of one thing.',
  );
export const open = contract('clinic.open', openSchema, answers<{ id: string; no: number }>());

export const answerSchema = z.object({
  caseId: z.uuid(),
  fact: one(FACTS, 'No fact that the clinic knows.'),
  /** Null: nobody knows; what the records say stands again. */
  value: z.string().max(40).nullable(),
});
export const answer = contract('clinic.answer', answerSchema);

export const nameSchema = z.object({
  caseId: z.uuid(),
  revision: z.number().int(),
  complaints: z
    .array(complaint)
    .min(1, 'A case is of something.')
    .max(4, 'At most four complaints in one case.'),
});
export const name = contract('clinic.name', nameSchema);

export const reopen = contract('clinic.reopen', z.object({ caseId: z.uuid() }));
export const closeSchema = z.object({
  caseId: z.uuid(),
  revision: z.number().int(),
  /** Empty: it is none that is known. */
  turnedOut: z.array(one(CAUSES, 'No cause that the clinic knows.')).max(4, 'At most four causes.'),
  note: z.string().trim().max(1000, 'At most 1000 characters.').default(''),
});
export const close = undoneBy(contract('clinic.close', closeSchema), reopen, ({ caseId }) => ({
  caseId,
}));

export const FACTORS = [0.25, 0.5, 1, 2, 4] as const;
export const disagreeSchema = z.object({
  cause: one(CAUSES, 'No cause that the clinic knows.'),
  off: z.boolean(),
  factor: z.number().min(0.1, 'At least a tenth.').max(10, 'At most ten times.'),
  reason: z
    .string()
    .trim()
    .min(3, 'Say why, for whoever reads it later.')
    .max(500, 'At most 500 characters.'),
});
/** How common a cause is here, or that it does not happen here. */
export const disagree = contract('clinic.disagree', disagreeSchema);

/** Makes a test of the clinic: a question with its tiles, sheets and places; the case waits for it. */
export const makeTest = contract(
  'clinic.make-test',
  z.object({
    caseId: z.uuid(),
    revision: z.number().int(),
    fact: one(
      TESTS.map(({ fact }) => ({ id: fact })),
      'No test that the clinic knows.',
    ),
  }),
  answers<{ no: number; tiles: number }>(),
);
