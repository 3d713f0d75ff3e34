/**
 * The grey reference: a strip of two or more even, neutral squares from dark to light. They need not look
 * neutral in the picture: what they share is one tint, whatever the light.
 */
import { correctionBy, tintSpread, LINEAR, type Linear, type Step } from '../colour';
import type { Spot } from '../frame';
import type { Card } from './cards';
import type { Field } from './field';
import { ordered, polygonArea, quadAround, type Quad } from './quad';
import { connected, stepsOf, type Point } from './regions';

export type FoundGrey = {
  /** Corners of the whole strip, and the middle of each step, dark to light; fractions of the picture. */
  corners: [Spot, Spot, Spot, Spot];
  steps: { at: Spot; seen: Linear }[];
  /**
   * The card it is by its contrast; null when it is none of those named: then only the tint is known, not the
   * light.
   */
  card: Card | null;
};

export type GreySearch = { found: FoundGrey } | { found: null; why: 'none' | 'two-that-disagree' };

type Patch = { x: number; y: number; size: number; quad: Quad; seen: Linear; level: number };

/**
 * Steps of one card are alike in size, stand in a line at one distance, and have one tint. From memory, no
 * source.
 */
const SIZE = 1.35;
const TINT = 0.12;
/** Near white a camera bends its channels differently, and in the dark there is little to tell a tint by. */
const LOOSE = { below: 0.025, above: 0.55, tint: 0.22 };
/** Two cards whose corrections differ by more than this (log) cannot both be right. */
const DISAGREE = 0.12;

/** Middle light of the inner part of a patch, channel by channel. */
function lightOf(field: Field, { x, y }: Point, size: number): { seen: Linear; spread: number } {
  const r = Math.max(1, Math.floor(size * 0.28));
  const { data, channels, width, height } = field.raster;
  const values: [number[], number[], number[]] = [[], [], []];
  for (let py = Math.round(y) - r; py <= y + r; py++)
    for (let px = Math.round(x) - r; px <= x + r; px++) {
      if (px < 0 || py < 0 || px >= width || py >= height) continue;
      const p = (py * width + px) * channels;
      for (let c = 0; c < 3; c++) values[c]!.push(data[p + c]!);
    }
  const sorted = values.map((list) => list.sort((a, b) => a - b));
  const mean = (list: number[]): number => {
    // The middle half: without a speck of dust, and finer than whole numbers.
    const [from, to] = [Math.floor(list.length / 4), Math.ceil((3 * list.length) / 4)];
    let sum = 0;
    for (let i = from; i < to; i++) sum += LINEAR[list[i]!]!;
    return sum / Math.max(1, to - from);
  };
  const spread = Math.max(
    ...sorted.map(
      (list) => (list[Math.floor(0.9 * list.length)] ?? 0) - (list[Math.floor(0.1 * list.length)] ?? 0),
    ),
  );
  return { seen: [mean(sorted[0]!), mean(sorted[1]!), mean(sorted[2]!)], spread };
}

function patchesOf(field: Field): Patch[] {
  const { width, height } = field;
  const { steps, usual } = stepsOf(field);
  const limit = Math.max(0.011, 3.5 * usual);
  const flat = new Uint8Array(steps.length);
  for (let i = 0; i < flat.length; i++) if (steps[i]! < limit) flat[i] = 1;
  const all = width * height;
  return connected(width, height, flat, Math.max(30, all * 0.00012), all * 0.03).flatMap((region) => {
    const rough = quadAround(region.hull);
    if (rough === null) return [];
    const area = polygonArea(rough);
    if (region.area < 0.78 * area) return [];
    const quad = ordered(rough);
    const side = (i: number): number =>
      Math.hypot(quad[i]!.x - quad[(i + 1) % 4]!.x, quad[i]!.y - quad[(i + 1) % 4]!.y);
    const [across, up] = [(side(0) + side(2)) / 2, (side(1) + side(3)) / 2];
    if (Math.max(across, up) > 1.9 * Math.min(across, up)) return [];
    const x = quad.reduce((sum, one) => sum + one.x / 4, 0);
    const y = quad.reduce((sum, one) => sum + one.y / 4, 0);
    // The edges were left out of what is flat: about a pixel and a half on every side.
    const size = Math.sqrt(area) + 3;
    const { seen, spread } = lightOf(field, { x, y }, size);
    if (spread > 26) return [];
    return [{ x, y, size, quad, seen, level: Math.log(Math.max(1e-4, seen[1])) }];
  });
}

