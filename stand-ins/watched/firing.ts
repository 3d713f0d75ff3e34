/** One watched firing from lighting to cold, sound or with a fault, and what is read of it. */
import { drawKiln, heatFor, type Firer, type Heat, type WatchedKiln } from './kiln';
import { Controller, drawFirer } from './program';
import { drawing, type Draw } from './random';
import { FAULT_RANGES, RANGES, type Fault } from './ranges';

const { abs, floor, max, min } = Math;

export type Shown = { t: number; c: number };
export type Watched = {
  kiln: WatchedKiln;
  firer: Firer;
  /** °C it is meant to reach. */
  top: number;
  /** What the meter shows each minute. */
  shown: Shown[];
  /** Seconds at which nothing heats it any more, and at which somebody says so (never: Infinity;
   * who gives a firing up says so). */
  off: number;
  said: number;
  /** Share of the power in use and °C behind the program, each minute. */
  used: number[];
  behind: number[];
};
type Trouble = { fault: Fault; at: number; left: number; draw: Draw };

const MINUTE = 60;

/** Fires a kiln; the same seed with and without trouble are twins up to it. */
export function fireWatched(seed: number, trouble: Trouble | null = null): Watched {
  const draw = drawing(seed);
  const kiln = drawKiln(draw);
  const top = draw.oneOf(RANGES.tops);
  const firer = drawFirer(draw, top);
  const jitter = drawing(seed + 7_000_003);
  const crackAt = draw.between(...RANGES.crackAt);
  const crack = draw.between(...RANGES.crackLoss);
  const late = draw.chance(RANGES.neverSaid) ? Infinity : 3600 * draw.between(...RANGES.saidLate);
  const givenUp = 3600 * draw.between(...RANGES.givenUp);
  const controller = firer.kind === 'controller' ? new Controller(firer, kiln.room) : null;
  const byHand = controller === null ? handOf(firer, top) : null;
  const hurt = trouble === null ? null : hurtOf(trouble);
  let heat: Heat = { chamber: kiln.room, brick: kiln.room };
  const shown: Shown[] = [];
  const [used, behind]: [number[], number[]] = [[], []];
  let off = Infinity;
  let givenUpOn = false;
  for (let t = 0; t < 4 * 86_400; t += MINUTE) {
    const felt = heat.chamber - kiln.readsLow * min(1, heat.chamber / 400);
    const reads = felt + kiln.jitter * jitter.normal();
    const c = hurt?.reads(reads, t, kiln.room) ?? reads;
    shown.push({ t, c });
    const asked = controller?.share(Number.isFinite(c) ? c : 0, MINUTE) ?? byHand!(heat.chamber, t);
    const done = controller?.ended ?? asked < 0;
    givenUpOn ||= !done && t > givenUp;
    const ended = done || givenUpOn;
    if (ended && off === Infinity) off = t;
    const wanted = ended ? 0 : max(0, asked);
    const share = hurt?.power(wanted, t) ?? wanted;
    used.push(wanted);
    behind.push(controller === null ? 0 : controller.setpoint - c);
    const cracked = t > off && heat.chamber < crackAt ? crack : 0;
    heat = heatFor(kiln, heat, share, cracked + (hurt?.air(t) ?? 0), MINUTE);
    if (off < Infinity && heat.chamber < kiln.room + 15) break;
    if (trouble !== null && t > trouble.at + 12 * 3600) break;
  }
  return { kiln, firer, top, shown, off, said: givenUpOn ? off : off + late, used, behind };
}

/** Switches turned up by the clock, or burners tended now and then; turned down for a soak at the top. */
function handOf(firer: Firer, top: number): (celsius: number, t: number) => number {
  let reached = Infinity;
  let share = 0;
  const tended = drawing(firer.kind === 'gas' ? firer.seed : 1);
  let next = 0;
  let opened = 0.35;
  return (celsius, t) => {
    if (celsius >= top && reached === Infinity) reached = t;
    const soak = firer.kind === 'controller' ? 0 : firer.soak * 60;
    if (t >= reached + soak) return -1;
    // A person turns down as far as holds it.
    if (t >= reached) return celsius > top ? share * 0.55 : share * 0.95;
    if (firer.kind === 'switches') {
      const hours = t / 3600;
      let at = 0;
      let step = 0;
      for (const length of firer.hours) {
        at += length;
        if (hours >= at) step++;
      }
      share = RANGES.switchSteps[step]!;
    } else if (t >= next) {
      next = t + 3600 * tended.between(...RANGES.gasChangeHours);
      opened = min(1, opened + (opened < 0.9 ? 0.12 : 0));
      share = opened * (1 + RANGES.gasChange * (2 * tended.between(0, 1) - 1));
    }
    return share;
  };
}

