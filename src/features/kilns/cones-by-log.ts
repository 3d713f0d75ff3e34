/** Cones by log: derived again when a firing teaches the kiln; cones that were read outrank them. */
import { coneWords } from '@/core/firing';
import { predictedRange, type OffsetEstimate } from '@/core/heatwork';
import { refreshCells } from '@/data/cells';
import type { Source } from '@/data/database';
import { pairsOf } from '@/data/fired';
import { findFiring, type Firing } from '@/data/firings';
import type { Lesson } from '@/data/learned';
import { logOf } from '@/data/readings';
import { addConeMove, followCones, setConeByLog } from '@/data/witnesses';

/** A firing that stands under another cone than before. */
export type Moved = { firingId: string; title: string; was: string; became: string };

/** Below this a log is too thin to say a cone. */
const FEWEST_READINGS = 6;
/** From one firing with cones nothing is known of the next. */
const FEWEST_LESSONS = 2;

const words = ({ coneKnown, coneBand }: Firing): string => coneWords({ known: coneKnown, band: coneBand });

/**
 * Derives the cone of every firing of a kiln's present series whose cones were not read from its
 * log and what the kiln's thermocouple is now known to be off by; the chart follows.
 */
export async function followLogs(
  src: Source,
  kilnId: string,
  known: { offset: OffsetEstimate | null; lessons: readonly Lesson[] },
  taughtBy: string | null,
  now: Date,
): Promise<Moved[]> {
  const moved: Moved[] = [];
  for (const { firingId, reachedOrdinal, reachedBound } of known.lessons) {
    if (reachedOrdinal !== null && reachedBound !== 'less than') continue;
    const before = await findFiring(src, firingId);
    if (before === null || before.startedAt === null || before.kilnId !== kilnId) continue;
    const log = await logOf(src, firingId, before.startedAt);
    const enough =
      known.offset !== null && known.offset.firings >= FEWEST_LESSONS && log.length >= FEWEST_READINGS;
    await setConeByLog(src, firingId, enough ? predictedRange(log, known.offset) : null);
    if (!(await followCones(src, firingId))) continue;
    await refreshCells(src, await pairsOf(src, { firingId }));
    const after = await findFiring(src, firingId);
    // What a firing says of itself is no news of it.
    if (after === null || firingId === taughtBy || words(after) === words(before)) continue;
    const move = { firingId, was: words(before), became: words(after) };
    await addConeMove(src, { ...move, at: now }, taughtBy);
    moved.push({ ...move, title: `${after.kilnName} ${after.no}` });
  }
  return moved;
}
