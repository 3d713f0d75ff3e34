/** Doubled bodies, coatings, kilns and people made one, and taken apart again. */
import { refreshCells } from '@/data/cells';
import type { Source } from '@/data/database';
import { pairsOf } from '@/data/fired';
import { settleJourneys } from '@/data/journey';
import {
  carryMoves,
  countFirings,
  holdBoth,
  leadOver,
  piecesMoved,
  putAway,
  renumbered,
  type Move,
} from '@/data/merging';
import { listCoatings } from '@/data/coatings';
import { loadsInside } from '@/data/mergers';
import { lockTechnicians } from '@/data/people';
import { found, notFound, refuse } from '@/platform/refusal';
import { relearn } from '../kilns/server';
import type { z } from 'zod';
import type { Kind, mergeSchema } from './contracts';

export type Merge = z.output<typeof mergeSchema>;
type Pair = Pick<Merge, 'kind' | 'fromId' | 'intoId'>;

const NOUN: Readonly<Record<Kind, string>> = {
  body: 'body',
  coating: 'coating',
  kiln: 'kiln',
  person: 'person',
};

/** Whether two may be made one; refuses with the way out. */
async function mayMerge(src: Source, { kind, fromId, intoId }: Merge, own: string): Promise<void> {
  if (fromId === intoId) throw refuse(`This is one ${NOUN[kind]}, not two.`);
  const both = await holdBoth(src, kind, fromId, intoId);
  if (both === null) throw notFound(`This ${NOUN[kind]}`);
  const { from, into } = both;
  for (const one of [from, into])
    if (one.merged_into !== null) throw refuse(`${one.name} was merged already.`);
  if (kind === 'person') {
    if (fromId === own) throw refuse('That is you. Keep your own name, and merge the other into it.');
    if (into.disabled_at !== null)
      throw refuse(`${into.name} may not sign in. Let ${into.name} in again first.`);
    const left = (await lockTechnicians(src)).filter((id) => id !== fromId);
    if (left.length === 0) throw refuse('No technician would be left.');
  } else if (into.archived_at !== null)
    throw refuse(`${into.name} is put away. Take it into use again first.`);
  if (kind === 'kiln' && (await loadsInside(src, [fromId, intoId])).length > 1)
    throw refuse('Both have a load inside. One kiln holds one load: open one of them first.');
  if (kind === 'coating' && Boolean(from.trial) !== Boolean(into.trial))
    throw refuse('What a question blended is not the same as a coating of the store.');
}

/** The moves that lead everything of one over to the other. */
async function movesFor(src: Source, { kind, fromId, intoId }: Pair, version: string | null) {
  if (kind === 'kiln')
    return [
      ...(await renumbered(src, 'firing', fromId, intoId)),
      ...(await leadOver(src, kind, fromId, intoId)).filter(({ table }) => table !== 'firing'),
    ];
  // Versions that count as one of the other's stay with the double; nothing refers to them any more.
  const own = (await leadOver(src, kind, fromId, intoId)).filter(({ table }) => table !== 'coating_version');
  if (kind !== 'coating') return own;
  if (version === null) return [...own, ...(await renumbered(src, 'coating_version', fromId, intoId))];
  const coatings = await listCoatings(src);
  const [from, into] = [fromId, intoId].map((id) =>
    found(
      coatings.find((one) => one.id === id),
      'This coating',
    ),
  );
  if (!into!.versions.some(({ id }) => id === version)) throw refuse(`This is no version of ${into!.name}.`);
  const moves = await Promise.all(
    from!.versions.map(({ id }) => leadOver(src, 'coating_version', id, version)),
  );
  return [...own, ...moves.flat()];
}

/** Makes two one in this transaction: what was moved, in the order it was. */
export async function makeOne(
  src: Source,
  wanted: Merge,
  own: string,
  now: Date,
): Promise<{ moves: Move[]; pieceIds: string[] }> {
  const { kind, fromId, intoId, versionId } = wanted;
  await mayMerge(src, wanted, own);
  const moves = await movesFor(src, wanted, versionId);
  moves.push(await putAway(src, kind, fromId, intoId, now));
  await carryMoves(src, moves);
  return { moves, pieceIds: await follow(src, wanted, moves, now) };
}

/** What came under the double's name since it was merged, as from a phone that was away, follows it. */
export async function leadLate(
  src: Source,
  merger: Pair & { moves: readonly Move[] },
  now: Date,
): Promise<Move[]> {
  const counted = merger.moves.find(({ became }) => became.coating_version_id !== undefined);
  const newest = async (): Promise<string | null> =>
    (await listCoatings(src)).find(({ id }) => id === merger.intoId)?.versions.at(-1)?.id ?? null;
  const moves = await movesFor(
    src,
    merger,
    merger.kind !== 'coating'
      ? null
      : ((counted?.became.coating_version_id as string | undefined) ?? (await newest())),
  );
  await carryMoves(src, moves);
  await follow(src, merger, moves, now);
  return moves;
}

/** What follows from records is made again for what was moved; the pieces concerned. */
export async function follow(
  src: Source,
  { kind, fromId, intoId }: Pair,
  moves: readonly Move[],
  now: Date,
): Promise<string[]> {
  if (kind === 'kiln') {
    for (const id of [fromId, intoId]) {
      await countFirings(src, id);
      await relearn(src, id, null, now);
    }
  }
  const pieceIds = await piecesMoved(src, moves);
  await refreshCells(src, await pairsOf(src, { pieceIds }));
  await settleJourneys(src, pieceIds);
  return pieceIds;
}
