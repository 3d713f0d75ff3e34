/** The nearest pieces that differ in the fault: what they have otherwise is where to look. */
import type { SeenStack } from './from-record';
import { stackParts } from './from-record';

export type Contrast = {
  pieceId: string;
  firingId: string;
  /** What is otherwise with it, the most telling first. */
  differs: ('thickness' | 'version' | 'body' | 'ground' | 'cone' | 'firing')[];
  distance: number;
};

/**
 * How far apart a difference sets two pieces: what a firing changes besides, it changes for all of its load.
 */
const APART = { thickness: 1, version: 1, body: 2, ground: 1.5, cone: 1.5, firing: 0.5 } as const;

/**
 * Pieces of the same coats in the same order that were looked at and are clean, the nearest first; ties by
 * id, so that the same records tell the same. One for each piece.
 * @param own the stack that has the fault; `kin` stacks that share its coats.
 */
export function contrastsOf(own: SeenStack, sign: string, kin: readonly SeenStack[], most = 3): Contrast[] {
  const faulty = new Set(kin.filter(({ faults }) => faults.includes(sign)).map(({ pieceId }) => pieceId));
  const { stack, coats, versions } = stackParts(own.stackKey);
  const nearest = new Map<string, Contrast>();
  for (const one of kin) {
    if (one.pieceId === own.pieceId || faulty.has(one.pieceId)) continue;
    const other = stackParts(one.stackKey);
    if (other.stack !== stack) continue;
    const otherwise = {
      body: one.bodyId !== own.bodyId,
      ground: one.slips !== own.slips,
      cone: one.cone !== own.cone,
      thickness: other.coats !== coats,
      version: other.versions !== versions,
      firing: one.firingId !== own.firingId,
    };
    const differs = (Object.keys(otherwise) as (keyof typeof otherwise)[]).filter((name) => otherwise[name]);
    const distance = differs.reduce((sum, name) => sum + APART[name], 0);
    const before = nearest.get(one.pieceId);
    if (before === undefined || distance < before.distance)
      nearest.set(one.pieceId, { pieceId: one.pieceId, firingId: one.firingId, differs, distance });
  }
  return [...nearest.values()]
    .sort((a, b) => a.distance - b.distance || (a.pieceId < b.pieceId ? -1 : 1))
    .slice(0, most);
}
