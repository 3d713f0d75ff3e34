/**
 * A kiln that is watched: two heat stores that lose heat the more the hotter they are, fired by a
 * controller, by switches or by gas. It knows nothing of the application that watches it.
 */
import type { Draw } from './random';
import { RANGES } from './ranges';

const { ceil, max } = Math;

export type Segment = { rate: number | null; target: number; holdMinutes: number };
export type Clock = { kind: 'runs' } | { kind: 'waits'; band: number } | { kind: 'at corners' };
export type Firer =
  | { kind: 'controller'; segments: Segment[]; clock: Clock; band: number; mend: number }
  | { kind: 'switches'; hours: number[]; soak: number }
  | { kind: 'gas'; seed: number; soak: number };

export type WatchedKiln = {
  chamber: number;
  brick: number;
  inner: number;
  outer: number;
  power: number;
  elements: number;
  room: number;
  readsLow: number;
  jitter: number;
};

export function drawKiln(draw: Draw): WatchedKiln {
  const chamber = draw.between(...RANGES.chamber);
  const power = chamber * draw.between(...RANGES.pace);
  const inner = chamber / draw.between(...RANGES.innerSeconds);
  const room = draw.between(...RANGES.room);
  const highest = draw.between(...RANGES.highest);
  return {
    chamber,
    brick: chamber * draw.between(...RANGES.brickPerChamber),
    inner,
    outer: power / max(300, highest - power / inner - room),
    power,
    elements: draw.chance(RANGES.weakShare)
      ? draw.between(RANGES.elements[0], RANGES.soundElements[0])
      : draw.between(...RANGES.soundElements),
    room,
    readsLow: draw.between(...RANGES.readsLow),
    jitter: draw.between(...RANGES.jitter),
  };
}

export type Heat = { chamber: number; brick: number };

/** `seconds` with this share of the power on and this much air let in (K/s per K above the room). */
export function heatFor(kiln: WatchedKiln, heat: Heat, share: number, air: number, seconds: number): Heat {
  let { chamber, brick } = heat;
  const steps = ceil(seconds / 15);
  const dt = seconds / steps;
  for (let i = 0; i < steps; i++) {
    const across = kiln.inner * (chamber - brick);
    // Losses grow faster than the difference: what the shell radiates.
    const above = brick - kiln.room;
    const away = kiln.outer * above * (0.85 + (0.15 * above) / 1000);
    const into = share * kiln.power * kiln.elements;
    chamber += ((into - across) / kiln.chamber - air * (chamber - kiln.room)) * dt;
    brick += ((across - away) / kiln.brick) * dt;
  }
  return { chamber, brick };
}
