import { z } from 'zod';
import { outcomeOfTest, USE_TESTS, testKind } from '@/core/usetests';
import { answers, contract, undoneBy } from '@/platform/contract';

const day = z.iso.date('A day.');
const grams = z.number().positive('More than nothing.').max(100_000, 'At most 100 kg.').nullable();

export const drop = contract('usetests.drop', z.object({ id: z.uuid(), dropped: z.boolean() }));

export const doneSchema = z
  .object({
    pieceId: z.uuid(),
    kind: z.string().refine((kind) => testKind(kind) !== undefined, 'No test that is known.'),
    outcome: z.string(),
    rounds: z
      .number()
      .int('A whole number.')
      .min(1, 'At least one.')
      .max(5000, 'At most 5000.')
      .nullable()
      .default(null),
    dryG: grams.default(null),
    wetG: grams.default(null),
    note: z.string().trim().max(500, 'At most 500 characters.').default(''),
    doneOn: day,
    dueOn: day.nullable().default(null),
  })
  .superRefine(({ kind, outcome, dryG, wetG, doneOn, dueOn }, context) => {
    const say = (path: string, message: string): void =>
      context.addIssue({ code: 'custom', path: [path], message });
    if (outcomeOfTest(kind, outcome) === undefined) say('outcome', 'Say what was found.');
    if (testKind(kind)?.weighs && (dryG === null || wetG === null))
      say('dryG', 'Both weights, dry and soaked.');
    if (dryG !== null && wetG !== null && wetG < dryG) say('wetG', 'Soaked it weighs no less than dry.');
    if (dueOn !== null && dueOn <= doneOn) say('dueOn', 'A day after it was done.');
  });
/** A test of body or use, with what it found. */
export const done = undoneBy(
  contract('usetests.done', doneSchema, answers<{ id: string }>()),
  drop,
  (_, { id }) => ({ id, dropped: true }),
);

export const KINDS = USE_TESTS.map(({ id, name }) => ({ value: id, label: name }));
