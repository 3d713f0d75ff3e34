/** Naming the control. */
import { controlOfCell, readControl, sayControl as keep } from '@/data/control';
import { operation } from '@/platform/operation';
import { found } from '@/platform/refusal';
import { permit } from '../people';
import * as contracts from './contracts';

export const sayControl = operation({
  contract: contracts.sayControl,
  permit: permit('keep records'),
  run: async ({ trx }, { control }) => {
    const before = { control: await readControl(trx) };
    await keep(trx, control);
    return { before };
  },
});

export const takeCell = operation({
  contract: contracts.takeCell,
  permit: permit('keep records'),
  run: async ({ trx }, { cellId }) => {
    const before = { control: await readControl(trx) };
    await keep(trx, found(await controlOfCell(trx, cellId), 'This cell'));
    return { before };
  },
});
