import { clearTicks, keepTick } from '@/data/ticks';
import { believedMoment } from '@/core/looks';
import { operation } from '@/platform/operation';
import { permit } from '../people';
import * as contracts from './contracts';

export const tick = operation({
  contract: contracts.tick,
  permit: permit('see the chart'),
  run: ({ trx, person, now }, { at, ...one }) =>
    keepTick(trx, person.id, { ...one, saidAt: believedMoment(new Date(at), null, now) }, now),
});

export const clear = operation({
  contract: contracts.clear,
  permit: permit('see the chart'),
  run: ({ trx, person, now }, { sheet, at }) =>
    clearTicks(trx, person.id, sheet, believedMoment(new Date(at), null, now)),
});
