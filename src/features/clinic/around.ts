/**
 * What the work around a fault answers: the bucket, the bisque, whose it is, what stood beside it, the diary
 * of the air.
 */
import { bandsOf, fellShort, STRENGTH } from '@/core/atmosphere';
import { coneOrdinal, isCone } from '@/core/cones';
import {
  factsThatBear,
  readBisque,
  readBucket,
  readChrome,
  readHand,
  readOtherBisque,
  readReduction,
  type Told,
} from '@/core/diagnosis';
import { firingTitle } from '@/core/firing';
import type { SeenStack } from '@/core/diagnosis';
import { stoodIn, workedOn } from '@/data/clinic-around';
import type { Source } from '@/data/database';
import type { Firing } from '@/data/firings';
import type { Placement } from '@/data/placements';
import { keptBisques, keptBuckets, keptChrome, keptDiary, leanLog } from './kept';

const at = (href: string | null, told: readonly (Told | null)[]): Told[] =>
  told.flatMap((one) => (one === null ? [] : [href === null ? one : { ...one, href }]));

/** What the diary says of the reduction of a firing. */
export async function airTold(src: Source, firing: Firing): Promise<Told[]> {
  if (firing.startedAt === null || STRENGTH[firing.atmosphere] < STRENGTH.reduction) return [];
  const [entries, log] = await Promise.all([keptDiary(src, firing.id), leanLog(src, firing)]);
  const marks = entries.flatMap(({ at: moment, atmosphere }) =>
    atmosphere === null
      ? []
      : [{ t: (moment.getTime() - firing.startedAt!.getTime()) / 1000, atmosphere, judgedBy: '' }],
  );
  const end = log.reduce((best, one) => (one.c > best.c ? one : best), { t: 0, c: -Infinity }).t;
  const short = fellShort(bandsOf(marks, end), firing.atmosphere);
  return at(`/kilns/firings/${firing.id}`, [
    readReduction(
      marks.map(({ t, atmosphere }) => ({ t, strength: STRENGTH[atmosphere] })),
      log,
      short,
    ),
  ]);
}

/** How these buckets were on a day. */
const ofBuckets = (buckets: Awaited<ReturnType<typeof keptBuckets>>, on: Date): Told[] =>
  at(buckets.length === 1 ? `/store/buckets/${buckets[0]!.id}` : null, [
    readBucket(
      buckets.map(({ name, advice, entries }) => ({ name, wantedSg: advice.sg, entries })),
      on,
    ),
  ]);

/**
 * The buckets of coats on the day on which they went on; of several coats the one that was not as usual
 * tells.
 */
export async function bucketTold(src: Source, versionIds: readonly string[], glazed: Date): Promise<Told[]> {
  const buckets = await keptBuckets(src);
  const all = versionIds.flatMap((id) =>
    ofBuckets(
      buckets.filter(({ versionId }) => versionId === id),
      glazed,
    ),
  );
  return [all.find(({ value }) => value !== 'usual') ?? all[0]].flatMap((one) => one ?? []);
}

/** How one bucket was of late. */
export const oneBucketTold = async (src: Source, bucketId: string, now: Date): Promise<Told[]> =>
  ofBuckets(
    (await keptBuckets(src)).filter(({ id }) => id === bucketId),
    now,
  );

async function bisqueTold(src: Source, bisqueId: string): Promise<Told[]> {
  const all = await keptBisques(src);
  const own = all.find(({ id }) => id === bisqueId);
  if (own === undefined) return [];
  const coneOf = ({ reachedOrdinal, byLog, targetCone }: Firing): number | null =>
    reachedOrdinal ??
    byLog?.ordinal ??
    (targetCone !== null && isCone(targetCone) ? coneOrdinal(targetCone) : null);
  return at(
    `/kilns/firings/${own.id}`,
    readBisque({
      name: firingTitle(own),
      log: await leanLog(src, own),
      cone: coneOf(own),
      usual: all
        .filter((one) => one.id !== own.id && one.kilnId === own.kilnId)
        .flatMap((one) => coneOf(one) ?? []),
    }),
  );
}

async function chromeTold(src: Source, firing: Firing, own: Placement | undefined): Promise<Told[]> {
  const all = (await stoodIn(src, firing.id)).filter(({ pieceId }) => pieceId !== own?.pieceId);
  const { chrome, known } = await keptChrome(
    src,
    [...new Set(all.flatMap(({ versionIds }) => versionIds))].sort(),
  );
  const holding = all
    .filter(({ versionIds }) => versionIds.some((id) => chrome.has(id)))
    .map(({ shelf, xMm, yMm }) => ({
      shelf,
      apartMm:
        shelf === own?.shelf && xMm !== null && yMm !== null && own?.xMm != null && own.yMm !== null
          ? Math.hypot(xMm - own.xMm, yMm - own.yMm)
          : null,
    }));
  const whole =
    all.length > 0 &&
    all.every(({ coatsKnown, versionIds }) => coatsKnown && versionIds.every((id) => known.has(id)));
  return at(`/kilns/firings/${firing.id}`, [readChrome(holding, own?.shelf ?? null, whole)]);
}

/** All of it, for a piece after a firing; what no cause of the complaint cares about is not read. */
export async function aroundTold(
  src: Source,
  of: {
    complaint: string;
    pieceId: string;
    firing: Firing;
    placement: Placement | undefined;
    /** Stacks of the load that are the same as its own. */
    twins: readonly SeenStack[];
    sign: string;
    versionIds: readonly string[];
  },
): Promise<Told[]> {
  const bears = factsThatBear(of.complaint);
  const [worked, air, chrome] = await Promise.all([
    workedOn(src, [...new Set([of.pieceId, ...of.twins.map(({ pieceId }) => pieceId)])]),
    bears.has('reduction') ? airTold(src, of.firing) : [],
    bears.has('chrome-near') ? chromeTold(src, of.firing, of.placement) : [],
  ]);
  const own = worked.find(({ pieceId }) => pieceId === of.pieceId);
  const faulty = new Set(
    of.twins.filter(({ faults }) => faults.includes(of.sign)).map(({ pieceId }) => pieceId),
  );
  const twins = worked.map(({ pieceId, bisqueId, person }) => ({
    bisque: bisqueId,
    person,
    has: faulty.has(pieceId),
  }));
  const lit = of.firing.startedAt ?? of.firing.openedAt;
  const times = [own?.glazedAt, lit].flatMap((one) => one?.getTime() ?? []);
  const [bucket, bisque] = await Promise.all([
    bears.has('sg') && times.length > 0 ? bucketTold(src, of.versionIds, new Date(Math.min(...times))) : [],
    own?.bisqueId == null ? [] : bisqueTold(src, own.bisqueId),
  ]);
  const firing = `/kilns/firings/${of.firing.id}`;
  return [
    ...air,
    ...chrome,
    ...bucket,
    ...bisque,
    ...at(firing, [readOtherBisque(own?.bisqueId ?? null, twins), readHand(twins)]),
  ];
}
