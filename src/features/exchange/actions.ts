import { operation } from '@/platform/operation';
import { telling } from '@/platform/progress';
import { refuse } from '@/platform/refusal';
import { permit } from '../people';
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
      const plan = await planImport(trx, file.bytes, options);
      if (plan.open.length > 0) throw refuse(plan.open[0] as string);
      return (await writeImport(trx, plan, options, file.name, person.id, now, tell)).made;
    }),
});
