import { z } from 'zod';
import { SPANS } from '@/core/looks';
import { answers, contract, undoneBy } from '@/platform/contract';

const ids = z.array(z.uuid()).min(1).max(500);
export const drop = contract('lookagain.drop', z.object({ ids, dropped: z.boolean() }));

export const askSchema = z.object({
  firingId: z.uuid(),
  pieceIds: ids,
  days: z
    .number()
    .refine((days) => SPANS.some((span) => span.days === days), 'After a week, a month or a year.'),
});
/** These are to be looked at again so long after they came out; what was asked before is not asked twice. */
export const ask = undoneBy(
  contract('lookagain.ask', askSchema, answers<{ ids: string[] }>()),
  drop,
  (_, { ids: made }) => ({ ids: made, dropped: true }),
);
