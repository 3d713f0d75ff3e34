/** Kept sounds, to whoever may hear them. */
import { listSounds } from '@/data/sounds';
import type { Database } from '@/data/database';
import type { Person } from '@/data/people';
import type { PictureStore } from '@/platform/objects';
import { may, mayTouchPiece } from '../people';

/**
 * A part of a file as a request asks for it (RFC 9110, 14.1.2): null for the whole, also where it makes no
 * sense.
 */
export function rangeOf(asked: string | null, size: number): { from: number; to: number } | null {
  const found = /^bytes=(\d*)-(\d*)$/.exec(asked ?? '');
  if (found === null || (found[1] === '' && found[2] === '')) return null;
  const [first, last] = [found[1], found[2]];
  const from = first === '' ? Math.max(0, size - Number(last)) : Number(first);
  const to = first === '' || last === '' ? size - 1 : Math.min(Number(last), size - 1);
  return from > to || from >= size ? null : { from, to };
}

/** The sound for whoever listens; null when there is none that they may hear. */
export async function soundFor(
  db: Database,
  store: PictureStore,
  person: Person,
  id: string,
): Promise<{ media: string; bytes: Buffer } | null> {
  if (!/^[0-9a-f-]{36}$/.test(id)) return null;
  const [sound] = await listSounds(db, { ids: [id], binned: true });
  if (sound === undefined) return null;
  const own = sound.pieceId !== null && mayTouchPiece(person, sound.pieceOwner);
  if (!may(person, 'see records') && !own) return null;
  const bytes = await store.read(`${sound.sha}.original`);
  return bytes && { media: sound.media, bytes };
}

/** An answer with the sound, or the part of it that a player asked for. */
export function soundAnswer(
  { media, bytes }: { media: string; bytes: Buffer },
  asked: string | null,
): Response {
  const range = rangeOf(asked, bytes.length);
  const part = range === null ? bytes : bytes.subarray(range.from, range.to + 1);
  return new Response(new Uint8Array(part), {
    status: range === null ? 200 : 206,
    headers: {
      'content-type': media,
      'accept-ranges': 'bytes',
      'content-length': String(part.length),
      // On a tablet that is shared nobody hears what lay there for somebody else.
      'cache-control': 'private, no-cache',
      ...(range && { 'content-range': `bytes ${range.from}-${range.to}/${bytes.length}` }),
    },
  });
}
