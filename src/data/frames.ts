/** Frames in pictures and the colours of their zones. */
import type { ZoneColour } from '@/core/colour';
import type { Point } from '@/core/looks';
import { shapeIn, spotIn, type Box, type Shape, type Spot } from '@/core/frame';
import { insertMany, type Row, type Source } from './database';
import { newId } from './ids';
import { photoOf, type Photo } from './photos';
import { countUnframed, withoutFrame } from './unframed';

export type Frame = {
  id: string;
  photoId: string;
  face: number;
  shape: Shape;
  /** As it was proposed, not moved by anybody. */
  guessed: boolean;
  /**
   * How sharp the face is in the picture, against others of the same piece; null where it was never measured.
   */
  sharpness: number | null;
  colours: FramedColour[];
};

export type FramedColour = Pick<ZoneColour, 'lab' | 'parts' | 'variegation' | 'glare'> & {
  zone: string;
  /** Measured by a grey in the picture: only then to be compared with others. */
  byGrey: boolean;
};

/** The grey in a picture: its steps dark to light, and the card's lightness as it was stated then. */
export type PictureGrey = { steps: Spot[]; card: number[] };

/** The frames of pictures that stand, with the colours of their zones. */
export async function framesOf(src: Source, photoIds: readonly string[]): Promise<Frame[]> {
  const frames: Row[] = await src('frame')
    .whereIn('photo_id', photoIds)
    .whereNull('removed_at')
    .orderBy(['photo_id', 'face_no']);
  const colours: Row[] = await src('zone_colour')
    .whereIn(
      'frame_id',
      frames.map((row) => row.id),
    )
    .orderBy(['frame_id', 'zone']);
  return frames.map((row) => ({
    id: row.id,
    photoId: row.photo_id,
    face: row.face_no,
    shape: row.shape,
    guessed: Boolean(row.guessed),
    sharpness: row.sharpness,
    colours: colours
      .filter((one) => one.frame_id === row.id)
      .map((one) => ({
        zone: one.zone,
        lab: [one.l, one.a, one.b] as const,
        parts: one.parts,
        variegation: one.variegation,
        glare: one.glare,
        byGrey: Boolean(one.by_grey),
      })),
  }));
}

export type NewFrame = Omit<Frame, 'id' | 'photoId'>;

/** Gives a picture other frames: what stood before stays on record. None takes all away. */
export async function replaceFrames(
  src: Source,
  photoId: string,
  {
    frames,
    grey,
    unframed,
    frameMethod,
    colourMethod,
  }: {
    frames: readonly NewFrame[];
    grey: PictureGrey | null;
    unframed: boolean;
    frameMethod: number;
    colourMethod: number;
  },
  by: string,
  now: Date,
): Promise<void> {
  await src('frame')
    .where({ photo_id: photoId })
    .whereNull('removed_at')
    .update({ removed_at: now, current_key: null });
  const kept = frames.map((frame) => ({ ...frame, id: newId() }));
  await insertMany(
    src,
    'frame',
    kept.map(({ id, face, shape, guessed, sharpness }) => ({
      id,
      photo_id: photoId,
      face_no: face,
      shape: JSON.stringify(shape),
      guessed,
      sharpness,
      measured: colourMethod,
      method: frameMethod,
      set_by: by,
      at: now,
      current_key: `${photoId}/${face}`,
    })),
  );
  await writeColours(src, kept, colourMethod);
  await src('photo')
    .where({ id: photoId })
    .update({ grey: grey === null ? null : JSON.stringify(grey), unframed });
}

/** The studio's grey card: the lightness L* of its steps, dark to light; null where it has said none. */
export async function greyCard(src: Source): Promise<number[] | null> {
  return (await src('studio').where({ id: 1 }).first('grey_card'))?.grey_card ?? null;
}

export async function sayGreyCard(src: Source, card: readonly number[] | null): Promise<void> {
  await src('studio')
    .where({ id: 1 })
    .update({ grey_card: card === null ? null : JSON.stringify(card) });
}

/** The greys of pictures, by the pictures' ids. */
export async function greysOf(src: Source, photoIds: readonly string[]): Promise<Map<string, PictureGrey>> {
  const rows: Row[] = await src('photo').whereIn('id', photoIds).whereNotNull('grey').select('id', 'grey');
  return new Map(rows.map((row) => [row.id, row.grey]));
}

