/** What framing a piece's pictures needs of the piece. */
import type { Shape, Spot } from '@/core/frame';
import type { Lab } from '@/core/colour';
import type { Beside } from '@/data/repeats';
import { zonesOf, type Face, type Layer, type Sector, type Stretch } from '@/core/zones';

export type FaceZones = {
  no: number;
  label: string;
  zones: { stretch: Stretch; sector: Sector }[];
};

export type ShownColour = { zone: string; lab: Lab; parts: { lab: Lab; share: number }[]; variegation: number; byGrey: boolean; beside: Beside | null }; // prettier-ignore

export type FramedPhoto = {
  id: string;
  sha: string;
  width: number;
  height: number;
  frames: { face: number; shape: Shape }[];
  grey: Spot[] | null;
  colours: ShownColour[];
};

const KIND = { bare: 'bare', 'light-slip': 'light', 'dark-slip': 'dark', textured: 'textured' } as const; // prettier-ignore

/** The faces that a picture can show, with their zones; an inside foot is left out. */
export function facesToFrame(
  faces: readonly Face[],
  layers: readonly Layer[],
  generation: number,
): FaceZones[] {
  const zones = zonesOf(faces, layers, generation);
  return faces
    .filter(({ surface }) => surface !== 'foot')
    .map((face) => ({
      no: face.no,
      label: face.surface ?? (faces.length === 1 ? 'Face' : `Face ${face.no}, ${KIND[face.kind]}`),
      zones: zones
        .filter((zone) => zone.face === face.no)
        .map(({ stretch, sector }) => ({ stretch, sector })),
    }));
}

/** A picture to be framed, with the faces it can show. */
export type ToFrame = { photo: FramedPhoto; faces: FaceZones[]; code: string };
