/** What a device may send: readings in batches, for the kiln its token names. */
import { z } from 'zod';
import { DOUBT_WORDS } from '@/core/heatwork';
import { fahrenheitToCelsius } from '@/core/units';
import { transact, type Database } from '@/data/database';
import { kilnOfToken, markUsed } from '@/data/kiln-care';
import { Refusal, refuse } from '@/platform/refusal';
import { ingest } from './readings';

const reading = z.object({
  at: z.iso.datetime({ offset: true, error: 'Times are ISO 8601 with a zone.' }),
  celsius: z.number().nullable().optional(),
  fahrenheit: z.number().nullable().optional(),
  probeMv: z.number().nullable().optional(),
});
export const batchSchema = z.object({
  readings: z
    .array(reading)
    .min(1, 'A batch holds at least one reading.')
    .max(5000, 'At most 5000 readings in a batch.'),
});

/** Marking a token as used once a minute is enough. */
const MARK_EVERY_MS = 60_000;

/** Takes a batch. A broken thermocouple may be sent as null; temperatures in either scale. */
export async function ingestRequest(
  db: Database,
  secret: string | null,
  /** Read only when the token is a kiln's. */
  body: () => Promise<unknown>,
  now = new Date(),
): Promise<object> {
  const token = secret === null ? null : await kilnOfToken(db, secret);
  if (token === null || token.revoked)
    throw new Refusal({
      code: 'not-signed-in',
      message: token?.revoked
        ? 'This token was revoked. Make a new one on the kiln’s page and give it to the device.'
        : 'No kiln has this token. Send it as “Authorization: Bearer …”.',
    });
  const batch = batchSchema.safeParse(await body());
  if (!batch.success) throw refuse(batch.error.issues[0]?.message ?? 'The batch could not be read.');
  const readings = batch.data.readings.map((one) => ({
    at: new Date(one.at),
    celsius:
      one.celsius ??
      (one.fahrenheit === null || one.fahrenheit === undefined ? null : fahrenheitToCelsius(one.fahrenheit)),
    probeMv: one.probeMv ?? null,
  }));
  return transact(db, async (trx) => {
    const taken = await ingest(trx, token.kilnId, readings, now);
    if (token.usedAt === null || now.getTime() - token.usedAt.getTime() > MARK_EVERY_MS)
      await markUsed(trx, token.tokenId, now);
    return {
      kept: taken.kept,
      repeated: taken.repeated,
      stray: taken.stray,
      refused: taken.refused,
      doubted: taken.doubted.map(({ at, doubt }) => ({
        at: at.toISOString(),
        why: DOUBT_WORDS[doubt],
      })),
    };
  });
}
