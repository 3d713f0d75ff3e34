import { z } from 'zod';
import { count } from '@/core/units';
import { contract, kept, toggled, undoneBy } from '@/platform/contract';

const place = z.string().trim().max(120, 'At most 120 characters.');
const again = contract('handing.collect-from-again', z.object({ firingId: z.uuid(), place }));
export { again as collectFromAgain };
/** Where the pieces of a firing can be collected; `before` is what was said until now, for the way back. */
export const collectFrom = undoneBy(
  contract('handing.collect-from', z.object({ firingId: z.uuid(), place, before: place })),
  again,
  ({ firingId, before }) => ({ firingId, place: before }),
);

/** Collected by their owner, or not after all; ticked at the rack, with a network or without. */
export const collected = kept(
  toggled(
    contract(
      'handing.collected',
      z.object({
        firingId: z.uuid(),
        pieceIds: z.array(z.uuid()).min(1).max(500),
        collected: z.boolean(),
      }),
    ),
    'collected',
  ),
  {
    about: ({ firingId }) => `handing/${firingId}`,
    label: ({ pieceIds, collected: taken }) =>
      `${count(pieceIds.length, 'piece')} ${taken ? 'collected' : 'not collected after all'}`,
  },
);
