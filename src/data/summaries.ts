import { freshen } from './cell-summaries';
import { rebuildCells } from './cells';
import type { Source } from './database';
import { rebuildJourneys } from './journey';
import { makeRepeats } from './repeats';

/** Makes everything that follows from the records again: after an import of old data, or a new rule. */
export async function rebuildSummaries(
  src: Source,
  progress?: (done: number, all: number) => void,
): Promise<void> {
  await rebuildJourneys(src);
  await rebuildCells(src, progress);
  // What repeats scatter is told by the cells, and tells in turn which of them are of two colours.
  await makeRepeats(src, new Date());
  await freshen(src);
}
