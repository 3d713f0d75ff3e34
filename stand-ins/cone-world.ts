/**
 * Worlds in which witness cones are found, made otherwise than the model that learns from them: other
 * kinetics, another bend, cones and firings that scatter, a thermocouple that drifts. Their sums are
 * plain steps in time.
 */
import { nextWholeCone, previousWholeCone, type WitnessCone } from '../src/core/cones';
import { kineticsOf, type Reading } from '../src/core/heatwork';

const { atan, exp, max, min, PI, round, tan } = Math;

export type ConeWorld = {
  /** °C: how single cones and whole firings scatter (one sigma), and what an offset gains a firing. */
  coneScatter: number;
  firingScatter: number;
  drift: number;
  /** Activation energy of the cones against what the table gives. */
  kinetics: number;
  bend: 'sags' | 'even';
  firings: number;
};

export const ASSUMED: ConeWorld = {
  coneScatter: 0,
  firingScatter: 4,
  drift: 0,
  kinetics: 1,
  bend: 'sags',
  firings: 6,
};

/** As docs/HEATWORK.md lists them. */
export const CONE_WORLDS: readonly { name: string; world: ConeWorld }[] = [
  { name: 'as the model assumes', world: ASSUMED },
  { name: 'cones scatter by 8 °C', world: { ...ASSUMED, coneScatter: 8 } },
  { name: 'cones scatter by 8 °C, one firing', world: { ...ASSUMED, coneScatter: 8, firings: 1 } },
  { name: 'firings scatter by 8 °C', world: { ...ASSUMED, firingScatter: 8 } },
  { name: 'kinetics 20 % weaker', world: { ...ASSUMED, kinetics: 0.8 } },
  { name: 'the bend goes evenly with the work', world: { ...ASSUMED, bend: 'even' } },
  { name: 'drift of 1 °C a firing', world: { ...ASSUMED, drift: 1 } },
  { name: 'drift of 1 °C a firing, 20 firings', world: { ...ASSUMED, drift: 1, firings: 20 } },
];

const GAS = 8.314462618;
const STEP = 30;

const wholes = new Map<string, number>();

/** What a climb of 60 °C/h to the end point does. */
function climbed(pace: (kelvin: number) => number, t0: number): number {
  let whole = 0;
  for (let t = -5 * 3600; t < 0; t += STEP) whole += pace(t0 + (60 / 3600) * (t + STEP / 2)) * STEP;
  return whole;
}

/** What a history does to a cone: 1 at the end point of a climb of 60 °C/h. */
function workIn(world: ConeWorld, cone: string, history: readonly Reading[], warmer: number): number {
  const { e, t0 } = kineticsOf(cone);
  const pace = (kelvin: number): number => exp(-((world.kinetics * e) / GAS) * (1 / kelvin - 1 / t0));
  const key = `${world.kinetics} ${cone}`;
  const whole = wholes.get(key) ?? climbed(pace, t0);
  wholes.set(key, whole);
  let done = 0;
  for (let i = 1; i < history.length; i++) {
    const [a, b] = [history[i - 1]!, history[i]!];
    const steps = max(1, round((b.t - a.t) / STEP));
    for (let k = 0; k < steps; k++) {
      const c = a.c + ((b.c - a.c) * (k + 0.5)) / steps;
      done += (pace(c + warmer + 273.15) * (b.t - a.t)) / steps;
    }
  }
  return done / whole;
}

/** Degrees that a tip has come down, once the cone below has fallen. */
function bendIn(world: ConeWorld, share: number): number {
  if (share <= 0) return 0;
  if (share >= 1) return 90;
  if (world.bend === 'even') return 90 * share;
  const lean = (8 * PI) / 180;
  const theta = 2 * atan(tan(lean / 2) ** (1 - share));
  return (90 * (theta - lean)) / (PI / 2 - lean);
}

/** A climb to cone 6 and the first of its cooling, as the thermocouple shows it, from 900 °C on. */
export function shownClimb(peak: number): Reading[] {
  const corners = [
    { t: 0, c: 900 },
    { t: 4050, c: 1080 },
    { t: 4050 + ((peak - 1080) / 65) * 3600, c: peak },
    { t: 4770 + ((peak - 1080) / 65) * 3600, c: peak },
    { t: 8370 + ((peak - 1080) / 65) * 3600, c: peak - 280 },
  ];
  const log: Reading[] = [];
  for (let t = 0; t <= corners.at(-1)!.t; t += 300) {
    const i = max(
      1,
      corners.findIndex((one) => one.t >= t),
    );
    const [a, b] = [corners[i - 1]!, corners[i]!];
    log.push({ t, c: a.c + ((b.c - a.c) * (t - a.t)) / (b.t - a.t) });
  }
  return log;
}

export type SeenFiring = { log: Reading[]; cones: WitnessCone[]; felt: number };

/** One firing: what was shown, what its cones were read as, and what they felt beyond what was shown. */
export function seeFiring(world: ConeWorld, offset: number, noise: () => number): SeenFiring {
  const log = shownClimb(round(1200 - offset + 6 * noise()));
  const felt = offset + world.firingScatter * noise();
  const cones = [previousWholeCone('6')!, '6', nextWholeCone('6')!].map((cone) => {
    const own = world.coneScatter * noise();
    const work = workIn(world, cone, log, felt + own);
    const base = baseIn(world, cone);
    const bend = bendIn(world, (work - base) / (1 - base));
    const read = bend <= 0 || bend >= 90 ? bend : round((bend + 2 * noise()) / 5) * 5;
    return { cone, place: 'shelf', bendDegrees: max(0, min(90, read)) };
  });
  return { log, cones, felt };
}

const bases = new Map<string, number>();

/** Work on a cone when the one below is just down, on a climb of 60 °C/h. */
function baseIn(world: ConeWorld, cone: string): number {
  const key = `${world.kinetics} ${cone}`;
  const known = bases.get(key);
  if (known !== undefined) return known;
  const end = kineticsOf(previousWholeCone(cone)!).t0 - 273.15;
  const base = workIn(
    world,
    cone,
    [
      { t: 0, c: end - 300 },
      { t: 5 * 3600, c: end },
    ],
    0,
  );
  bases.set(key, base);
  return base;
}
