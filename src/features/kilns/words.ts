import { CONES, coneOrdinal, formatCone } from '@/core/cones';
import { formatSpan, spanToStudio, type Units } from '@/core/units';
import type { Firing } from '@/data/firings';

/** What a firing reached, as its cones say: "6.3", "at least 6"; the target when none was read. */
export function reachedWords(
  firing: Pick<Firing, 'reachedOrdinal' | 'reachedBound' | 'targetCone'>,
): string {
  if (firing.reachedOrdinal === null)
    return firing.targetCone === null
      ? 'cone unknown'
      : `target cone ${formatCone(firing.targetCone)}, cones not read`;
  const ordinal = firing.reachedOrdinal;
  // A half cone is named only when it was hit; otherwise the whole cone below and the bend of the next.
  const named = ordinal === 5.5 ? CONES : CONES.filter((cone) => cone !== '5.5');
  const below = named.findLast((cone) => coneOrdinal(cone) <= ordinal + 1e-9) ?? CONES[0]!;
  const above = named[named.indexOf(below) + 1];
  const share =
    above === undefined
      ? 0
      : (ordinal - coneOrdinal(below)) / (coneOrdinal(above) - coneOrdinal(below));
  const words =
    share < 0.02 || above === undefined
      ? `cone ${formatCone(below)}`
      : `cone ${formatCone(below)} down, ${formatCone(above)} bent ${Math.round(share * 100)} %`;
  if (firing.reachedBound === 'at least') return `at least ${words}`;
  if (firing.reachedBound === 'less than') return `less than cone ${formatCone(above ?? below)}`;
  return words;
}

export const firingTitle = (firing: Pick<Firing, 'kilnName' | 'no'>): string =>
  `${firing.kilnName} ${firing.no}`;

/** "8 °C high", "15 °C low": which way a thermocouple is off. */
export const offsetWords = (offset: number, units: Pick<Units, 'temperature'>): string =>
  `${formatSpan(offset, units)} ${offset >= 0 ? 'low' : 'high'}`;

/** "6 to 10 high", "3 high to 1 low": an interval of offsets. */
export function intervalWords(
  low: number,
  high: number,
  units: Pick<Units, 'temperature'>,
): string {
  const [from, to] = [low, high].map((one) => Math.round(spanToStudio(one, units))) as [
    number,
    number,
  ];
  if (from >= 0) return `${from} to ${to} low`;
  if (to <= 0) return `${-to} to ${-from} high`;
  return `${-from} high to ${to} low`;
}
