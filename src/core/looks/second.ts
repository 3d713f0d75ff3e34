/**
 * Looking again: glazes craze, shiver and dull weeks and months after the kiln was opened (delayed crazing by
 * moisture expansion of the body: H. G. Schurecht, J. Am. Ceram. Soc. 11 (1928) 271; the spans are common
 * practice, no source).
 */
export const SPANS = [
  { word: 'a week', days: 7 },
  { word: 'a month', days: 30 },
  { word: 'a year', days: 365 },
] as const;
export type SpanDays = (typeof SPANS)[number]['days'];

export const spanWord = (days: number): string =>
  SPANS.find((span) => span.days === days)?.word ?? `${days} days`;

const DAY = 86_400_000;

/** A day so many days later (or earlier). Both are calendar days, "2026-03-31". */
export function dayAfter(day: string, days: number): string {
  // eslint-disable-next-line no-restricted-globals -- reckons with days, asks no clock
  const at = new Date(`${day}T00:00:00Z`).getTime() + days * DAY;
  // eslint-disable-next-line no-restricted-globals -- reckons with days, asks no clock
  return new Date(at).toISOString().slice(0, 10);
}

/**
 * When a piece is due to be looked at again, and from when on a look counts as that look: somebody who looks
 * a little early has looked. A quarter of the span is early enough.
 */
export function dueAfter(opened: string, days: number): { dueOn: string; countsFrom: string } {
  return {
    dueOn: dayAfter(opened, days),
    countsFrom: dayAfter(opened, Math.ceil(days * 0.75)),
  };
}

/** "pinged 12 times a minute, now 3": how a crackle quietens; '' where it was not heard twice. */
export function pingsWords(counts: readonly number[]): string {
  const [first, last] = [counts[0], counts.at(-1)];
  if (first === undefined || last === undefined || counts.length < 2) return '';
  return last === first
    ? `pings ${last} times a minute still`
    : `pinged ${first} times a minute, now ${last}`;
}
