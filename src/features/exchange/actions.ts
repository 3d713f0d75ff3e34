import { piecesOfLot } from '@/data/came';
import { onNoPiece } from '@/data/coatings';
import { setArchived } from '@/data/entries';
import { oneAtATime } from '@/data/studio';
import { operation } from '@/platform/operation';
import { telling } from '@/platform/progress';
import { refuse } from '@/platform/refusal';
import { permit } from '../people';
import { piecesOperations } from '../pieces/server';
import * as contracts from './contracts';
import { planImport } from './plan';
import { writeImport } from './write';

/** Past tests from a file: planned once more on what is there by now, then all rows or none. */
export const importFile = operation({
  contract: contracts.importFile,
  permit: permit('run the studio'),
  prepare: ({ file }) => Promise.resolve(file),
  run: ({ trx, person, now, operationId }, options, file) =>
    telling(operationId, async (tell) => {
      tell(0, 'Reading the file once more');
      // The same table in two tabs is the same table: the second finds what the first brought in.
      await oneAtATime(trx);
      const plan = await planImport(trx, file.bytes, options, file.name);
      if (plan.open.length > 0) throw refuse(plan.open[0] as string);
      return (await writeImport(trx, plan, options, file.name, person.id, now, tell)).made;
    }),
});

export const putAway = operation({
  contract: contracts.putAway,
  permit: permit('run the studio'),
  run: async (act, { lotId, coatingIds, binned }) => {
    const { trx, now } = act;
    const pieceIds = await piecesOfLot(trx, lotId, binned ? 'on record' : 'binned last');
    // Else taking this back would give back what went into the bin by itself.
    if (binned && pieceIds.length === 0) throw refuse('Nothing of it is on record any more.');
    await piecesOperations.bin.run(act, { pieceIds, binned }, undefined);
    // What somebody has put on another piece meanwhile stays.
    const free = binned ? await onNoPiece(trx, coatingIds) : coatingIds;
    for (const id of free) await setArchived(trx, 'coating', id, binned ? now : null);
  },
});
