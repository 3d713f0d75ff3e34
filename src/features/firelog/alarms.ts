/** The alarms of a firing under way, from what is on record of it. */
import { isCone } from '@/core/cones';
import { KELVIN, kineticsOf, profileOf, type Reading } from '@/core/heatwork';
import { alarmsOf, type Alarm } from '@/core/watch';
import type { Firing } from '@/data/firings';

export function alarmsOfFiring(
  firing: Firing,
  log: readonly Reading[],
  now: Date,
  known: { touched: readonly Date[]; doubted: number },
): Alarm[] {
  const start = firing.startedAt?.getTime() ?? 0;
  const seconds = (at: Date): number => (at.getTime() - start) / 1000;
  const cone = firing.targetCone !== null && isCone(firing.targetCone) ? firing.targetCone : null;
  const segments = firing.schedule?.segments ?? null;
  return alarmsOf(log, seconds(now), {
    every: firing.readEveryS,
    segments,
    profile:
      segments === null
        ? null
        : profileOf(segments, log[0]?.c ?? 20, { climb: firing.climbRate ?? 250, drop: 200 }),
    latestHours: firing.latestHours ?? firing.kilnLatestHours,
    cooling: firing.status === 'cooling',
    top: cone === null ? null : kineticsOf(cone).t0 - KELVIN,
    electric: firing.electric,
    touched: known.touched.map(seconds),
    doubted: known.doubted,
  });
}
