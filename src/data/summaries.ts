import { rebuildCells } from './cells';
import type { Source } from './database';
import { rebuildJourneys } from './journey';

/** Makes everything that follows from the records again: after an import of old data, or a new rule. */
export async function rebuildSummaries(
  src: Source,
  progress?: (done: number, all: number) => void,
): Promise<void> {
  await rebuildJourneys(src);
  await rebuildCells(src, progress);
}
