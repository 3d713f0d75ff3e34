import { z } from 'zod';
import { contract, kept } from '@/platform/contract';
import { momentField } from '@/platform/fields';

/** Under which name the ticks of a sheet are kept on a device. */
export const aboutSheet = ({ sheet }: { sheet: string }): string => `ticks/${sheet}`;

const sheet = z.string().min(1).max(300);
export const tickSchema = z.object({
  sheet,
  /** Which row: its group and its place in it. */
  line: z.string().regex(/^\d{1,4}\/\d{1,4}$/, 'There is no such row.'),
  done: z.boolean(),
  /** By the device; what was said later counts, in whatever order it arrives. */
  at: momentField,
});
/** One row of a sheet done, or not after all. Everybody's ticks are their own. */
export const tick = kept(contract('ticks.tick', tickSchema), {
  about: aboutSheet,
  label: ({ done }) => (done ? 'A row ticked off' : 'A row not done after all'),
});

export const clear = kept(contract('ticks.clear', z.object({ sheet, at: momentField })), {
  about: aboutSheet,
  label: () => 'A sheet begun anew',
});