/** The newest of them. @param ownerId only of this person’s pieces; null for all. */
export async function unframedPhotos(
  src: Source,
  ownerId: string | null,
  limit: number,
): Promise<{ photos: Photo[]; all: number }> {
  const [rows, [count]] = await Promise.all([
    withoutFrame(src, ownerId)
      .orderBy([
        { column: 'photo.created_at', order: 'desc' },
        { column: 'photo.id', order: 'desc' },
      ])
      .limit(limit)
      .select('photo.*') as Promise<Row[]>,
    countUnframed(src, ownerId) as Promise<Row[]>,
  ]);
  return { photos: rows.map(photoOf), all: Number(count!.n) };
}

export const saidUnframed = async (src: Source, photoId: string): Promise<boolean> =>
  Boolean((await src('photo').where({ id: photoId }).first('unframed'))?.unframed);

const writeColours = (
  src: Source,
  frames: readonly { id: string; colours: readonly FramedColour[] }[],
  method: number,
): Promise<void> =>
  insertMany(
    src,
    'zone_colour',
    frames.flatMap(({ id, colours }) =>
      colours.map(({ zone, lab: [l, a, b], parts, variegation, glare, byGrey }) => ({
        frame_id: id,
        zone,
        l,
        a,
        b,
        parts: JSON.stringify(parts),
        variegation,
        glare,
        by_grey: byGrey,
        method,
      })),
    ),
  );

/** Pictures of which a face was measured by another version of the method, or never: the oldest first. */
export const measuredOtherwise = (src: Source, method: number): Promise<string[]> =>
  src('photo')
    .join('frame', 'frame.photo_id', 'photo.id')
    .whereNull('frame.removed_at')
    .whereNull('photo.binned_at')
    .where((one) => one.whereNull('frame.measured').orWhereNot('frame.measured', method))
    .groupBy('photo.id')
    .orderByRaw('MIN(photo.created_at), photo.id')
    .pluck('photo.id');

/** Replaces the colours of frames that stand; where they lie, and who said so, stays. */
export async function rewriteColours(
  src: Source,
  frames: readonly (Pick<Frame, 'id' | 'sharpness'> & { colours: readonly FramedColour[] })[],
  method: number,
): Promise<void> {
  await src('zone_colour')
    .whereIn(
      'frame_id',
      frames.map(({ id }) => id),
    )
    .delete();
  await writeColours(src, frames, method);
  for (const { id, sharpness } of frames)
    await src('frame').where({ id }).update({ sharpness, measured: method });
}

/**
 * Puts a cropped picture in the place of the one it was cut from, for every piece that has it: its frames,
 * those of before too, and the steps of its grey lie where they lay.
 */
export async function putCropped(
  src: Source,
  sha: string,
  kept: { sha: string; width: number; height: number },
  box: Box,
): Promise<void> {
  const photos: Row[] = await src('photo').where({ sha }).select('id', 'grey');
  const frames: Row[] = await src('frame')
    .whereIn(
      'photo_id',
      photos.map(({ id }) => id),
    )
    .select('id', 'shape');
  for (const { id, shape } of frames)
    await src('frame')
      .where({ id })
      .update({ shape: JSON.stringify(shapeIn(shape, box)) });
  for (const { id, grey } of photos)
    if (grey !== null)
      await src('photo')
        .where({ id })
        .update({
          grey: JSON.stringify({
            ...grey,
            steps: (grey as PictureGrey).steps.map((one) => spotIn(one, box)),
          }),
        });
  await src('photo').where({ sha }).update(kept);
  // Touches of the picture itself name it; one on what was cut away is a place no more.
  const touched: Row[] = await src('observation_sign')
    .where('points', 'like', `%${sha}%`)
    .select('observation_id', 'sign', 'points');
  for (const { observation_id, sign, points } of touched) {
    const moved = (points as Point[]).flatMap((one): Point[] => {
      if (one.sha !== sha) return [one];
      const at = spotIn(one, box);
      return at.x < 0 || at.y < 0 || at.x > 1 || at.y > 1 ? [] : [{ ...one, ...at, sha: kept.sha }];
    });
    await src('observation_sign')
      .where({ observation_id, sign })
      .update({ points: moved.length === 0 ? null : JSON.stringify(moved) });
  }
}
