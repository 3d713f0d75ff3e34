import type { FaceKind, WareSurface } from '../zones';

export type Form = {
  name: string;
  kind: 'tile' | 'ware';
  /** In which direction its main face is measured. */
  axis: 'foot to rim' | 'centre to rim';
  /** The grounds of a tile's faces; ware has surfaces instead, all of bare body to begin with. */
  faces: readonly FaceKind[];
  surfaces: readonly WareSurface[];
};

const tile = (name: string, faces: readonly FaceKind[], axis: Form['axis'] = 'foot to rim'): Form => ({
  name,
  kind: 'tile',
  axis,
  faces,
  surfaces: [],
});

const POT = ['outside', 'inside', 'rim', 'foot'] as const;
const ware = (
  name: string,
  axis: Form['axis'] = 'foot to rim',
  surfaces: readonly WareSurface[] = POT,
): Form => ({ name, kind: 'ware', axis, faces: surfaces.map(() => 'bare'), surfaces });

/**
 * Forms a studio makes tiles and ware in. The surfaces of ware are those a glazer names (common practice, no
 * source).
 */
export const FORMS: readonly Form[] = [
  tile('L tile', ['bare', 'light-slip']),
  tile('ring-cut T tile', ['bare', 'dark-slip']),
  tile('test cup', ['bare']),
  tile('test bowl', ['bare'], 'centre to rim'),
  tile('slab', ['bare', 'textured']),
  tile('ball and coil', ['bare']),
  tile('draped coil', ['bare']),
  ware('mug'),
  ware('beaker'),
  ware('tumbler'),
  ware('bowl', 'centre to rim'),
  ware('dish', 'centre to rim'),
  ware('plate', 'centre to rim'),
  ware('vase'),
  ware('jar with lid', 'foot to rim', [...POT, 'lid']),
  ware('teapot', 'foot to rim', [...POT, 'lid']),
  ware('lamp base', 'foot to rim', ['outside', 'inside', 'foot']),
];

export const formNamed = (name: string): Form | undefined => FORMS.find((form) => form.name === name);

export type FormFace = { no: number; kind: FaceKind; surface: WareSurface | null };

/**
 * The faces that a form begins with: a tile's grounds, or the surfaces of ware. One bare face for a form
 * nobody knows.
 */
export function facesOfForm(name: string): FormFace[] {
  const form = formNamed(name);
  if (form === undefined) return [{ no: 1, kind: 'bare', surface: null }];
  return form.faces.map((kind, i) => ({ no: i + 1, kind, surface: form.surfaces[i] ?? null }));
}

/** Is a face measured in rings from its centre? The inside of bowls and plates, and round test bowls. */
export const hasRings = (form: string, surface: WareSurface | null): boolean =>
  formNamed(form)?.axis === 'centre to rim' && (surface === null || surface === 'inside');

/**
 * How much of a piece a surface is, by and large: only to choose which zone stands for it (an estimate,
 * no source). Faces of a tile, and surfaces that nobody named, share it alike.
 */
const PART: Readonly<Record<WareSurface, number>> = {
  outside: 0.5,
  inside: 0.38,
  rim: 0.05,
  foot: 0.02,
  lid: 0.15,
};

export function faceShare(
  face: { surface?: WareSurface | null },
  faces: readonly { surface?: WareSurface | null }[],
): number {
  const part = (one: { surface?: WareSurface | null }): number =>
    one.surface == null ? 1 : PART[one.surface];
  return part(face) / faces.reduce((sum, one) => sum + part(one), 0);
}
