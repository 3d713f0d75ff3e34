/** A firing as it stands: its curve, the work done, what to do next, when it can be opened. */
import { bandsOf, fellShort, type Band } from '@/core/atmosphere';
import { isCone, nextWholeCone, previousWholeCone } from '@/core/cones';
import {
  coolingPart,
  decimated,
  fitCooling,
  holdFor,
  kineticsOf,
  looksFahrenheit,
  KELVIN,
  plannedAt,
  predictedRange,
  profileOf,
  rateNow,
  stretchesOf,
  thinned,
  timeToCool,
  workOf,
  type CoolTime,
  type Hold,
  type Reading,
  type Stretch,
} from '@/core/heatwork';
import { TOUCHES } from '@/core/firing';
import type { Alarm } from '@/core/watch';
import type { Source } from '@/data/database';
import { entriesOfFiring, type LogEntry } from '@/data/firing-log';
import type { Firing } from '@/data/firings';
import { doubtedLately, readingsToMend } from '@/data/mend-readings';
import { countDoubts, exceptionsOf, logOf, probeOf, strayOf, type KeptReading } from '@/data/readings';
import type { Studio } from '@/data/studio';
import { alarmsOfFiring } from './alarms';
import { knownOf, type KilnKnown } from '../kilns/server';
import type { Kiln } from '@/data/kilns';

/** As many points as a wide screen can tell apart. */
const DRAWN = 1500;

export type ConeWork = { cone: string; role: 'below' | 'target' | 'above'; work: number };
export type FiringRoom = {
  startedAt: Date | null;
  curve: Reading[];
  planned: Reading[] | null;
  readings: number;
  last: { at: Date; celsius: number } | null;
  rate: number | null;
  wantedNow: number | null;
  works: ConeWork[];
  predicted: { ordinal: number; low: number; high: number } | null;
  hold: (Hold & { cone: string; at: number }) | null;
  alarms: Alarm[];
  /** Hours from the last reading. */
  cool: { crack: CoolTime | null; unload: CoolTime | null } | null;
  coolSilent: boolean;
  entries: LogEntry[];
  bands: Band[];
  short: string | null;
  probe: { t: number; mv: number; celsius: number }[];
  stretches: Stretch[];
  /** Readings that can be put right one by one. */
  toMend: KeptReading[];
  /** Is its log, by its shape, in °F taken for °C, with nobody asked yet? */
  looksFahrenheit: boolean;
  doubts: [string, number][];
  known: KilnKnown;
  strays: Awaited<ReturnType<typeof strayOf>>;
  energy: { kwh: number | null; cost: number | null };
};

/** A hold is only worth speaking of this close to the cone's end point, °C. */
const NEAR = 90;

