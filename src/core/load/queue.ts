/** When a firing will be full: what waits, and how fast it comes. */

/**
 * Days until `wanted` pieces wait, from what waits and how many came in the last weeks; null when none come.
 */
export function daysUntilFull(waiting: number, wanted: number, cameIn: number, days: number): number | null {
  if (waiting >= wanted) return 0;
  if (cameIn <= 0) return null;
  return Math.ceil(((wanted - waiting) * days) / cameIn);
}

/** A usual load from how many pieces earlier firings of a kind held: their median; null without any. */
export function usualLoad(counts: readonly number[]): number | null {
  if (counts.length === 0) return null;
  const sorted = [...counts].sort((a, b) => a - b);
  return sorted[sorted.length >> 1]!;
}
