/** When the demo’s pieces were glazed, and the day on which the Tarn bucket had been thinned. */
import { addEntry, listBuckets } from '../src/data/buckets';
import type { Transaction } from '../src/data/database';
import { DAY, type DemoHistory, type DemoPiece } from './history-terms';
import { Random } from './random';

/**
 * Days from glazing to the firing; those of the story were glazed when the bucket was thin, and held long to
 * make up for it.
 */
const USUAL = 2;
const THIN = 12;

const held = ({ done }: DemoPiece): boolean =>
  done.some(({ coat, seconds }) => coat.slug === 'tarn' && (seconds ?? 0) >= 8) &&
  done.some(({ coat }) => coat.slug === 'gull');

const firstGlaze = (history: DemoHistory, piece: DemoPiece) =>
  history.firings.find(({ kind, pieces }) => kind === 'glaze' && pieces.some((one) => one.piece === piece));

/** The day on which a piece was glazed; null while it waits. */
export function glazedOn(history: DemoHistory, piece: DemoPiece): Date | null {
  const firing = firstGlaze(history, piece);
  if (firing === undefined) return null;
  return new Date(firing.at.getTime() - (held(piece) ? THIN : USUAL) * DAY);
}

/** The bucket was measured that day, and again when it was right. */
export async function writeThinBucket(
  trx: Transaction,
  history: DemoHistory,
  [iben]: readonly string[],
): Promise<void> {
  const piece = history.pieces.find(held);
  const glazed = piece === undefined ? null : glazedOn(history, piece);
  const bucket = (await listBuckets(trx, { coatingSlug: 'tarn' }))[0];
  if (glazed === null || bucket === undefined) return;
  const random = new Random(31);
  const measured = { kind: 'measured' as const, temperatureC: null, litres: null, grams: null };
  for (const [at, sg, seconds, note] of [
    [glazed, 1.37, 2, 'Somebody rinsed a jug into it.'],
    [new Date(glazed.getTime() + (THIN - USUAL) * DAY), 1.48, 4, 'Settled, and poured off.'],
  ] as const)
    await addEntry(trx, bucket.id, { id: random.id(at), ...measured, sg, seconds, note }, iben!, at);
}
