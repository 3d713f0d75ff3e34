export const COATING_KINDS = ['glaze', 'slip', 'engobe', 'underglaze', 'wash', 'overglaze'] as const;
export type CoatingKind = (typeof COATING_KINDS)[number];

export const METHODS = ['dip', 'pour', 'brush', 'spray', 'trail', 'sponge', 'inlay', 'wiped-back'] as const;
export type Method = (typeof METHODS)[number];

export const WEIGHTS = ['thin', 'normal', 'heavy'] as const;
export type Weight = (typeof WEIGHTS)[number];

export const STAGES = ['leather-hard', 'bone-dry', 'bisque', 'glaze-fired'] as const;
export type Stage = (typeof STAGES)[number];

export const FACE_KINDS = ['bare', 'light-slip', 'dark-slip', 'textured'] as const;
export type FaceKind = (typeof FACE_KINDS)[number];

/** The surfaces of ware, as people name them; a plate's inside is its top. Tiles have faces instead. */
export const WARE_SURFACES = ['outside', 'inside', 'rim', 'foot', 'lid'] as const;
export type WareSurface = (typeof WARE_SURFACES)[number];

/** A coating version as the keys name it: a slug that never changes, and its version number. */
export type Coat = { slug: string; version: number; kind: CoatingKind };

/** Fractions of the face from foot (or centre) 0 to rim 1. */
export type Stretch = { from: number; to: number };

/** Turns around the piece, 0 … 1 from the front; from > to runs through the front. */
export type Sector = { from: number; to: number };

/** Where in the relief a coat stays. 'motif:…' is a part named by the maker. */
export type Relief = 'all' | 'hollows' | 'raised' | `motif:${string}`;

/** Where a layer lies. `face: null` means every face. */
export type Region = { face: number | null; stretch: Stretch; sector: Sector; relief: Relief };

export type Layer = {
  coat: Coat;
  method: Method;
  /** Dips or coats, at least 1. */
  coats: number;
  weight: Weight;
  thicknessMm: number | null;
  seconds: number | null;
  stage: Stage;
  /** Was the layer below dry? null: not known, or nothing below. */
  driedBefore: boolean | null;
  region: Region;
  /** 1 for coats of the first glaze firing, 2 for those put on before a refire … */
  generation: number;
};

/** A side of a piece with its own ground. `slip` when it is known which slip it is. */
export type Face = {
  no: number;
  kind: FaceKind;
  slip: Coat | null;
  /** Which surface of a piece of ware it is; left out for tiles, and where nobody said. */
  surface?: WareSurface | null;
};

/** One coating of a stack with how much of it lies there. */
export type StackEntry = { coat: Coat; amount: string };

/** A part of a face with one stack. Base first in `stack`; `ground` holds the slips beneath it. */
export type Zone = {
  face: number;
  stretch: Stretch;
  sector: Sector;
  /** 'all', or the relief classes it covers joined by '+': 'hollows', 'flat+raised' … */
  relief: string;
  ground: Coat[];
  stack: StackEntry[];
};

export const WHOLE: Stretch = { from: 0, to: 1 };
export const ROUND: Sector = { from: 0, to: 1 };
