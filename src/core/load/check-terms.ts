/** What the checks of a load ask and what they say. */
import type { ConeRange } from '../cones';
import type { FiringKind, FiringStatus, Setting } from '../firing';
import type { Atmosphere } from '../signs';
import { type Footprint, type Shelf, type Spot } from './shelf';

/** What a coating or a body is known for, as the load asks it. */
export const COATING_TRAITS = ['chrome', 'tin white', 'fluid', 'oxidation only', 'reduction only'] as const;

export type CoatingTrait = (typeof COATING_TRAITS)[number];

export const BODY_TRAITS = ['unproven', 'oxidation only', 'reduction only'] as const;

export type BodyTrait = (typeof BODY_TRAITS)[number];

export type LoadCoating = {
  name: string;
  range: ConeRange | null;
  traits: readonly CoatingTrait[];
};

export type LoadItem = {
  id: string;
  code: string;
  body: { name: string; range: ConeRange | null; traits: readonly BodyTrait[] };
  coatings: readonly LoadCoating[];
  /** Glaze comes down to the foot on some face. */
  glazedFoot: boolean;
  /** What this very stack did before ran by so much, mm; null when it was never seen. */
  ranMm: number | null;
  bisqued: boolean;
  /** The air it was made for; null where any will do. */
  wantedAtmosphere: string | null;
  setting: Setting;
  shelf: number | null;
  spot: Spot | null;
  footprint: Footprint;
  flags: readonly string[];
  /** Pieces of one question share it; `treatment` tells what is compared in it. */
  question: string | null;
  treatment: string;
};

export type LoadFiring = {
  kind: FiringKind;
  targetCone: string | null;
  atmosphere: Atmosphere;
  fuelled: boolean;
  witnesses: number;
  shelf: Shelf | null;
  thermocouple: { xMm: number; yMm: number; shelf: number | null } | null;
  /** Share of the shelves' area that is stood on. */
  fullness: number | null;
  /** Another firing of this kiln that is not opened; null when it stands empty. */
  inside: Inside | null;
};

/** A load that is in a kiln already. */
export type Inside = { title: string; status: FiringStatus };

export type Finding = {
  id: string;
  /** 'stop' must be mended or overruled before the lid is closed; 'look' is worth a look. */
  level: 'stop' | 'look';
  title: string;
  reason: string;
  pieces: string[];
  /** No reason lets it stay: it has to be mended. */
  firm?: boolean;
};

export type Overrule = { finding: string; pieces: readonly string[]; reason: string };

/** Was this finding overruled for all the pieces it now names? A new piece asks again. */
export function overruled(finding: Finding, overrules: readonly Overrule[]): Overrule | null {
  return (
    overrules.find(
      (one) => one.finding === finding.id && finding.pieces.every((code) => one.pieces.includes(code)),
    ) ?? null
  );
}
