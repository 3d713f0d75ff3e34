/**
 * White balance and exposure from a grey reference. Each step of the card is neutral and reflects a known
 * share of the light; what the camera made of it in each channel says how to come back. Between two steps the
 * way back is a straight line in logarithms (a camera's contrast is a power); beyond the outer ones it goes
 * on as it went, within reason.
 */
import { reflectanceOf, type Linear } from './spaces';

/**
 * A step of the card: its lightness L* as the studio states it, and its light in the picture, linear, 0 to 1.
 */
export type Step = { lightness: number; seen: Linear };

export type Correction = (seen: Linear) => Linear;

export type Corrected =
  | {
      ok: true;
      correct: Correction;
      /** Steps that could be used. */
      used: number;
      /**
       * Light above which a channel is no longer known from the card: its lightest usable step and a little.
       */
      most: Linear;
    }
  | { ok: false; why: 'burnt' | 'dark' | 'not-the-card' };

/** Linear light above which a channel has run into white, and below which there is only noise. */
const WHITE = 0.955;
const BLACK = 0.0012;
/**
 * Contrast of a camera between two steps, as a power: beyond, this is not the card. From memory, no source.
 */
const POWER = { least: 0.45, most: 2.2 };
/** Beyond the outer steps a power is believed within these. */
const OUTSIDE = { least: 0.8, most: 1.3 };
/** So far above its lightest usable step a card still says what light means. */
const ABOVE = 1.4;

type Knot = { at: number; to: number };

const slope = (a: Knot, b: Knot): number => (b.to - a.to) / (b.at - a.at);

function curve(knots: readonly Knot[]): (x: number) => number {
  const first = knots[0]!;
  const last = knots.at(-1)!;
  const bound = (power: number): number => Math.min(OUTSIDE.most, Math.max(OUTSIDE.least, power));
  const [low, high] =
    knots.length === 1 ? [1, 1] : [bound(slope(first, knots[1]!)), bound(slope(knots.at(-2)!, last))];
  return (x) => {
    if (x <= 0) return 0;
    const at = Math.log(x);
    if (at <= first.at) return Math.exp(first.to + low * (at - first.at));
    if (at >= last.at) return Math.exp(last.to + high * (at - last.at));
    const i = knots.findIndex((knot) => knot.at >= at);
    const [a, b] = [knots[i - 1]!, knots[i]!];
    return Math.exp(a.to + slope(a, b) * (at - a.at));
  };
}

/**
 * The way back from a picture's linear light to what the surface reflects, by the steps of a grey reference
 * (one at least). Steps that ran into white or black in a channel do not count there. Errors: every step ran
 * into white or black, or the contrast between the steps is not that of any camera, so that this is not the
 * card it is taken for.
 */
export function correctionBy(steps: readonly Step[]): Corrected {
  const sorted = [...steps].sort((a, b) => a.lightness - b.lightness);
  const channels: ((x: number) => number)[] = [];
  const most: number[] = [];
  let used = sorted.length;
  for (let c = 0; c < 3; c++) {
    const usable = sorted.filter(({ seen }) => seen[c]! < WHITE && seen[c]! > BLACK);
    if (usable.length === 0)
      return { ok: false, why: sorted.some(({ seen }) => seen[c]! >= WHITE) ? 'burnt' : 'dark' };
    used = Math.min(used, usable.length);
    const knots = usable.map(({ lightness, seen }) => ({
      at: Math.log(seen[c]!),
      to: Math.log(reflectanceOf(lightness)),
    }));
    for (let i = 1; i < knots.length; i++) {
      const power = slope(knots[i - 1]!, knots[i]!);
      if (!(power >= POWER.least && power <= POWER.most)) return { ok: false, why: 'not-the-card' };
    }
    channels.push(curve(knots));
    most.push(ABOVE * usable.at(-1)!.seen[c]!);
  }
  return {
    ok: true,
    used,
    most: [most[0]!, most[1]!, most[2]!],
    correct: ([r, g, b]) => [channels[0]!(r), channels[1]!(g), channels[2]!(b)],
  };
}

/**
 * The way back from the steps of a grey reference as a picture shows them, by the lightness that is stated of
 * each.
 */
export function correctionFrom(steps: readonly { seen: Linear }[], card: readonly number[]): Corrected {
  if (steps.length !== card.length) return { ok: false, why: 'not-the-card' };
  return correctionBy(steps.map(({ seen }, i) => ({ lightness: card[i]!, seen })));
}

/**
 * How far from neutral the steps of a card are against one another, 0 for the same tint in all: log ratios of
 * red and blue to green.
 */
export function tintSpread(steps: readonly Linear[]): number {
  const tints = steps.map(([r, g, b]) => [Math.log(r / g), Math.log(b / g)] as const);
  let spread = 0;
  for (const one of tints)
    for (const other of tints)
      spread = Math.max(spread, Math.abs(one[0] - other[0]), Math.abs(one[1] - other[1]));
  return spread;
}
