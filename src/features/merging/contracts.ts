import { z } from 'zod';
import { answers, contract, undoneBy } from '@/platform/contract';

export const KINDS = ['body', 'coating', 'kiln', 'person'] as const;
export type Kind = (typeof KINDS)[number];

export const mergeSchema = z.object({
  kind: z.enum(KINDS),
  fromId: z.uuid('Choose the double.'),
  intoId: z.uuid('Choose the one that stays.'),
  /** Coatings: the version that what was put on counts as; null keeps its versions as further ones. */
  versionId: z.uuid().nullable().default(null),
});
export const takeApart = contract('merging.take-apart', z.object({ mergerId: z.uuid() }));
/** What came under the double's name after it was merged follows. */
export const bringAlong = contract('merging.bring-along', z.object({ mergerId: z.uuid() }));
export const merge = undoneBy(
  contract('merging.merge', mergeSchema, answers<{ mergerId: string }>()),
  takeApart,
  (_, { mergerId }) => ({ mergerId }),
);
