/** How near attempts came to what they are to match, in colour. */
import { deltaE, type Scatter } from '@/core/colour';
import type { Source } from '@/data/database';
import { mainColours, readRepeats } from '@/data/repeats';

/** ΔE₀₀ from the target for every attempt that was measured, and what repeats scatter between firings. */
export type Near = { distances: ReadonlyMap<string, number>; scatter: Scatter | null };

/** Null where the target was never measured. */
export async function nearTo(
  src: Source,
  targetId: string,
  pieceIds: readonly string[],
): Promise<Near | null> {
  const [colours, repeats] = await Promise.all([mainColours(src, [targetId, ...pieceIds]), readRepeats(src)]);
  const aim = colours.get(targetId);
  if (aim === undefined) return null;
  const distances = pieceIds.flatMap((id): [string, number][] => {
    const own = colours.get(id);
    return own === undefined || id === targetId ? [] : [[id, deltaE(own.lab, aim.lab)]];
  });
  return { distances: new Map(distances), scatter: repeats.between };
}

/** Measured ones first, the nearest before. */
export const nearerFirst = (near: Near | null, a: string, b: string): number => {
  const [x, y] = [near?.distances.get(a) ?? Infinity, near?.distances.get(b) ?? Infinity];
  return x === y ? 0 : x - y;
};
