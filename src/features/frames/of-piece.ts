/** What framing a piece's pictures needs of the piece. */
import type { Shape, Spot } from '@/core/frame';
import type { Lab } from '@/core/colour';
import type { Beside } from '@/data/repeats';
import { sideWords, zonesOf, type Face, type Layer, type Sector, type Stretch } from '@/core/zones';

export type FaceZones = {
  no: number;
  label: string;
  zones: { stretch: Stretch; sector: Sector }[];
};

export type ShownColour = {
  zone: string;
  lab: Lab;
  parts: { lab: Lab; share: number }[];
  variegation: number;
  byGrey: boolean;
  beside: Beside | null;
};

export type FramedPhoto = {
  id: string;
  sha: string;
  width: number;
  height: number;
  frames: { face: number; shape: Shape }[];
  grey: Spot[] | null;
  colours: ShownColour[];
};

/** The faces that a picture can show, with their zones; an inside foot is left out. */
export function facesToFrame(
  faces: readonly Face[],
  layers: readonly Layer[],
  generation: number,
): FaceZones[] {
  const zones = zonesOf(faces, layers, generation);
  // A slip is called light or dark here: its name is on the drawing beside it.
  const plain = faces.map((face) => ({ ...face, slip: null }));
  return plain
    .filter(({ surface }) => surface !== 'foot')
    .map((face) => ({
      no: face.no,
      label: sideWords(face, plain, (slug) => slug) || (face.surface ?? 'Face'),
      zones: zones
        .filter((zone) => zone.face === face.no)
        .map(({ stretch, sector }) => ({ stretch, sector })),
    }));
}

/** A picture to be framed, with the faces it can show. */
export type ToFrame = { photo: FramedPhoto; faces: FaceZones[]; code: string };

/** A picture of one face, with when it was taken in words: to be laid on others of it. */
export type Laid = { id: string; sha: string; width: number; height: number; shape: Shape; label: string };

/**
 * For every face that is framed in several pictures, these in their order: by their firings as `order` tells
 * them, then as they were taken. Flat frames and round ones of one face are not laid on one another; the
 * commoner kind is.
 */
export function laidByFace(
  photos: readonly (Pick<FramedPhoto, 'id' | 'sha' | 'width' | 'height' | 'frames'> & {
    firingId: string | null;
    createdAt: Date;
  })[],
  faces: readonly Pick<FaceZones, 'no' | 'label'>[],
  order: readonly { firingId: string; label: string }[],
): { face: string; pictures: Laid[] }[] {
  const place = (firingId: string | null): number => order.findIndex((one) => one.firingId === firingId);
  const sorted = [...photos].sort(
    (a, b) => place(a.firingId) - place(b.firingId) || a.createdAt.getTime() - b.createdAt.getTime(),
  );
  return faces.flatMap(({ no, label }) => {
    const all = sorted.flatMap(({ frames, firingId, id, sha, width, height }): Laid[] => {
      const shape = frames.find(({ face }) => face === no)?.shape;
      const of = order[place(firingId)]?.label ?? 'of no firing';
      return shape === undefined ? [] : [{ id, sha, width, height, shape, label: of }];
    });
    const flat = all.filter(({ shape }) => shape.kind === 'corners');
    const own = flat.length * 2 >= all.length ? flat : all.filter(({ shape }) => shape.kind === 'ellipse');
    // Several of one firing are told apart by their number.
    const numbered = own.map((one, i) => {
      const before = own.slice(0, i).filter((other) => other.label === one.label).length;
      return before === 0 ? one : { ...one, label: `${one.label}, picture ${before + 1}` };
    });
    return numbered.length < 2 ? [] : [{ face: label, pictures: numbered }];
  });
}
