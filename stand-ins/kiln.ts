/**
 * A kiln that is not there: heat flows from its elements into the chamber, from the chamber into
 * the brick and from the brick into the room. Its elements age, its thermocouple reads low, its
 * door can be opened. Two heat stores are enough for it to climb, stall and cool as a kiln does.
 */
import { plannedAt, profileOf, type Reading, type Segment } from '../src/core/heatwork';

export type Kiln = {
  /** Power of new elements, kW. */
  powerKw: number;
  /** Share of it that is left, 1 for new elements. */
  elements: number;
  /** Heat capacity of load and chamber, and of the brick, kJ/K. */
  chamber: number;
  brick: number;
  /** Chamber to brick, and brick to room, kW/K. */
  inner: number;
  outer: number;
  room: number;
  /** °C that the thermocouple reads low, and its jitter. */
  readsLow: number;
  jitter: number;
  /** °C by which places differ from the chamber's mean. */
  places: Readonly<Record<string, number>>;
};

export const ELECTRIC: Kiln = {
  powerKw: 16,
  elements: 1,
  chamber: 60,
  brick: 110,
  inner: 0.045,
  outer: 0.0068,
  room: 20,
  readsLow: 0,
  jitter: 0.6,
  places: { 'top shelf': 3, 'bottom shelf': -5 },
};

export type KilnState = {
  t: number;
  chamber: number;
  brick: number;
  /** Integral of the controller's miss, and whether the door stands open. */
  integral: number;
  door: boolean;
};

export const coldKiln = (kiln: Kiln): KilnState => ({
  t: 0,
  chamber: kiln.room,
  brick: kiln.room,
  integral: 0,
  door: false,
});

/** What the thermocouple shows. `noise` gives a number of mean 0 and spread 1. */
export const shown = (kiln: Kiln, state: KilnState, noise: () => number): number =>
  state.chamber - kiln.readsLow + kiln.jitter * noise();

/** One step of `seconds` with this share of the power on (0 … 1). */
export function step(kiln: Kiln, state: KilnState, power: number, seconds: number): KilnState {
  let { chamber, brick } = state;
  // Short inner steps keep the explicit sum steady.
  const parts = Math.ceil(seconds / 20);
  const dt = seconds / parts;
  for (let i = 0; i < parts; i++) {
    const into = power * kiln.powerKw * kiln.elements;
    const across = kiln.inner * (chamber - brick);
    const away = kiln.outer * (brick - kiln.room);
    const draught = state.door ? 0.03 * (chamber - kiln.room) : 0;
    chamber += ((into - across - draught) / kiln.chamber) * dt;
    brick += ((across - away) / kiln.brick) * dt;
  }
  return { ...state, t: state.t + seconds, chamber, brick };
}

/** What a controller switches on when the thermocouple shows `celsius` and `wanted` is asked for. */
export function control(
  state: KilnState,
  celsius: number,
  wanted: number | null,
  seconds: number,
): { power: number; integral: number } {
  if (wanted === null) return { power: 0, integral: 0 };
  const miss = wanted - celsius;
  const integral = Math.max(-300, Math.min(3000, state.integral + miss * seconds));
  const power = Math.max(0, Math.min(1, 0.06 * miss + 0.00035 * integral));
  return { power, integral };
}

export type Fired = { shown: Reading[]; truth: Reading[] };

/** Runs a schedule and the cooling after it, reading every `every` seconds. */
export function fire(
  kiln: Kiln,
  segments: readonly Segment[],
  noise: () => number,
  options: { every?: number; until?: number; coolTo?: number } = {},
): Fired {
  const every = options.every ?? 60;
  const profile = profileOf(segments, kiln.room);
  const last = profile.at(-1)!;
  const fired: Fired = { shown: [], truth: [] };
  let state = coldKiln(kiln);
  // The program waits for a kiln that cannot keep up: its clock stands while it is far behind.
  let clock = 0;
  for (;;) {
    const celsius = shown(kiln, state, noise);
    fired.shown.push({ t: state.t, c: celsius });
    fired.truth.push({ t: state.t, c: state.chamber });
    const over = clock > last.t;
    if (over && state.chamber <= (options.coolTo ?? 1000)) break;
    if (options.until !== undefined && state.t >= options.until) break;
    if (state.t > 6 * 86_400) break;
    const wanted = over ? null : plannedAt(profile, clock);
    const { power, integral } = control(state, celsius, wanted, every);
    state = step(kiln, { ...state, integral }, power, every);
    if (wanted === null || wanted - celsius < 15) clock += every;
  }
  return fired;
}