export async function firingRoom(
  src: Source,
  firing: Firing,
  kiln: Kiln,
  studio: Pick<Studio, 'crackAtC' | 'unloadAtC'>,
  now = new Date(),
): Promise<FiringRoom> {
  const startedAt = firing.startedAt;
  const [log, exceptions, entries, known, strays] = await Promise.all([
    startedAt === null ? [] : logOf(src, firing.id, startedAt),
    exceptionsOf(src, firing.id),
    entriesOfFiring(src, firing.id),
    knownOf(src, kiln.id),
    strayOf(src, kiln.id),
  ]);
  // Each of these looks through the log; most have nothing for them to find.
  const { probed, doubted: doubting, told } = exceptions;
  const [probe, toMend, doubts, doubted] = await Promise.all([
    startedAt === null || !probed ? [] : probeOf(src, firing.id),
    !doubting && !told ? [] : readingsToMend(src, firing.id),
    !doubting ? new Map<string, number>() : countDoubts(src, firing.id),
    !doubting ? new Map<string, number>() : doubtedLately(src, [firing.id]),
  ]);
  const start = startedAt?.getTime() ?? 0;
  const seconds = (at: Date): number => (at.getTime() - start) / 1000;
  const lean = thinned(log);
  const end = log.at(-1);
  const last = end === undefined ? null : { at: new Date(start + end.t * 1000), celsius: end.c };
  const offset = known.offset?.offset ?? 0;
  const cone = firing.targetCone !== null && isCone(firing.targetCone) ? firing.targetCone : null;
  const pace = { climb: kiln.climbRate ?? 250, drop: 200 };
  const profile = firing.schedule === null ? null : profileOf(firing.schedule.segments, 20, pace);
  const works: ConeWork[] =
    cone === null || log.length < 2
      ? []
      : (
          [
            ['below', previousWholeCone(cone)],
            ['target', cone],
            ['above', nextWholeCone(cone)],
          ] as const
        ).flatMap(([role, one]) =>
          one === null ? [] : [{ cone: one, role, work: workOf(one, lean, offset) }],
        );
  const climbing = firing.status === 'firing';
  const nearCone = cone !== null && end !== undefined && end.c + offset > kineticsOf(cone).t0 - KELVIN - NEAR;
  const cooling = firing.status === 'cooling' || (climbing && (rateNow(log, 30) ?? 0) < -40);
  const fit = cooling ? fitCooling(coolingPart(lean), 20, known.coolings) : null;
  const periods = entries.flatMap((entry) =>
    entry.atmosphere === null
      ? []
      : [{ t: seconds(entry.at), atmosphere: entry.atmosphere, judgedBy: entry.text }],
  );
  // The diary of the air ends with the fire: what burns no more reduces no more.
  const bands = bandsOf(periods, climbing ? seconds(now) : (coolingPart(log)[0]?.t ?? 0));
  return {
    startedAt,
    curve: decimated(log, DRAWN),
    planned: profile,
    readings: log.length,
    last,
    rate: rateNow(log),
    wantedNow: profile === null || end === undefined ? null : plannedAt(profile, end.t),
    works,
    predicted: log.length < 2 ? null : predictedRange(lean, known.offset),
    hold:
      climbing && cone !== null && end !== undefined && nearCone
        ? { ...holdFor(cone, end.c, lean, offset), cone, at: end.c }
        : null,
    alarms:
      firing.status === 'firing' || firing.status === 'cooling'
        ? alarmsOfFiring(firing, lean, now, {
            touched: entries.filter(({ kind }) => TOUCHES.includes(kind)).map(({ at }) => at),
            doubted: doubted.get(firing.id) ?? 0,
          })
        : [],
    cool:
      fit === null
        ? null
        : { crack: timeToCool(fit, studio.crackAtC), unload: timeToCool(fit, studio.unloadAtC) },
    coolSilent: cooling && fit === null,
    entries,
    bands,
    short: firing.status === 'opened' ? fellShort(bands, firing.atmosphere) : null,
    probe: probe.map(({ at, mv, celsius }) => ({ t: seconds(at), mv, celsius })),
    stretches: stretchesOf(lean),
    toMend,
    looksFahrenheit:
      firing.unitSaid === null &&
      looksFahrenheit(
        lean,
        cone === null ? null : kineticsOf(cone).t0 - KELVIN,
        profile === null ? null : (t) => plannedAt(profile, t),
      ),
    doubts: [...doubts],
    known,
    strays,
    energy: energyOf(firing, kiln, lean),
  };
}

/**
 * kWh of an electric firing: what was read off the meter, else what its climb at full power would be at most.
 */
function energyOf(
  firing: Firing,
  kiln: Kiln,
  log: readonly Reading[],
): { kwh: number | null; cost: number | null } {
  if (firing.energyUsed !== null)
    return {
      kwh: firing.energyUsed,
      cost: kiln.unitPrice === null ? null : firing.energyUsed * kiln.unitPrice,
    };
  if (kiln.powerKw === null || log.length < 2 || kiln.energy !== 'electric') return { kwh: null, cost: null };
  let peak = 0;
  for (let i = 1; i < log.length; i++) if (log[i]!.c >= log[peak]!.c) peak = i;
  // Elements are on for about half of a climb. Common practice, no source.
  const kwh = 0.5 * kiln.powerKw * (log[peak]!.t / 3600);
  return { kwh, cost: kiln.unitPrice === null ? null : kwh * kiln.unitPrice };
}
