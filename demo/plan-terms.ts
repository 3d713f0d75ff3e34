/** What a plan of the demo studio is made of. */
import type { FaceKind, Method, Relief, Stage, Weight } from '../src/core/zones';

export type CoatSpec = {
  slug: string;
  version?: number;
  coats?: number;
  method?: Method;
  weight?: Weight;
  from?: number;
  to?: number;
  stage?: Stage;
  relief?: Relief;
  seconds?: number;
  dried?: boolean;
  sector?: [number, number];
};

export type PieceSpec = {
  body: string;
  form: string;
  kind: 'tile' | 'ware';
  heightMm: number;
  faces: { kind: FaceKind; slip?: string }[];
  coats: CoatSpec[];
  /** What was put on when it was otherwise than meant. */
  done?: CoatSpec[];
  mark?: string;
  flag?: string;
  owner?: boolean;
  besideRosehip?: boolean;
};

export type LotSpec = { kind: 'alike' | 'matrix'; name: string; pieces: PieceSpec[] };

export const tile = (body: string, coats: CoatSpec[], rest: Partial<PieceSpec> = {}): PieceSpec => ({
  body,
  form: 'L tile',
  kind: 'tile',
  heightMm: 95,
  faces: [
    { kind: 'bare' },
    body === 'peat' || body === 'gantry'
      ? { kind: 'light-slip', slip: 'chalk-slip' }
      : { kind: 'dark-slip', slip: 'soot-slip' },
  ],
  coats,
  ...rest,
});

export const alone = (slug: string): CoatSpec[] => [
  { slug, from: 0, to: 1, seconds: 3 },
  { slug, from: 0.5, to: 1, seconds: 3, dried: true },
];
