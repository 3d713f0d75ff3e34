'use client';
import type { RoomPiece } from './room';
import type { Load } from './useLoad';

export const sameStack = (a: RoomPiece, b: RoomPiece): boolean =>
  JSON.stringify(a.layers.map(({ coat, region }) => [coat, region])) ===
  JSON.stringify(b.layers.map(({ coat, region }) => [coat, region]));

export function statusWords(
  { ready, waiting, sending, trouble }: Omit<Load['state'], 'refused'>,
  written: number,
  all: number,
): string {
  if (!ready) return `${written} of ${all} written up; looking through this device …`;
  if (waiting === 0) return `${written} of ${all} written up; all of it is on the studio’s server`;
  const here = `${written} of ${all} written up; ${waiting} on this device, not yet on the server`;
  return sending && trouble === null ? `${here}; sending …` : `${here}. ${trouble ?? ''}`;
}

/** Cones of a firing of which none was read; one that was read says what the firing was. */
export const unreadOf = (cones: readonly { bendDegrees: number | null }[]): number =>
  cones.every(({ bendDegrees }) => bendDegrees === null) ? cones.length : 0;
