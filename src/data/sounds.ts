/** Spoken notes: of a piece, of a firing, typed up by somebody or not yet. */
import type { Row, Source } from './database';

export type Sound = {
  id: string;
  sha: string;
  media: string;
  bytes: number;
  /** How long it is, seconds; null where the device did not say. */
  lengthS: number | null;
  pieceId: string | null;
  pieceCode: string | null;
  pieceOwner: string | null;
  firingId: string | null;
  firing: string | null;
  spokenAt: Date;
  spokenBy: string;
  spokenByName: string;
  /** What is said in it, once somebody has typed it up. */
  words: string | null;
  wordsByName: string | null;
  binned: boolean;
};
export type NewSound = Pick<
  Sound,
  'id' | 'sha' | 'media' | 'bytes' | 'lengthS' | 'pieceId' | 'firingId' | 'spokenAt'
>;

const sound = (row: Row): Sound => ({
  id: row.id,
  sha: row.sha,
  media: row.media,
  bytes: row.bytes,
  lengthS: row.length_s,
  pieceId: row.piece_id,
  pieceCode: row.code,
  pieceOwner: row.owner_id,
  firingId: row.firing_id,
  firing: row.no === null ? null : `${row.kiln_name} ${row.no}`,
  spokenAt: row.spoken_at,
  spokenBy: row.spoken_by,
  spokenByName: row.spoken_by_name,
  words: row.words,
  wordsByName: row.words_by_name,
  binned: row.binned_at !== null,
});

export async function addSound(src: Source, one: NewSound, by: string): Promise<void> {
  await src('sound').insert({
    id: one.id,
    sha: one.sha,
    media: one.media,
    bytes: one.bytes,
    length_s: one.lengthS,
    piece_id: one.pieceId,
    firing_id: one.firingId,
    spoken_at: one.spokenAt,
    spoken_by: by,
  });
}

/** What is kept, in the order of speaking; `untyped` leaves those that nobody has typed up. */
export async function listSounds(
  src: Source,
  filter: {
    ids?: readonly string[];
    pieceIds?: readonly string[];
    firingId?: string;
    untyped?: boolean;
    binned?: boolean;
  },
): Promise<Sound[]> {
  const query = src('sound')
    .join('person as speaker', 'speaker.id', 'sound.spoken_by')
    .leftJoin('person as typist', 'typist.id', 'sound.words_by')
    .leftJoin('piece', 'piece.id', 'sound.piece_id')
    .leftJoin('firing', 'firing.id', 'sound.firing_id')
    .leftJoin('kiln', 'kiln.id', 'firing.kiln_id')
    .orderBy(['sound.spoken_at', 'sound.id'])
    .select(
      'sound.*',
      'speaker.name as spoken_by_name',
      'typist.name as words_by_name',
      'piece.code',
      'piece.owner_id',
      'firing.no',
      'kiln.name as kiln_name',
    );
  if (filter.ids) query.whereIn('sound.id', filter.ids);
  if (filter.pieceIds) query.whereIn('sound.piece_id', filter.pieceIds);
  if (filter.firingId !== undefined) query.where('sound.firing_id', filter.firingId);
  if (filter.untyped) query.whereNull('sound.words_at');
  if (!filter.binned) query.whereNull('sound.binned_at');
  return ((await query) as Row[]).map(sound);
}

/** Says what is said in a sound; null: nobody has typed it up after all. */
export async function typeUp(
  src: Source,
  id: string,
  words: string | null,
  by: string,
  now: Date,
): Promise<void> {
  await src('sound')
    .where({ id })
    .update({ words, words_by: words === null ? null : by, words_at: words === null ? null : now });
}

export async function binSound(src: Source, id: string, at: Date | null): Promise<void> {
  await src('sound').where({ id }).update({ binned_at: at });
}
