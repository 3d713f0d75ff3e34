/**
 * Paints a tile on a grey table: ground, speckle, texture band, coats with their edges,
 * gloss, runs and faults. Pure: a scene in, pixels out. No photograph is imitated.
 */
import type { SeenSign } from '../src/core/looks';
import type { Surface } from '../src/core/signs';
import { Random } from './random';
import type { Rgb } from './truth';
import { Canvas, HEIGHT, WIDTH } from './canvas';
import { speckle, outline, paintSign } from './paint-signs';

export { HEIGHT, WIDTH } from './canvas';

export type Band = {
  from: number;
  to: number;
  relief: string;
  colour: Rgb;
  edge: Rgb;
  surface: Surface;
  mottle: number;
  breaks: number;
  movementMm: number;
  bare: boolean;
  signs: SeenSign[];
};

export type FaceScene = { ground: Rgb; textured: boolean; bands: Band[] };

export type Scene = {
  seed: number;
  speckle: number;
  body: Rgb;
  faces: FaceScene[];
  heightMm: number;
};

function noise2(seed: number) {
  const hash = (x: number, y: number): number => {
    let h = Math.imul(x, 374761393) + Math.imul(y, 668265263) + Math.imul(seed, 2147483647);
    h = Math.imul(h ^ (h >>> 13), 1274126177);
    return ((h ^ (h >>> 16)) >>> 0) / 4294967296;
  };
  return (x: number, y: number): number => {
    const [ix, iy] = [Math.floor(x), Math.floor(y)];
    const [fx, fy] = [x - ix, y - iy];
    const [sx, sy] = [fx * fx * (3 - 2 * fx), fy * fy * (3 - 2 * fy)];
    const top = hash(ix, iy) * (1 - sx) + hash(ix + 1, iy) * sx;
    const bottom = hash(ix, iy + 1) * (1 - sx) + hash(ix + 1, iy + 1) * sx;
    return top * (1 - sy) + bottom * sy - 0.5;
  };
}

export type Box = { left: number; top: number; width: number; height: number };

const GLOSS: Record<Surface, number> = { gloss: 0.62, satin: 0.22, matt: 0.05, dry: 0 };

/** Where the faces of a piece stand on the table. */
export function boxesFor(count: number): Box[] {
  const width = count === 1 ? 170 : count === 2 ? 144 : 104;
  const gap = count > 2 ? 10 : 18;
  const left = (WIDTH - count * width - (count - 1) * gap) / 2;
  return Array.from({ length: count }, (_, i) => ({
    left: Math.round(left + i * (width + gap)),
    top: 40,
    width,
    height: 372,
  }));
}

const tables = new Map<number, Uint8ClampedArray>();

/** The table with the shadows of so many faces and the grey card: the same in every picture. */
function tableFor(count: number): Uint8ClampedArray {
  const held = tables.get(count);
  if (held !== undefined) return held;
  const canvas = new Canvas();
  table(canvas, new Random(count));
  for (const box of boxesFor(count)) shadow(canvas, box);
  greyCard(canvas);
  tables.set(count, canvas.data);
  return canvas.data;
}

/** The pixels of a scene, RGB, WIDTH × HEIGHT. */
export function paint(scene: Scene): Uint8ClampedArray {
  const canvas = new Canvas();
  canvas.data.set(tableFor(scene.faces.length));
  const random = new Random(scene.seed);
  boxesFor(scene.faces.length).forEach((box, i) => {
    paintFace(canvas, scene, scene.faces[i]!, box, noise2(scene.seed + 17 * (i + 1)), random);
  });
  return canvas.data;
}

function table(canvas: Canvas, random: Random): void {
  for (let y = 0; y < HEIGHT; y++) {
    for (let x = 0; x < WIDTH; x++) {
      const v = 178 - 16 * Math.hypot((x - 150) / WIDTH, (y - 180) / HEIGHT) + (random.next() - 0.5) * 6;
      canvas.set(x, y, v, v, v);
    }
  }
}

function shadow(canvas: Canvas, box: Box): void {
  for (let y = box.top - 4; y < box.top + box.height + 18; y++) {
    for (let x = box.left - 6; x < box.left + box.width + 18; x++) {
      const dx = Math.max(box.left + 4 - x, 0, x - (box.left + box.width + 3));
      const dy = Math.max(box.top + 6 - y, 0, y - (box.top + box.height + 4));
      const d = Math.hypot(dx, dy);
      if (d < 13) canvas.blend(x, y, [60, 60, 60], 0.42 * (1 - d / 13));
    }
  }
}

/** Lightness L* of the strip’s steps, dark to light: sRGB 92, 150 and 212 (IEC 61966-2-1, CIE 15). */
export const GREY_CARD = [39, 62, 85];

/** A strip of three greys, for those who balance their colours. */
function greyCard(canvas: Canvas): void {
  [92, 150, 212].forEach((grey, i) => {
    for (let y = 440; y < 466; y++)
      for (let x = 18 + i * 30; x < 46 + i * 30; x++) canvas.set(x, y, grey, grey, grey);
  });
}

