import { addMoves, endMerger, holdMerger, keepMerger } from '@/data/mergers';
import { undoMoves } from '@/data/merging';
import { operation } from '@/platform/operation';
import { notFound } from '@/platform/refusal';
import { permit } from '../people';
import * as contracts from './contracts';
import { follow, leadLate, makeOne } from './merge';

export const merge = operation({
  contract: contracts.merge,
  permit: permit('run the studio'),
  run: async ({ trx, person, now }, wanted) => {
    const { moves } = await makeOne(trx, wanted, person.id, now);
    return { mergerId: await keepMerger(trx, { ...wanted, moves }, person.id, now) };
  },
});

/** What was recorded since under the one that stayed stays with it. */
export const takeApart = operation({
  contract: contracts.takeApart,
  permit: permit('run the studio'),
  run: async ({ trx, now }, { mergerId }) => {
    const merger = await holdMerger(trx, mergerId);
    if (merger === null) throw notFound('This merger');
    await undoMoves(trx, merger.moves);
    await endMerger(trx, mergerId, now);
    await follow(trx, merger, merger.moves, now);
  },
});

export const bringAlong = operation({
  contract: contracts.bringAlong,
  permit: permit('run the studio'),
  run: async ({ trx, now }, { mergerId }) => {
    const merger = await holdMerger(trx, mergerId);
    if (merger === null) throw notFound('This merger');
    await addMoves(trx, mergerId, [...merger.moves, ...(await leadLate(trx, merger, now))]);
  },
});
