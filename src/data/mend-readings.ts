/** Readings put right afterwards: struck, corrected, judged anew, or read in another unit. */
import type { Doubt } from '@/core/heatwork';
import type { Row, Source } from './database';
import { reading, type KeptReading } from './readings';

const AT_ONCE = 1000;

/** As many readings as a page lists to be put right. */
const LISTED = 400;

/** Readings that people wrote down or that are not believed, newest first. */
export const readingsToMend = async (src: Source, firingId: string): Promise<KeptReading[]> =>
  (
    await src('reading')
      .where({ firing_id: firingId })
      .where((one) => one.whereNot('source', 'device').orWhereNotNull('doubt'))
      .orderBy('at', 'desc')
      .limit(LISTED)
  ).map(reading);

/** Strikes readings of these moments, or believes them again. */
export const setDoubts = (
  src: Source,
  firingId: string,
  at: readonly Date[],
  doubt: 'struck' | null,
  by: string,
): Promise<number> =>
  src('reading')
    .where({ firing_id: firingId })
    .whereIn('at', [...at])
    .update({ doubt, changed_by: by });

type Change = { why: string; by: string };

/** Changes the reading of one moment, and keeps by whom and why; false when there is none. */
const change = async (
  src: Source,
  firingId: string,
  at: Date,
  fields: object,
  { why, by }: Change,
): Promise<boolean> =>
  (await src('reading')
    .where({ firing_id: firingId, at })
    .update({ ...fields, changed_why: why === '' ? null : why, changed_by: by })) === 1;

/** Takes a reading out of belief, or back into it. */
export const setDoubt = (
  src: Source,
  firingId: string,
  at: Date,
  doubt: 'struck' | null,
  said: Change,
): Promise<boolean> => change(src, firingId, at, { doubt }, said);

/** Puts a reading right; what it was first stays beside it. */
export const correctReading = (
  src: Source,
  firingId: string,
  at: Date,
  celsius: number,
  said: Change,
): Promise<boolean> =>
  change(
    src,
    firingId,
    at,
    { was_celsius: src.raw('COALESCE(was_celsius, celsius)'), celsius, doubt: null },
    said,
  );

/** Reads all of a firing’s figures as °F that were taken for °C, or takes that back. */
export async function convertReadings(src: Source, firingId: string, fahrenheit: boolean): Promise<void> {
  const figure = fahrenheit ? '(celsius - 32) * 5 / 9' : 'celsius * 9 / 5 + 32';
  await src('reading')
    .where({ firing_id: firingId })
    .whereNotNull('celsius')
    .update({ celsius: src.raw(figure) });
}

/** Every reading of a firing that is not struck, oldest first. */
export const unstruck = async (src: Source, firingId: string): Promise<KeptReading[]> =>
  (
    await src('reading')
      .where({ firing_id: firingId })
      .where((one) => one.whereNull('doubt').orWhereNot('doubt', 'struck'))
      .orderBy('at')
  ).map(reading);

/** Judges readings anew: those of each moment are doubted so. */
export async function setJudged(
  src: Source,
  firingId: string,
  judged: readonly { at: Date; doubt: Doubt | null }[],
): Promise<void> {
  for (const doubt of new Set(judged.map((one) => one.doubt))) {
    const at = judged.filter((one) => one.doubt === doubt).map((one) => one.at);
    for (let i = 0; i < at.length; i += AT_ONCE)
      await src('reading')
        .where({ firing_id: firingId })
        .whereIn('at', at.slice(i, i + AT_ONCE))
        .update({ doubt });
  }
}

/** How many readings of these firings were not believed since the last that was. */
export async function doubtedLately(src: Source, firingIds: readonly string[]): Promise<Map<string, number>> {
  if (firingIds.length === 0) return new Map();
  const rows: Row[] = await src('reading')
    .leftJoin(
      src('reading')
        .whereIn('firing_id', firingIds)
        .whereNull('doubt')
        .groupBy('firing_id')
        .select('firing_id')
        .max({ at: 'at' })
        .as('believed'),
      'believed.firing_id',
      'reading.firing_id',
    )
    .whereIn('reading.firing_id', firingIds)
    .whereNotNull('doubt')
    .whereNot('doubt', 'struck')
    .where((later) => later.whereNull('believed.at').orWhere('reading.at', '>', src.ref('believed.at')))
    .groupBy('reading.firing_id')
    .select('reading.firing_id')
    .count({ n: '*' });
  return new Map(rows.map((row) => [row.firing_id as string, Number(row.n)]));
}
