import { CONES, WHOLE_CONES, coneOrdinal, formatCone, isHalfCone } from '../cones';
import { coneOf, coneWords, type ConeByLog, type ConeRecord } from './cone-known';

/** What a firing reached: where on the cone line, whether exactly, and what was wanted. */
export type Reached = Omit<ConeRecord, 'byLog'> & { byLog?: ConeByLog | null };

/** What a firing reached, as its cones say; else about what by its log; else only what was intended. */
export function reachedWords(firing: Reached): string {
  if (firing.reachedOrdinal === null) return coneWords(coneOf({ byLog: null, ...firing }));
  const ordinal = firing.reachedOrdinal;
  // A half cone is named only when it was hit; otherwise the whole cone below and the bend of the next.
  const hit = CONES.some((cone) => isHalfCone(cone) && coneOrdinal(cone) === ordinal);
  const named = hit ? CONES : WHOLE_CONES;
  const below = named.findLast((cone) => coneOrdinal(cone) <= ordinal + 1e-9) ?? CONES[0]!;
  const above = named[named.indexOf(below) + 1];
  const share =
    above === undefined ? 0 : (ordinal - coneOrdinal(below)) / (coneOrdinal(above) - coneOrdinal(below));
  const words =
    share < 0.02 || above === undefined
      ? `cone ${formatCone(below)}`
      : `cone ${formatCone(below)} down, ${formatCone(above)} bent ${Math.round(share * 100)} %`;
  if (firing.reachedBound === 'at least') return `at least ${words}`;
  if (firing.reachedBound === 'less than') return `less than cone ${formatCone(above ?? below)}`;
  return words;
}

export const firingTitle = (firing: { kilnName: string; no: number }): string =>
  `${firing.kilnName} ${firing.no}`;

/** "6", "5½ … 6": where on the cone line, in tenths. */
export function ordinalWords(ordinal: number): string {
  const below = WHOLE_CONES.findLast((cone) => coneOrdinal(cone) <= ordinal + 1e-9) ?? WHOLE_CONES[0]!;
  const share = ordinal - coneOrdinal(below);
  const percent = Math.round(share * 100);
  if (percent < 3) return `cone ${formatCone(below)}`;
  const next = WHOLE_CONES[WHOLE_CONES.indexOf(below) + 1];
  return next === undefined
    ? `past cone ${formatCone(below)}`
    : percent > 97
      ? `cone ${formatCone(next)}`
      : `cone ${formatCone(below)}, ${formatCone(next)} bent ${percent} %`;
}
