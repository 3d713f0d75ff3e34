import { z } from 'zod';
import { answers, contract, kept, toggled, undoneBy, withFile } from '@/platform/contract';
import { momentField } from '@/platform/fields';

/** Ten minutes of speech as phones keep it take about 3 MB. */
const MAX_SOUND_BYTES = 12 * 1024 * 1024;
export const LONGEST_S = 600;

export const binSchema = z.object({ soundId: z.uuid(), binned: z.boolean() });
export const bin = toggled(contract('sounds.bin', binSchema), 'binned');

export const speakSchema = z
  .object({
    /** Made by whoever speaks, so that it can be taken back before it is sent. */
    soundId: z.uuid(),
    pieceId: z.uuid().nullable(),
    firingId: z.uuid().nullable(),
    lengthS: z
      .number()
      .min(0)
      .max(2 * LONGEST_S)
      .nullable()
      .default(null),
    spokenAt: momentField,
  })
  .refine(({ pieceId, firingId }) => pieceId !== null || firingId !== null, {
    message: 'Say of which piece or firing it is.',
    path: ['pieceId'],
  });
/** A spoken note of a piece or of a firing. */
export const speak = undoneBy(
  withFile(contract('sounds.speak', speakSchema, answers<{ sha: string }>()), MAX_SOUND_BYTES),
  bin,
  ({ soundId }) => ({ soundId, binned: true }),
);

const said = z.string().trim().max(4000, 'At most 4000 characters.').nullable();
const typeAgain = contract('sounds.type-again', z.object({ soundId: z.uuid(), words: said }));
export { typeAgain };
/** What is said in it; `before` is what was written there until now, for the way back. */
export const typeUp = kept(
  undoneBy(
    contract('sounds.type-up', z.object({ soundId: z.uuid(), words: said, before: said })),
    typeAgain,
    ({ soundId, before }) => ({ soundId, words: before }),
  ),
  { about: () => 'sounds', label: () => 'A spoken note typed up' },
);
