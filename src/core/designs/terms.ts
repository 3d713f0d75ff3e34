/** The designs there are, and what a plan made from one says. */
import type { Method, Stretch, Weight } from '../zones';

/** How a coat is put on in a design. */
export type Application = { method: Method; coats: number; weight: Weight; seconds: number | null };

/** A mix that is made for the test: shares of corner recipes, and materials added in % of the base. */
export type Mix = { shares: Record<string, number>; additions: Record<string, number> };

/** `coat` names a coating version; null is the tile's own mix. */
export type PlannedLayer = Application & { coat: string | null; stretch: Stretch };

export type PlannedTile = {
  /** Its number in the question, from 1 on. */
  no: number;
  label: string;
  role: 'test' | 'control' | 'repeat';
  row: number;
  column: number;
  body: string;
  /** Every variable of the tile with its value, in words: what the confounding check compares. */
  factors: Record<string, string>;
  mix: Mix | null;
  layers: PlannedLayer[];
};

type Common = { bodies: readonly string[]; repeats: number; controls: boolean; apply: Application };

/** A design; coatings, corners and bodies are named by whatever key the caller uses for them. */
export type Design = Common &
  (
    | { kind: 'coats'; coating: string; coats: readonly number[] }
    | { kind: 'coats on one tile'; coating: string; most: number }
    | { kind: 'seconds'; coating: string; seconds: readonly number[] }
    | { kind: 'across bodies'; stack: readonly string[] }
    | { kind: 'factorial'; coatings: readonly string[]; coats: readonly number[] }
    | { kind: 'line'; corners: readonly [string, string]; points: number }
    | { kind: 'triaxial'; corners: readonly [string, string, string]; steps: number }
    | {
        kind: 'grid';
        corners: readonly [string, string, string, string];
        rows: number;
        columns: number;
      }
    | { kind: 'colourant'; base: string; material: string; percents: readonly number[] }
    | { kind: 'crazing'; base: string; steps: number; silica: string; kaolin: string }
    | { kind: 'body and glaze'; glaze: string; percents: readonly number[] }
    | { kind: 'matrix'; bases: readonly string[]; overs: readonly string[]; both: boolean }
    | { kind: 'list'; stacks: readonly (readonly string[])[] }
  );

export type DesignKind = Design['kind'];

export const DESIGN_KINDS = [
  'coats',
  'coats on one tile',
  'seconds',
  'across bodies',
  'factorial',
  'line',
  'triaxial',
  'grid',
  'colourant',
  'crazing',
  'body and glaze',
  'matrix',
  'list',
] as const satisfies readonly DesignKind[];
