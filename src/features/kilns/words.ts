import type { OffsetEstimate } from '@/core/heatwork';
import { QUANTITIES, formatSpan, type Units } from '@/core/units';

/** "8 °C high", "15 °C low": which way a thermocouple is off. */
const offsetWords = (offset: number, units: Pick<Units, 'temperature'>): string =>
  `${formatSpan(offset, units)} ${offset >= 0 ? 'low' : 'high'}`;

/** What is known of a thermocouple: "15 °C low", or within what its cones bound it. */
export const offsetSaid = (
  { offset, low, high }: Pick<OffsetEstimate, 'offset' | 'low' | 'high'>,
  units: Pick<Units, 'temperature'>,
): string =>
  offset === null ? `somewhere from ${intervalWords(low, high, units)}` : offsetWords(offset, units);

/** "6 to 10 high", "3 high to 1 low": an interval of offsets. */
export function intervalWords(low: number, high: number, units: Pick<Units, 'temperature'>): string {
  const [from, to] = [low, high].map((one) => Math.round(QUANTITIES.span.shown(one, units))) as [
    number,
    number,
  ];
  if (from >= 0) return `${from} to ${to} low`;
  if (to <= 0) return `${-to} to ${-from} high`;
  return `${-from} high to ${to} low`;
}
