/** What a hot kiln is doing, for a line of the day sheet: a bounded number of reads, however many are hot. */
import { coolingPart, fitCooling, rateNow, timeToCool, type CoolTime } from '@/core/heatwork';
import type { Alarm } from '@/core/watch';
import type { Source } from '@/data/database';
import type { OpenFiring } from '@/data/firings';
import { coolingsOf } from '@/data/learned';
import { glimpsesOf, type Glimpse } from '@/data/readings';
import type { Studio } from '@/data/studio';
import { alarmsOfFiring } from './alarms';

export type Glance = {
  last: { at: Date; celsius: number } | null;
  rate: number | null;
  alarms: Alarm[];
  /** Hours from the last reading until the lid may be cracked. */
  crack: CoolTime | null;
};

const NOTHING_READ: Glimpse = { log: [], doubted: 0, touched: [] };

export async function glance(
  src: Source,
  hot: readonly OpenFiring[],
  studio: Pick<Studio, 'crackAtC'>,
  now = new Date(),
): Promise<(OpenFiring & { room: Glance })[]> {
  if (hot.length === 0) return [];
  const [glimpses, coolings] = await Promise.all([
    glimpsesOf(
      src,
      hot.flatMap(({ firing: { id, startedAt } }) => (startedAt ? [{ id, startedAt }] : [])),
    ),
    coolingsOf(
      src,
      hot.map(({ firing }) => firing.kilnId),
    ),
  ]);
  return hot.map((one) => {
    const { firing } = one;
    const start = firing.startedAt?.getTime() ?? 0;
    const { log, doubted, touched } = glimpses.get(firing.id) ?? NOTHING_READ;
    const end = log.at(-1);
    const fit =
      firing.status === 'cooling' || (rateNow(log, 30) ?? 0) < -40
        ? fitCooling(coolingPart(log), 20, coolings.get(firing.kilnId) ?? [])
        : null;
    return {
      ...one,
      room: {
        last: end === undefined ? null : { at: new Date(start + end.t * 1000), celsius: end.c },
        rate: rateNow(log),
        alarms: alarmsOfFiring(firing, log, now, {
          touched,
          doubted,
        }),
        crack: fit === null ? null : timeToCool(fit, studio.crackAtC),
      },
    };
  });
}
