/** Coolings as a studio meets them: how they are read, what is known of the kiln, when it is asked. */
import { drawing } from '../watched/random';
import { holding, type Read, type World } from './terms';

export type CoolingCase = {
  /** What was read up to the moment of asking. */
  log: Read[];
  /** Whole logs of earlier coolings of the same kiln, oldest first. */
  earlier: Read[][];
  /** When it truly passed a temperature, seconds after the last reading; null when it was there before. */
  passes: (celsius: number) => number | null;
  /** °C when it was asked. */
  at: number;
};

/** Ranges that cases are drawn from, for every world alike. */
export const CASE_RANGES = {
  /** Mass of the load against the usual one. */
  load: [0.7, 1.3],
  room: [14, 28],
  /** Scatter of what is shown, °C. */
  jitter: [0.3, 2],
  /** Minutes between readings: a device, and by hand. */
  device: [1, 5],
  hand: [15, 60],
  byHand: 0.4,
  earlier: [0, 5],
  askedBetween: [130, 600],
  /** Minutes held on the way down, and at which °C. */
  heldMinutes: [30, 90],
  heldAt: [620, 1000],
} as const;

export function coolingCase(
  world: World,
  seed: number,
  options: { held?: boolean; earlier?: number } = {},
): CoolingCase {
  const draw = drawing(seed);
  const between = ([low, high]: readonly [number, number]): number => draw.between(low, high);
  const kiln = world(draw);
  const jitter = between(CASE_RANGES.jitter);
  const byHand = draw.chance(CASE_RANGES.byHand);
  const every = byHand ? between(CASE_RANGES.hand) : draw.oneOf(CASE_RANGES.device);
  const hold = options.held
    ? {
        at: between(CASE_RANGES.heldAt),
        minutes: Math.round(between(CASE_RANGES.heldMinutes)),
      }
    : null;
  const run = (): { truth: Read[]; shown: Read[] } => {
    const room = between(CASE_RANGES.room);
    const truth = kiln.cool(between(CASE_RANGES.load), room, holding(hold, room));
    const shown: Read[] = [];
    for (let at = 0; at < truth.length;) {
      const one = truth[Math.floor(at)]!;
      const c = one.c + jitter * draw.normal();
      // People write whole degrees.
      shown.push({ t: one.t, c: byHand ? Math.round(c) : c });
      at += byHand ? every * draw.between(0.6, 1.4) : every;
    }
    return { truth, shown };
  };
  const count = options.earlier ?? Math.floor(draw.between(0, CASE_RANGES.earlier[1] + 1));
  const earlier = Array.from({ length: count }, () => run().shown);
  const { truth, shown } = run();
  const asked = between(CASE_RANGES.askedBetween);
  const moment = truth.find(({ c }) => c <= asked)?.t ?? truth.at(-1)!.t;
  const log = shown.filter(({ t }) => t <= moment);
  const last = log.at(-1)!;
  return {
    log,
    earlier,
    at: last.c,
    passes: (celsius) => {
      const passed = truth.find(({ c }) => c <= celsius)?.t;
      return passed === undefined || passed <= last.t ? null : passed - last.t;
    },
  };
}
