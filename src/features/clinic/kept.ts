/** What every case reads alike, kept until it changes. */
import { decimated } from '@/core/heatwork';
import { readLog, type Told } from '@/core/diagnosis';
import { listBodies } from '@/data/bodies';
import { entriesOf, listBuckets } from '@/data/buckets';
import { listCoatings } from '@/data/coatings';
import type { Source } from '@/data/database';
import { listFirings, type Firing } from '@/data/firings';
import { entriesOfFiring } from '@/data/firing-log';
import { keepRead } from '@/data/kept';
import { logOf } from '@/data/readings';
import { recipesOf } from '@/data/recipes';
import { bodyTestsOf } from '@/data/stock';
import { listWitnesses } from '@/data/witnesses';
import { traitsByVersion } from '../loading/server';
import { bodyFits, recipeMaterials } from '../store/server';

const ids = (list: readonly string[]): string => list.join();

export const keptCoatings = keepRead({ most: 1, key: () => '', read: listCoatings });
export const keptBodies = keepRead({ most: 1, key: () => '', read: listBodies });
export const keptMaterials = keepRead({ most: 1, key: () => '', read: recipeMaterials });
export const keptFits = keepRead({ most: 60, key: (bodyId: string) => bodyId, read: bodyFits });
export const keptTests = keepRead({ most: 60, key: (bodyId: string) => bodyId, read: bodyTestsOf });
export const keptRecipes = keepRead({ most: 200, key: ids, read: recipesOf });
export const keptDiary = keepRead({ most: 40, key: (firingId: string) => firingId, read: entriesOfFiring });
/**
 * Which coating versions hold chrome, by their recipe or by what the studio says, and of which the recipe is
 * known.
 */
export const keptChrome = keepRead({
  most: 40,
  key: ids,
  async read(src: Source, versionIds: readonly string[]) {
    const [byRecipe, coatings] = await Promise.all([traitsByVersion(src, versionIds), listCoatings(src)]);
    const said = coatings.filter(({ traits }) => traits.includes('chrome'));
    return {
      chrome: new Set([
        ...said.flatMap(({ versions }) => versions.map(({ id }) => id)),
        ...[...byRecipe].flatMap(([id, traits]) => (traits.includes('chrome') ? [id] : [])),
      ]),
      known: new Set(byRecipe.keys()),
    };
  },
});

/** Cones that were read. */
export const keptWitnesses = keepRead({
  most: 40,
  key: (firingId: string) => firingId,
  read: async (src: Source, firingId: string) =>
    ((await listWitnesses(src, [firingId])).get(firingId) ?? []).flatMap(({ bendDegrees, ...cone }) =>
      bendDegrees === null ? [] : [{ ...cone, bendDegrees }],
    ),
});

/** Every bucket that ever was, with what was measured of it. */
export const keptBuckets = keepRead({
  most: 1,
  key: () => '',
  async read(src: Source) {
    const buckets = await listBuckets(src, { emptied: true });
    const entries = await entriesOf(
      src,
      buckets.map(({ id }) => id),
    );
    return buckets.map((bucket) => ({ ...bucket, entries: entries.get(bucket.id) ?? [] }));
  },
});

/** Every bisque, newest first. */
export const keptBisques = keepRead({
  most: 1,
  key: () => '',
  read: async (src: Source) => (await listFirings(src)).filter(({ kind }) => kind === 'bisque'),
});

/** A firing's log: of one that is over it does not change any more. */
const keptLog = keepRead({
  most: 40,
  key: (firingId: string, from: Date) => `${firingId}/${from.getTime()}`,
  read: logOf,
});

/** Readings as they are compared; a reading a second tells no more of this than one in a minute. */
export const leanLog = async (
  src: Source,
  { id, startedAt }: Pick<Firing, 'id' | 'startedAt'>,
): Promise<ReturnType<typeof decimated>> =>
  startedAt === null ? [] : decimated(await keptLog(src, id, startedAt), 1500);

/** What the log of a firing says, where somebody lit it. */
export async function logTold(src: Source, firing: Firing): Promise<Told[]> {
  if (firing.startedAt === null) return [];
  const at =
    firing.openedAt === null ? null : (firing.openedAt.getTime() - firing.startedAt.getTime()) / 1000;
  return readLog(await leanLog(src, firing), at);
}
