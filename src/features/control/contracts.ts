import { z } from 'zod';
import { answers, contract, undoneBy } from '@/platform/contract';

export const controlSchema = z.object({
  control: z
    .object({ bodyId: z.uuid(), slips: z.string().max(200), stackKey: z.string().min(1).max(600) })
    .nullable(),
});
type Said = z.input<typeof controlSchema>;

const put = contract('control.say', controlSchema, answers<{ before: Said }>());
/** Which stack is the studio’s control; taken back by what it was. */
export const sayControl = undoneBy(put, put, (_, { before }) => before);

const ofCell = contract(
  'control.cell',
  z.object({ cellId: z.string().regex(/^[0-9a-f]{32}$/) }),
  answers<{ before: Said }>(),
);
/** What stands in this cell is the control from now on. */
export const takeCell = undoneBy(ofCell, put, (_, { before }) => before);
