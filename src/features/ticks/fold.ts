import type { Item } from '@/platform/sender/store';
import { clear, tick } from './contracts';

/** What the server had of a sheet, and when it said so, by its clock, ms. */
export type Known = { lines: readonly string[]; at: number };

/** The rows that are done: as the server had them, and what was ticked here since. */
export function ticksWith(
  { lines, at }: Known,
  items: readonly Pick<Item, 'name' | 'input' | 'state' | 'sentAt'>[],
): Set<string> {
  const done = new Set(lines);
  for (const { name, input, state, sentAt } of items) {
    if (state === 'refused' || (state === 'sent' && (sentAt ?? 0) <= at)) continue;
    if (name === clear.name) done.clear();
    if (name !== tick.name) continue;
    const one = input as { line: string; done: boolean };
    if (one.done) done.add(one.line);
    else done.delete(one.line);
  }
  return done;
}