/** Light that a camera has not run into white or black: only there a tint says something. */
const telling = (one: Patch): boolean => one.seen.every((v) => v > 0.004 && v < 0.93);

const oneTint = (list: readonly Patch[]): boolean => {
  const told = list.filter(telling);
  const loose = ({ seen }: Patch): boolean =>
    Math.min(...seen) < LOOSE.below || Math.max(...seen) > LOOSE.above;
  return told.every((one, i) =>
    told
      .slice(i + 1)
      .every(
        (other) => tintSpread([one.seen, other.seen]) < (loose(one) || loose(other) ? LOOSE.tint : TINT),
      ),
  );
};

/**
 * A step that cannot be told from the ground by its edges, looked at where it must be; null when nothing even
 * is there.
 */
function unseen(field: Field, at: Point, like: Patch): Patch | null {
  const margin = like.size / 2;
  if (at.x < margin || at.y < margin || at.x > field.width - margin || at.y > field.height - margin)
    return null;
  const { seen, spread } = lightOf(field, at, like.size);
  if (spread > 26) return null;
  return { ...like, ...at, seen, level: Math.log(Math.max(1e-4, seen[1])) };
}

/**
 * Strips of patches that may be a card: those seen, and with a step of the ground's own grey between or
 * beyond them.
 */
function strips(field: Field, patches: readonly Patch[]): Patch[][] {
  const found: Patch[][] = [];
  const rising = (strip: readonly Patch[]): boolean =>
    strip.every((one, i) => i === 0 || one.level > strip[i - 1]!.level + 0.2) && oneTint(strip);
  for (const a of patches)
    for (const b of patches) {
      if (b.level <= a.level + 0.2) continue;
      const [dx, dy] = [b.x - a.x, b.y - a.y];
      const away = Math.hypot(dx, dy);
      const size = (a.size + b.size) / 2;
      if (Math.max(a.size, b.size) > SIZE * Math.min(a.size, b.size)) continue;
      if (away > 1.6 * size && away < 2.8 * size) {
        const between = unseen(field, { x: a.x + dx / 2, y: a.y + dy / 2 }, a);
        if (between !== null && rising([a, between, b])) found.push([a, between, b]);
      }
      if (away < 0.8 * size || away > 1.6 * size || !oneTint([a, b])) continue;
      for (const [at, before] of [
        [{ x: a.x - dx, y: a.y - dy }, true],
        [{ x: b.x + dx, y: b.y + dy }, false],
      ] as const) {
        const beyond = unseen(field, at, a);
        const strip = beyond === null ? [] : before ? [beyond, a, b] : [a, b, beyond];
        if (strip.length > 0 && rising(strip)) found.push(strip);
      }
      const strip = [a, b];
      for (;;) {
        const last = strip.at(-1)!;
        const next = patches.find(
          (one) =>
            one.level > last.level + 0.2 &&
            Math.hypot(one.x - last.x - dx, one.y - last.y - dy) < 0.25 * size &&
            Math.max(one.size, size) < SIZE * Math.min(one.size, size) &&
            oneTint([...strip, one]),
        );
        if (next === undefined) break;
        strip.push(next);
      }
      found.push(strip);
    }
  return found;
}

const stepsFor = (strip: readonly Patch[], card: Card): Step[] =>
  strip.map(({ seen }, i) => ({ lightness: card[i]!, seen }));

/**
 * How unlike a camera's the contrast between the steps would be, were it this card: 0 for a power of one
 * throughout.
 */
function strain(strip: readonly Patch[], card: Card): number {
  if (card.length !== strip.length) return Infinity;
  if (!correctionBy(stepsFor(strip, card)).ok) return Infinity;
  const g = (l: number): number => Math.log(((l + 16) / 116) ** 3);
  let worst = 0;
  for (let i = 1; i < card.length; i++) {
    if (!telling(strip[i - 1]!) || !telling(strip[i]!)) continue;
    for (let c = 0; c < 3; c++) {
      const power = (g(card[i]!) - g(card[i - 1]!)) / Math.log(strip[i]!.seen[c]! / strip[i - 1]!.seen[c]!);
      worst = Math.max(worst, power > 0 ? Math.abs(Math.log(power)) : Infinity);
    }
  }
  return worst;
}

