import { daysLeft } from '@/core/designs';
import { entriesOf, listBuckets, type Bucket } from '@/data/buckets';
import type { Source } from '@/data/database';
import { listQuestions, type Question } from '@/data/questions';
import { tileStock, type TileStock } from '@/data/stock';
import { listFirings, type Firing } from '@/data/firings';
import { countPlacements } from '@/data/placements';
import { countWritten, flaggedWaiting } from '@/data/bench';
import { listPieces } from '@/data/pieces';

export type WaitingGroup = {
  waitingFor: string;
  cone: string | null;
  atmosphere: string | null;
  count: number;
  suits: Firing | null;
};
export type DaySheet = {
  hot: { firing: Firing; pieces: number }[];
  planned: { firing: Firing; pieces: number }[];
  openings: { firing: Firing; written: number; pieces: number }[];
  waiting: WaitingGroup[];
  flagged: { code: string; text: string }[];
  last: Firing | null;
  /** Questions whose tiles are all written up. */
  ripe: Question[];
  /** Blanks that run out within three weeks. */
  short: TileStock[];
  /** Buckets far from the SG they should have. */
  off: { bucket: Bucket; sg: number }[];
};

/** The day sheet: what is in the kilns, what is to be written up, what waits and for which firing. */
export async function daySheet(src: Source, now = new Date()): Promise<DaySheet> {
  const [going, opened] = [
    await listFirings(src, { statuses: ['planned', 'loaded', 'firing', 'cooling'] }),
    await listFirings(src, { statuses: ['opened'], limit: 60 }),
  ];
  const unwritten = opened.filter((firing) => firing.writtenUpAt === null);
  const ids = [...going, ...unwritten].map((firing) => firing.id);
  const [counts, written] = [
    await countPlacements(src, ids),
    await countWritten(
      src,
      unwritten.map((firing) => firing.id),
    ),
  ];
  const planned = going.filter(
    (firing) => firing.status === 'planned' || firing.status === 'loaded',
  );
  const groups = new Map<string, WaitingGroup>();
  for (const piece of await listPieces(src, { waiting: true })) {
    const key = `${piece.waitingFor}/${piece.wantedCone}/${piece.wantedAtmosphere}`;
    const group = groups.get(key) ?? {
      waitingFor: piece.waitingFor as string,
      cone: piece.wantedCone,
      atmosphere: piece.wantedAtmosphere,
      count: 0,
      suits: null,
    };
    group.count++;
    group.suits =
      planned.find((firing) =>
        piece.waitingFor === 'bisque'
          ? firing.kind === 'bisque'
          : firing.kind !== 'bisque' && firing.targetCone === piece.wantedCone,
      ) ?? null;
    groups.set(key, group);
  }
  const withCount = (firing: Firing) => ({ firing, pieces: counts.get(firing.id) ?? 0 });
  return {
    hot: going
      .filter((firing) => firing.status === 'firing' || firing.status === 'cooling')
      .map(withCount),
    planned: planned.map(withCount),
    openings: unwritten.map((firing) => ({
      firing,
      pieces: counts.get(firing.id) ?? 0,
      written: written.get(firing.id) ?? 0,
    })),
    waiting: [...groups.values()].sort((a, b) => b.count - a.count),
    flagged: await flaggedWaiting(src),
    ripe: (await listQuestions(src)).filter(
      ({ conclusion, tiles, seen }) => conclusion === null && tiles > 0 && seen === tiles,
    ),
    short: (await tileStock(src, now)).filter(({ number, usedLately }) => {
      const days = daysLeft(number, usedLately, 90);
      return days !== null && days < 21;
    }),
    off: await offBuckets(src),
    last: opened.find((firing) => firing.writtenUpAt !== null) ?? null,
  };
}

/** An SG this far from its mark is felt in the coat (common practice, no source). */
const FAR = 0.05;

async function offBuckets(src: Source): Promise<DaySheet['off']> {
  const buckets = await listBuckets(src);
  const entries = await entriesOf(
    src,
    buckets.map(({ id }) => id),
  );
  return buckets.flatMap((bucket) => {
    const sg = (entries.get(bucket.id) ?? []).filter((entry) => entry.sg !== null).at(-1)?.sg;
    return sg != null && bucket.advice.sg !== null && Math.abs(sg - bucket.advice.sg) >= FAR
      ? [{ bucket, sg }]
      : [];
  });
}