/** What a fault does to what is shown, to the power and to the air. */
function hurtOf({ fault, at, left, draw }: Trouble) {
  const air = draw.between(...FAULT_RANGES.doorLoss);
  const slides = draw.between(...FAULT_RANGES.slidesTo);
  const within = 60 * draw.between(...FAULT_RANGES.slidesMinutes);
  const broken = draw.chance(FAULT_RANGES.brokenShare);
  const dead = draw.oneOf(FAULT_RANGES.brokenShows);
  return {
    reads: (c: number, t: number, room: number): number => {
      if (fault !== 'thermocouple' || t < at) return c;
      if (broken) return dead;
      const out = min(1, (t - at) / within);
      return room + (c - room) * (1 - out * (1 - slides));
    },
    power: (share: number, t: number): number => {
      if (t < at) return share;
      if (fault === 'relay') return 1;
      return fault === 'power' ? min(share, left) : share;
    },
    air: (t: number): number => (fault === 'door' && t >= at ? air : 0),
  };
}

/** Does it follow its program, or climb by hand, at this minute? Otherwise it is a weak kiln already. */
function keepsUp({ firer, top, shown, behind, used }: Watched, minute: number): boolean {
  // Half an hour at full power is no reserve.
  if (firer.kind === 'controller')
    return (
      abs(behind[minute]!) < FAULT_RANGES.behind &&
      used.slice(max(0, minute - 30), minute).some((share) => share < 0.97)
    );
  const before = shown[max(0, minute - 30)]!.c;
  const now = shown[minute]!.c;
  return now - before > FAULT_RANGES.climbing / 2 && now < top - FAULT_RANGES.handBelow;
}

export type Faulty = Watched & {
  /** Seconds at which it first shows. */
  shows: number;
};

/**
 * A firing in which something breaks; null where it never shows (a relay that sticks while it is on anyway).
 */
export function fireFaulty(
  seed: number,
  fault: Fault,
  reading: 'minutes' | 'hand' = 'minutes',
): Faulty | null {
  const sound = fireWatched(seed);
  if (fault === 'relay' && sound.firer.kind !== 'controller') return null;
  if (sound.off === Infinity) return null;
  const draw = drawing(seed + 31);
  const hot = sound.shown.find(({ c }) => c > (fault === 'door' ? 400 : 150))?.t ?? 0;
  const until =
    fault === 'door' && draw.chance(0.2)
      ? (sound.shown.findLast(({ c }) => c > 450)?.t ?? sound.off)
      : sound.off - (reading === 'hand' ? FAULT_RANGES.lastByHand : FAULT_RANGES.last);
  if (until <= hot) return null;
  const at = floor(draw.between(hot, until) / 60) * 60;
  if (!keepsUp(sound, min(at, sound.off) / 60 - 1)) return null;
  const loss = draw.between(...FAULT_RANGES.loss);
  const inUse = sound.used[at / 60]!;
  const left = sound.firer.kind === 'controller' ? 1 - loss : inUse * (1 - loss);
  const bites =
    sound.firer.kind === 'gas'
      ? FAULT_RANGES.bitesTended
      : reading === 'hand'
        ? FAULT_RANGES.bitesByHand
        : FAULT_RANGES.bites;
  if (fault === 'power' && inUse - left < bites) return null;
  if (fault === 'relay' && 1 - inUse < FAULT_RANGES.reserve) return null;
  const firing = fireWatched(seed, { fault, at, left, draw });
  const shows = firing.shown.find(({ t, c }, i) => {
    if (t < at) return false;
    const twin = sound.shown[i];
    return twin !== undefined && !(abs(c - twin.c) <= FAULT_RANGES.shows);
  })?.t;
  return shows === undefined ? null : { ...firing, shows };
}

/** The readings that somebody takes by hand, now and then. */
export function byHand(seed: number, shown: readonly Shown[]): { every: number; read: Shown[] } {
  const draw = drawing(seed + 99);
  const every = 60 * draw.between(...RANGES.handMinutes);
  const read: Shown[] = [];
  let next = 0;
  for (const one of shown)
    if (one.t >= next) {
      read.push(one);
      next = one.t + every * (1 + RANGES.unpunctual * (2 * draw.between(0, 1) - 1));
    }
  return { every, read };
}