const extended = (strip: readonly Patch[]): Quad => {
  const first = strip[0]!;
  const last = strip.at(-1)!;
  const [dx, dy] = [last.x - first.x, last.y - first.y];
  const length = Math.hypot(dx, dy);
  const size = strip.reduce((sum, one) => sum + one.size / strip.length, 0);
  const [ux, uy] = [(dx / length) * (size / 2), (dy / length) * (size / 2)];
  return ordered([
    { x: first.x - ux - uy, y: first.y - uy + ux },
    { x: last.x + ux - uy, y: last.y + uy + ux },
    { x: last.x + ux + uy, y: last.y + uy - ux },
    { x: first.x - ux + uy, y: first.y - uy - ux },
  ]);
};

const inside = (face: Quad, { x, y }: Point): boolean => {
  const sides = face.map((a, i) => {
    const b = face[(i + 1) % 4]!;
    return (b.x - a.x) * (y - a.y) - (b.y - a.y) * (x - a.x);
  });
  return sides.every((one) => one >= 0) || sides.every((one) => one <= 0);
};

const STRAIN = 0.62;

/**
 * Nothing but a mirrored lamp is lighter than white: by a strip that makes much of the picture so, nothing is
 * corrected.
 */
const LIGHTER = { than: 1.3, share: 0.04 };

function plausible(field: Field, strip: readonly Patch[], card: Card): boolean {
  const by = correctionBy(stepsFor(strip, card));
  if (!by.ok) return false;
  const { data, channels } = field.raster;
  let all = 0;
  let lighter = 0;
  for (let p = 0; p + 2 < data.length; p += channels * 157) {
    const [r, g, b] = by.correct([LINEAR[data[p]!]!, LINEAR[data[p + 1]!]!, LINEAR[data[p + 2]!]!]);
    all++;
    if (Math.max(r, g, b) > LIGHTER.than) lighter++;
  }
  return lighter <= LIGHTER.share * all;
}

/**
 * Looks for a grey reference. `cards` are those the studio (or whoever asks) has: of a strip that could be
 * one of them, that one is taken. Two strips that would correct the picture differently are answered as such:
 * nobody guesses which.
 */
export function findGrey(field: Field, cards: readonly Card[], faces: readonly Quad[] = []): GreySearch {
  // What lies on a face is a part of it: two of its zones may be grey. A face hardly larger than the strip is
  // the card.
  const onFace = (strip: readonly Patch[]): boolean => {
    const area = strip.length * strip[0]!.size ** 2;
    return faces.some((face) => polygonArea(face) > 2.6 * area && strip.some((one) => inside(face, one)));
  };
  const patches = patchesOf(field);
  const rated = strips(field, patches)
    .filter((strip) => !onFace(strip))
    .map((strip) => {
      const fits = cards
        .map((card) => ({ card, strain: strain(strip, card) }))
        .sort((a, b) => a.strain - b.strain)[0];
      const card = fits !== undefined && fits.strain < STRAIN ? fits.card : null;
      return { strip, card, strain: card === null ? 1 : fits!.strain };
    });
  // A pair of greys that is on no list may be anything: two glazes, a shade on a wall.
  const sure = rated
    .filter(
      ({ strip, card }) => card !== null || (strip.length > 2 && strip.every((one) => patches.includes(one))),
    )
    .sort(
      (a, b) =>
        Number(b.card !== null) - Number(a.card !== null) ||
        b.strip.length - a.strip.length ||
        a.strain - b.strain,
    );
  const [best, ...others] = sure.filter(({ strip, card }) => card === null || plausible(field, strip, card));
  if (best === undefined) return { found: null, why: 'none' };
  const rival = others.find(
    (one) =>
      one.strip.length === best.strip.length &&
      (one.card === null) === (best.card === null) &&
      !one.strip.some((patch) => best.strip.includes(patch)) &&
      one.strip.some((patch, i) =>
        patch.seen.some((v, c) => Math.abs(Math.log(v / best.strip[i]!.seen[c]!)) > DISAGREE),
      ),
  );
  if (rival !== undefined) return { found: null, why: 'two-that-disagree' };
  const place = ({ x, y }: Point): Spot => ({ x: x / field.width, y: y / field.height });
  return {
    found: {
      corners: extended(best.strip).map(place) as FoundGrey['corners'],
      steps: best.strip.map((one) => ({ at: place(one), seen: one.seen })),
      card: best.card,
    },
  };
}
