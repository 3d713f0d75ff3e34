/**
 * Draws what lies on the table: slabs with their zones, the card, what is in the way. Millimetres, L*a*b*
 * under D65.
 */
import type { Random } from '../../demo/random';
import { CARDS, type Range, type World } from './ranges';

export type Lab = readonly [number, number, number];

/** A stretch of a slab (from foot or centre, 0 to 1) with its colour. */
export type Patch = { from: number; to: number; lab: Lab; mottle: number; gloss: number };

/** A tile (half width, half height) or a plate (round: half width is its radius) lying on the table. */
export type Slab = {
  round: boolean;
  x: number;
  y: number;
  halfWidth: number;
  halfHeight: number;
  /** Turn about the upright, in degrees: 0 has its rim away from the camera. */
  turn: number;
  thick: number;
  rounded: number;
  wave: number;
  side: Lab;
  patches: Patch[];
  seed: number;
};

export type Card = { x: number; y: number; turn: number; patch: number; gap: number; steps: Lab[] };

export type Clutter = { atX: number; atY: number; radius: number; lab: Lab };

export type Subject = 'tile' | 'two faces' | 'plate' | 'shelf' | 'board';

export type Scene = {
  subject: Subject;
  slabs: Slab[];
  /** Columns and rows of a board. */
  grid: { columns: number; rows: number } | null;
  card: Card | null;
  /** What the studio believes its card to be: lightness by step. */
  stated: readonly number[];
  ground: { lab: Lab; grain: number; streaks: number };
  clutter: Clutter[];
  /** Half the size of what must be in the picture. */
  extent: { x: number; y: number };
};

const from = (random: Random, [low, high]: Range): number => random.between(low, high);

function colour(random: Random, world: World): Lab {
  const chroma = from(random, world.zoneChroma) * random.next() ** 0.5;
  const hue = random.between(0, 2 * Math.PI);
  // Very dark and very light glazes are never very colourful: keeps what is drawn within what a screen can
  // show.
  const l = from(random, world.zoneL);
  const most = 1.05 * Math.min(l - 4, 100 - l) * (l < 50 ? 0.9 : 1);
  const c = Math.max(0, Math.min(chroma, most));
  return [l, c * Math.cos(hue), c * Math.sin(hue)];
}

function patches(random: Random, world: World, count: number, bareFoot: boolean, side: Lab) {
  const foot = bareFoot ? random.between(0.04, 0.08) : 0;
  const cuts = Array.from({ length: count - 1 }, (_, i) => (i + 1) / count + random.between(-0.08, 0.08));
  const ends = [foot, ...cuts, 1];
  const list: Patch[] = bareFoot ? [{ from: 0, to: foot, lab: side, mottle: 0.05, gloss: 0 }] : [];
  for (let i = 0; i + 1 < ends.length; i++)
    list.push({
      from: ends[i]!,
      to: ends[i + 1]!,
      lab: colour(random, world),
      mottle: from(random, world.mottle),
      gloss: from(random, world.gloss),
    });
  return list;
}

const CLAYS: readonly Lab[] = [
  [86, 1, 6],
  [74, 5, 16],
  [62, 10, 20],
  [40, 8, 12],
];

function slab(random: Random, world: World, at: Partial<Slab>, zones: number): Slab {
  const side = random.pick(CLAYS);
  const round = at.round ?? false;
  return {
    round,
    x: 0,
    y: 0,
    halfWidth: round ? random.between(60, 120) : random.between(28, 45),
    halfHeight: random.between(45, 70),
    turn: random.between(-6, 6),
    thick: from(random, world.thick),
    rounded: from(random, world.rounded),
    wave: from(random, world.wave),
    side,
    seed: random.integer(1, 1e6),
    patches: patches(random, world, zones, !round && random.chance(0.6), side),
    ...at,
  };
}

