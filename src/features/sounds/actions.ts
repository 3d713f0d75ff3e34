/** Spoken notes: kept, typed up, put away. */
import { createHash } from 'node:crypto';
import { believedMoment } from '@/core/looks';
import { findFiring } from '@/data/firings';
import { listPieces } from '@/data/pieces';
import { addSound, binSound, listSounds, typeUp as writeWords, type Sound } from '@/data/sounds';
import { pictureStore } from '@/platform/objects';
import { operation, type Act } from '@/platform/operation';
import { conflict, found, refuse } from '@/platform/refusal';
import { may, mayTouchPiece, permit } from '../people';
import { mediaOf } from './media-of';
import * as contracts from './contracts';

/** Who keeps records speaks of everything; everybody of their own pieces. */
async function mayWrite(
  { person }: Pick<Act, 'person'>,
  src: Act['trx'],
  { pieceId, firingId }: { pieceId: string | null; firingId: string | null },
): Promise<void> {
  if (firingId !== null) found(await findFiring(src, firingId), 'This firing');
  if (pieceId !== null) {
    const [piece] = await listPieces(src, { ids: [pieceId] });
    if (!mayTouchPiece(person, found(piece, 'This piece').ownerId))
      throw refuse('You can speak of your own pieces only.');
  } else if (!may(person, 'keep records'))
    throw refuse('A technician or a teacher speaks of a whole firing.');
}

export const speak = operation({
  contract: contracts.speak,
  permit: permit('write of own pieces'),
  prepare: async ({ file }) => {
    const media = mediaOf(file.bytes);
    if (media === null) throw refuse('This file is not a sound that browsers record.');
    const sha = createHash('sha256').update(file.bytes).digest('hex');
    await pictureStore().write(`${sha}.original`, file.bytes);
    return { sha, media, bytes: file.bytes.length };
  },
  run: async (act, { soundId, pieceId, firingId, lengthS, spokenAt }, kept) => {
    await mayWrite(act, act.trx, { pieceId, firingId });
    const at = believedMoment(new Date(spokenAt), null, act.now);
    const one = { id: soundId, pieceId, firingId, lengthS, spokenAt: at, ...kept };
    await addSound(act.trx, one, act.person.id);
    return { sha: kept.sha };
  },
});

async function spoken(act: Act, soundId: string): Promise<Sound> {
  const [sound] = await listSounds(act.trx, { ids: [soundId], binned: true });
  await mayWrite(act, act.trx, found(sound, 'This spoken note'));
  return sound!;
}

export const bin = operation({
  contract: contracts.bin,
  permit: permit('write of own pieces'),
  run: async (act, { soundId, binned }) => {
    await spoken(act, soundId);
    await binSound(act.trx, soundId, binned ? act.now : null);
  },
});

export const typeUp = operation({
  contract: contracts.typeUp,
  permit: permit('write of own pieces'),
  run: async (act, { soundId, words, before }) => {
    const one = await spoken(act, soundId);
    // Two people listen at once: the second one sees what the first one wrote.
    if ((one.words ?? '') !== (before ?? ''))
      throw conflict(`${one.wordsByName ?? 'Somebody'} wrote meanwhile: ${one.words ?? 'nothing'}`);
    await writeWords(act.trx, soundId, words === '' ? null : words, act.person.id, act.now);
  },
});

export const typeAgain = operation({
  contract: contracts.typeAgain,
  permit: permit('write of own pieces'),
  run: async (act, { soundId, words }) => {
    await spoken(act, soundId);
    await writeWords(act.trx, soundId, words === '' ? null : words, act.person.id, act.now);
  },
});