/** The middles of its steps, dark to light, as fractions of the picture. */
export const GREY_STEPS = [0, 1, 2].map((i) => ({ x: (32 + i * 30) / WIDTH, y: 453 / HEIGHT }));

const RIDGES = { from: 0.66, to: 0.8, count: 6 };

/** Where each band begins and ends in each column: dip lines waver, runs hang down. */
function edges(face: FaceScene, box: Box, pxPerMm: number, fine: (x: number, y: number) => number) {
  return face.bands.map((band) => {
    const low = new Float32Array(box.width);
    const high = new Float32Array(box.width);
    for (let x = 0; x < box.width; x++) {
      const wobble = fine(x / 17, 3) * 0.014 + fine(x / 6, 9) * 0.006;
      const drip =
        band.movementMm * pxPerMm * (0.45 + 1.1 * Math.max(0, fine(x / 14, band.from * 31 + 5) + 0.25));
      low[x] = band.from - (band.from > 0.001 || band.movementMm > 9 ? drip / box.height : 0) + wobble;
      high[x] = band.to + wobble;
    }
    return {
      low,
      high,
      bare: band.bare,
      inHollows: !band.relief.startsWith('raised'),
      onRaised: !band.relief.startsWith('hollows'),
    };
  });
}

function paintFace(
  canvas: Canvas,
  scene: Scene,
  face: FaceScene,
  box: Box,
  fine: (x: number, y: number) => number,
  random: Random,
): void {
  const ends = edges(face, box, box.height / Math.max(scene.heightMm, 40), fine);
  const columns = Array.from({ length: box.width }, (_, x) => ({
    highlight: Math.exp(-(((x / box.width - 0.2) / 0.045) ** 2)),
    turn: 0.16 * Math.abs(x / box.width - 0.42) * 2,
    flow: fine(x / 5, 1),
  }));
  for (let y = 0; y < box.height; y++) {
    const v = 1 - y / box.height;
    const ridge =
      face.textured || (v > RIDGES.from && v < RIDGES.to)
        ? Math.sin(((v - RIDGES.from) / (RIDGES.to - RIDGES.from)) * RIDGES.count * Math.PI * 2)
        : 0;
    const [raised, hollow] = [Math.max(0, ridge), Math.max(0, -ridge)];
    const glint = 0.55 + 0.45 * fine(4, y / 40);
    for (let x = 0; x < box.width; x++) {
      let at = -1;
      for (let i = 0; i < ends.length; i++) {
        const one = ends[i]!;
        if (
          (hollow >= 0.25 ? one.inHollows : one.onRaised) &&
          v >= one.low[x]! &&
          v < one.high[x]! &&
          (at < 0 || !one.bare)
        )
          at = i;
      }
      const band = at < 0 ? null : face.bands[at]!;
      const glazed = band !== null && !band.bare;
      let r = face.ground[0];
      let g = face.ground[1];
      let b = face.ground[2];
      if (glazed) {
        const distance = Math.min(v - ends[at]!.low[x]!, ends[at]!.high[x]! - v) * box.height;
        const cloud = band.mottle < 0.05 ? 0 : fine(x / 23, y / 31) + 0.5 * fine(x / 9, y / 14);
        const broken = Math.min(1, raised * band.breaks + (distance < 5 ? (1 - distance / 5) * 0.35 : 0));
        const shade = (1 + cloud * band.mottle * 0.55 + columns[x]!.flow * band.mottle * 0.35) * (1 - broken);
        r = band.colour[0] * shade + band.edge[0] * broken;
        g = band.colour[1] * shade + band.edge[1] * broken;
        b = band.colour[2] * shade + band.edge[2] * broken;
        if (v < 0.045 && band.from <= 0.001) {
          r = r * 0.15 + scene.body[0] * 0.85;
          g = g * 0.15 + scene.body[1] * 0.85;
          b = b * 0.15 + scene.body[2] * 0.85;
        }
      } else if (v < 0.04) {
        r = scene.body[0];
        g = scene.body[1];
        b = scene.body[2];
      }
      // Light falls from the upper left; the face turns away a little at its edges.
      const form = 1 - columns[x]!.turn + 0.05 * (v - 0.5) - hollow * 0.1 + raised * 0.05;
      const glare =
        (glazed ? GLOSS[band.surface] : 0) * (columns[x]!.highlight * glint + raised * 0.12) * 190;
      const grain =
        (random.next() - 0.5) * (!glazed || band.surface === 'dry' ? 18 : band.surface === 'matt' ? 9 : 3);
      canvas.set(
        box.left + x,
        box.top + y,
        r * form + glare + grain,
        g * form + glare + grain,
        b * form + glare + grain,
      );
    }
  }
  speckle(canvas, scene, box, random);
  for (const band of face.bands)
    for (const sign of band.signs) paintSign(canvas, sign, band, face, box, random);
  outline(canvas, box);
}