function slabsOf(random: Random, world: World, subject: Subject): Pick<Scene, 'slabs' | 'grid'> {
  const zones = random.integer(1, 3);
  if (subject === 'tile') return { slabs: [slab(random, world, {}, zones)], grid: null };
  if (subject === 'plate') return { slabs: [slab(random, world, { round: true }, zones)], grid: null };
  const halfWidth = random.between(26, 40);
  const halfHeight = random.between(38, 60);
  if (subject === 'two faces') {
    const gap = random.between(6, 16);
    const apart = halfWidth + gap / 2;
    return {
      slabs: [-apart, apart].map((x) =>
        slab(random, world, { x, halfWidth, halfHeight, turn: random.between(-2, 2) }, zones),
      ),
      grid: null,
    };
  }
  const board = subject === 'board';
  const columns = random.integer(3, board ? 8 : 6);
  const rows = random.integer(2, board ? 6 : 3);
  const gap = board ? random.between(5, 12) : random.between(12, 30);
  const slabs: Slab[] = [];
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++)
      slabs.push(
        slab(
          random,
          world,
          {
            x: (column - (columns - 1) / 2) * (2 * halfWidth + gap) + random.between(-1, 1) * gap * 0.1,
            y: ((rows - 1) / 2 - row) * (2 * halfHeight + gap) + random.between(-1, 1) * gap * 0.1,
            halfWidth,
            halfHeight,
            turn: board ? random.between(-1, 1) : random.between(-4, 4),
          },
          random.integer(1, 2),
        ),
      );
  return { slabs, grid: board ? { columns, rows } : null };
}

/** A scene of a world; every draw is from the generator alone. */
export function drawScene(random: Random, world: World, subject: Subject, withCard = true): Scene {
  const { slabs, grid } = slabsOf(random, world, subject);
  const right = Math.max(...slabs.map((one) => one.x + Math.max(one.halfWidth, 0)));
  const top = Math.max(...slabs.map((one) => one.y + (one.round ? one.halfWidth : one.halfHeight)));
  const stated = random.pick(CARDS);
  const patch = Math.max(random.between(14, 24), right * 0.06);
  const gap = random.chance(0.5) ? 0 : random.between(1, 3);
  const long = stated.length * (patch + gap);
  const below = random.chance(0.6);
  const upright = !below;
  const card: Card = {
    x: below
      ? random.between(-0.5, 0.5) * Math.max(0, 2 * right - long)
      : (right + patch + random.between(10, 25)) * (random.chance(0.5) ? 1 : -1),
    y: below
      ? -(top + patch / 2 + random.between(14, 28))
      : random.between(-0.4, 0.4) * Math.max(0, 2 * top - long),
    turn: random.between(-8, 8) + (upright ? 90 : 0),
    patch,
    gap,
    steps: stated.map((l): Lab => {
      const chroma = from(random, world.cardChroma);
      const hue = random.between(0, 2 * Math.PI);
      return [l + from(random, world.cardOff), chroma * Math.cos(hue), chroma * Math.sin(hue)];
    }),
  };
  const hue = random.between(0, 2 * Math.PI);
  const chroma = from(random, world.groundChroma);
  const extent = {
    x: right + (below ? 0 : 2 * patch + 25) + 6,
    y: top + (below ? patch + 30 : 0) + 6,
  };
  return {
    subject,
    slabs,
    grid,
    card: withCard ? card : null,
    stated,
    ground: {
      lab: [from(random, world.groundL), chroma * Math.cos(hue), chroma * Math.sin(hue)],
      grain: from(random, world.groundGrain),
      streaks: from(random, world.groundStreaks),
    },
    clutter: Array.from({ length: Math.round(from(random, world.clutter)) }, () => {
      const side = random.integer(0, 3);
      const along = random.between(-1, 1);
      const out = 1.02;
      return {
        atX: side === 0 ? -out : side === 1 ? out : along,
        atY: side === 2 ? -out : side === 3 ? out : along,
        radius: random.between(0.02, 0.07),
        lab: colour(random, world),
      };
    }),
    extent,
  };
}
