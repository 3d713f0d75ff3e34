/** What the demo’s history is made of. */
import type { Atmosphere } from '../src/core/signs';
import { EVERYWHERE, type Coat, type Face, type Layer } from '../src/core/zones';
import type { Framing } from './frames';
import type { Observation } from '../src/data/observations';
import type { Scene } from './paint';
import { type CoatSpec, type LotSpec, type PieceSpec } from './plan-terms';
import { BODIES, COATINGS } from './studio';
import { type Rgb } from './truth';

export const DAY = 86_400_000;

export type DemoPiece = {
  id: string;
  spec: PieceSpec;
  lot: number;
  madeAt: Date;
  owner: number | null;
  meant: Layer[];
  done: Layer[];
  faces: Face[];
  waitingFor: 'bisque' | 'glaze' | 'refire' | null;
  cone: string;
  atmosphere: Atmosphere;
};

export type DemoFiring = {
  id: string;
  kiln: string;
  kind: 'bisque' | 'glaze' | 'refire';
  target: string;
  atmosphere: Atmosphere;
  at: Date;
  status: 'planned' | 'firing' | 'cooling' | 'opened';
  reached: number;
  writtenUp: boolean;
  notes: string;
  pieces: {
    piece: DemoPiece;
    shelf: number;
    generation: number;
    setting: 'shelf' | 'waster' | 'unknown';
  }[];
  cones: { cone: string; role: 'guide' | 'target' | 'guard'; place: string; bend: number | null }[];
};

export type DemoHistory = {
  lots: { spec: LotSpec; at: Date }[];
  pieces: DemoPiece[];
  firings: DemoFiring[];
  observations: Observation[];
  scenes: { pieceId: string; firingId: string; scene: Scene; framing: Framing }[];
};

export const slugify = (name: string): string => name.toLowerCase().replace(/ /g, '-');

const KIND = new Map(COATINGS.map((coating) => [slugify(coating.name), coating.kind]));

export const hex = (colour: string): Rgb =>
  [1, 3, 5].map((i) => parseInt(colour.slice(i, i + 2), 16)) as unknown as Rgb;

export const BODY_COLOUR = new Map(BODIES.map((body) => [slugify(body.name), hex(body.colour)]));

export const BODY_DARK = new Map(BODIES.map((body) => [slugify(body.name), body.ground === 'dark']));

export const coatOf = (spec: Pick<CoatSpec, 'slug' | 'version'>): Coat => ({
  slug: spec.slug,
  version: spec.version ?? 1,
  kind: KIND.get(spec.slug) ?? 'glaze',
});

export const layerOf = (spec: CoatSpec, generation = 1): Layer => ({
  coat: coatOf(spec),
  method: spec.method ?? 'dip',
  coats: spec.coats ?? 1,
  weight: spec.weight ?? 'normal',
  thicknessMm: null,
  seconds: spec.seconds ?? null,
  stage: spec.stage ?? (generation > 1 ? 'glaze-fired' : 'bisque'),
  driedBefore: spec.dried ?? null,
  generation,
  region: {
    ...EVERYWHERE,
    stretch: { from: spec.from ?? 0, to: spec.to ?? 1 },
    relief: spec.relief ?? 'all',
  },
});
