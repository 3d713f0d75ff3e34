import type { Source } from '@/data/database';
import { countPlacements, listFirings, type Firing } from '@/data/firings';
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
};

/** The day sheet: what is in the kilns, what is to be written up, what waits and for which firing. */
export async function daySheet(src: Source): Promise<DaySheet> {
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
    last: opened.find((firing) => firing.writtenUpAt !== null) ?? null,
  };
}
