/**
 * Takes a picture of a scene by following rays from a pinhole camera into it, pixel by pixel, in linear
 * light. Nothing of what measures pictures is used: positions come from three dimensions, colours from the
 * standards' own formulas (IEC 61966-2-1 for sRGB, CIE 15 for L*a*b*).
 */
import sharp from 'sharp';
import { Random } from '../../demo/random';
import type { Range, World } from './ranges';
import type { Lab, Scene, Slab } from './scene';

// Under Jest every look at a global costs; there are millions here.
const { PI, abs, atan2, cos, exp, floor, hypot, imul, max, min, round, sin, sqrt, tan } = Math;

type Vec = readonly [number, number, number];

const WHITE: Vec = [0.95047, 1, 1.08883];

export function linearOf([l, a, b]: Lab): [number, number, number] {
  const fy = (l + 16) / 116;
  const back = (t: number): number => (t > 6 / 29 ? t ** 3 : 3 * (6 / 29) ** 2 * (t - 4 / 29));
  const [x, y, z] = [WHITE[0] * back(fy + a / 500), back(fy), WHITE[2] * back(fy - b / 200)];
  return [
    3.2404542 * x - 1.5371385 * y - 0.4985314 * z,
    -0.969266 * x + 1.8760108 * y + 0.041556 * z,
    0.0556434 * x - 0.2040259 * y + 1.0572252 * z,
  ];
}

const encode = (v: number): number =>
  v <= 0.0031308 ? 12.92 * max(0, v) : 1.055 * min(1, v) ** (1 / 2.4) - 0.055;

const noiseAt = (seed: number) => {
  const hash = (x: number, y: number): number => {
    let h = imul(x ^ imul(y, 0x27d4eb2d), 0x165667b1) ^ seed;
    h = imul(h ^ (h >>> 15), 0x2c1b3c6d);
    h = imul(h ^ (h >>> 12), 0x297a2d39);
    return ((h ^ (h >>> 15)) >>> 0) / 2 ** 32 - 0.5;
  };
  return (x: number, y: number): number => {
    const [ix, iy] = [floor(x), floor(y)];
    const [fx, fy] = [x - ix, y - iy];
    const a = hash(ix, iy) * (1 - fx) + hash(ix + 1, iy) * fx;
    return a * (1 - fy) + (hash(ix, iy + 1) * (1 - fx) + hash(ix + 1, iy + 1) * fx) * fy;
  };
};

const rad = (degrees: number): number => (degrees * PI) / 180;

/** A slab with its turn made ready. */
type Laid = Slab & { no: number; cos: number; sin: number };

/**
 * Where a point of the table's plane lies in a slab: across −1…1, and up from foot to rim (or out from the
 * centre) 0…1.
 */
function within(slab: Laid, x: number, y: number): { u: number; v: number } | null {
  const dx = x - slab.x;
  const dy = y - slab.y;
  const px = dx * slab.cos + dy * slab.sin;
  const py = -dx * slab.sin + dy * slab.cos;
  if (slab.round) {
    const r = hypot(px, py) / slab.halfWidth;
    return r > 1 ? null : { u: atan2(px, py) / PI, v: r };
  }
  const ox = abs(px) - slab.halfWidth;
  const oy = abs(py) - slab.halfHeight;
  if (ox > 0 || oy > 0) return null;
  const r = slab.rounded;
  if (ox > -r && oy > -r && hypot(ox + r, oy + r) > r) return null;
  return { u: px / slab.halfWidth, v: (py / slab.halfHeight + 1) / 2 };
}

export type Truth = {
  width: number;
  height: number;
  scene: Scene;
  /** In pixels. Of tiles: foot left, foot right, rim right, rim left. Of plates: 72 points of the rim. */
  outlines: [number, number][][];
  /** Corners of the card's whole strip, and the middle of each step, dark to light. */
  card: { corners: [number, number][]; middles: [number, number][] } | null;
};

export type Photograph = { pixels: Buffer; truth: Truth; jpegQuality: number; blur: number };

const draw = (random: Random, [low, high]: Range): number => random.between(low, high);

/** The picture as the sensor and its software leave it: RGB of 8 bits a channel, before JPEG. */
export function photograph(scene: Scene, world: World, seed: number, width: number): Photograph {
  const random = new Random(seed ^ 0x5bd1e995);
  const height = round(width * 0.75);
  const tilt = rad(draw(random, world.tilt));
  const roll = rad(draw(random, world.roll));
  const fills = draw(random, world.fills);
  const focal = width * random.between(0.8, 1.4);
  const k1 = draw(random, world.distortion);
  const vignette = draw(random, world.vignette);
  const exposure = 2 ** draw(random, world.exposure);
  const gains = [2 ** draw(random, world.cast), 1, 2 ** draw(random, world.cast)] as const;
  const contrast = draw(random, world.contrast);
  const shoulder = draw(random, world.shoulder);
  const saturation = draw(random, world.saturation);
  const hueTurn = rad(draw(random, world.hueTurn));
  const noise = draw(random, world.noise);
  const blur = draw(random, world.blurPx);
  const jpegQuality = round(draw(random, world.jpeg));
  const lampAngle = rad(draw(random, world.lampAngle));
  const lampTurn = random.between(0, 2 * PI);
  const lampWidth = tan(rad(draw(random, world.lampWidth)));
  const fall = draw(random, world.fall);
  const fallTurn = random.between(0, 2 * PI);
  const ambient = draw(random, world.ambient);
  const mixed = draw(random, world.mixedLight);

  // What matters must be in the picture at every roll; how much of it is left over is drawn.
  const half = max(scene.extent.x, (scene.extent.y * width) / height);
  const distance = (focal / width) * ((2 * half) / fills);
  const eye: Vec = [0, -sin(tilt) * distance, cos(tilt) * distance];
  const forward: Vec = [0, sin(tilt), -cos(tilt)];
  const across: Vec = [cos(roll), sin(roll) * cos(tilt), sin(roll) * sin(tilt)];
  const down: Vec = [
    forward[1] * across[2] - forward[2] * across[1],
    forward[2] * across[0] - forward[0] * across[2],
    forward[0] * across[1] - forward[1] * across[0],
  ];
  const corner = hypot(width, height) / 2;
  const rayOf = (px: number, py: number): Vec => {
    const [dx, dy] = [px - width / 2, py - height / 2];
    const bend = 1 + k1 * ((dx * dx + dy * dy) / corner ** 2);
    const [x, y] = [(dx * bend) / focal, (dy * bend) / focal];
    return [
      forward[0] + x * across[0] + y * down[0],
      forward[1] + x * across[1] + y * down[1],
      forward[2] + x * across[2] + y * down[2],
    ];
  };
  const project = ([x, y, z]: Vec): [number, number] => {
    const d: Vec = [x - eye[0], y - eye[1], z - eye[2]];
    const dot = (a: Vec): number => a[0] * d[0] + a[1] * d[1] + a[2] * d[2];
    const depth = dot(forward);
    const [ux, uy] = [(focal * dot(across)) / depth, (focal * dot(down)) / depth];
    let [dx, dy] = [ux, uy];
    for (let i = 0; i < 8; i++) {
      const bend = 1 + k1 * ((dx * dx + dy * dy) / corner ** 2);
      [dx, dy] = [ux / bend, uy / bend];
    }
    return [dx + width / 2, dy + height / 2];
  };

  const lamp: [number, number] = [tan(lampAngle) * cos(lampTurn), tan(lampAngle) * sin(lampTurn)];
  const lamps = Array.from({ length: 12 }, (_, i): [number, number] => {
    const [r, turn] = [lampWidth * sqrt((i + 0.5) / 12), i * 2.399963];
    return [lamp[0] + r * cos(turn), lamp[1] + r * sin(turn)];
  });
  const laid = scene.slabs.map((slab, no): Laid => ({
    ...slab,
    no,
    cos: cos(rad(slab.turn)),
    sin: sin(rad(slab.turn)),
  }));
  const reach = (hypot(...lamp) + lampWidth) * 12 + 20;
  const cells = new Map<number, Laid[]>();
  const CELL = 8;
  /** The slabs that a place of the table may have to do with. */
  const slabsNear = (x: number, y: number): Laid[] => {
    const [i, j] = [floor(x / CELL), floor(y / CELL)];
    const key = i * 100_003 + j;
    const known = cells.get(key);
    if (known !== undefined) return known;
    const [cx, cy] = [(i + 0.5) * CELL, (j + 0.5) * CELL];
    const near = laid.filter(
      (one) =>
        hypot(one.x - cx, one.y - cy) <
        (one.round ? one.halfWidth : hypot(one.halfWidth, one.halfHeight)) + reach + CELL,
    );
    cells.set(key, near);
    return near;
  };
  /** Share of the lamp that a point of the table sees past the slabs. */
  const seen = (x: number, y: number): number => {
    const near = slabsNear(x, y);
    if (near.length === 0) return 1;
    const free = lamps.filter(([lx, ly]) =>
      near.every((one) => within(one, x + lx * one.thick, y + ly * one.thick) === null),
    ).length;
    return free / lamps.length;
  };
  const light = (x: number, y: number, shade: number): Vec => {
    const t = (x * cos(fallTurn) + y * sin(fallTurn)) / (2 * half);
    const e = (ambient + (1 - ambient) * shade) * (1 - fall * t);
    const tint = (mixed * x) / half;
    return [e * 2 ** tint, e, e * 2 ** -tint];
  };

  const noises = scene.slabs.map(({ seed: own }) => noiseAt(own));
  const groundNoise = noiseAt(seed);
  const ground = linearOf(scene.ground.lab);
  const colours = scene.slabs.map((one) => ({
    side: linearOf(one.side),
    patches: one.patches.map(({ lab }) => linearOf(lab)),
  }));
  const clutter = scene.clutter.map((one) => ({ ...one, rgb: linearOf(one.lab) }));
  const card = scene.card;
  const cardColours = card?.steps.map(linearOf) ?? [];
  const onCard = (x: number, y: number): number => {
    if (card === null) return -1;
    const [c, s] = [cos(rad(card.turn)), sin(rad(card.turn))];
    const [dx, dy] = [x - card.x, y - card.y];
    const pitch = card.patch + card.gap;
    const along = (dx * c + dy * s) / pitch + card.steps.length / 2;
    const off = -dx * s + dy * c;
    const i = floor(along);
    const inside = abs(off) < card.patch / 2 && abs(along - i - 0.5) * pitch < card.patch / 2;
    return inside && i >= 0 && i < card.steps.length ? i : -1;
  };

  const shadeOf = (px: number, py: number): Vec => {
    for (const one of clutter) {
      const [dx, dy] = [px / width - (one.atX + 1) / 2, ((py / height - (one.atY + 1) / 2) * height) / width];
      if (hypot(dx, dy) < one.radius) return one.rgb;
    }
    const ray = rayOf(px, py);
    const at = (z: number): [number, number] => {
      const t = (z - eye[2]) / ray[2];
      return [eye[0] + t * ray[0], eye[1] + t * ray[1]];
    };
    const [x, y] = at(0);
    for (const slab of slabsNear(x, y)) {
      const i = slab.no;
      const top = at(slab.thick);
      const spot = within(slab, ...top);
      if (spot !== null) {
        const n = noises[i]!;
        const v = spot.v + slab.wave * 2 * n(spot.u * 4 + 9, 3);
        const p = max(
          0,
          slab.patches.findIndex(({ from, to }) => v >= from && v < to),
        );
        const k = v >= 1 ? slab.patches.length - 1 : p;
        const patch = slab.patches[k]!;
        const m = 1 + patch.mottle * 1.4 * (n(top[0] / 7, top[1] / 7) + 0.6 * n(top[0] / 2, top[1] / 2));
        const e = light(top[0], top[1], 1);
        const rgb = colours[i]!.patches[k]!;
        // A lamp's streak over a glossy glaze.
        const streak = exp(-(((spot.u - 0.45) / 0.09) ** 2)) * patch.gloss * (0.5 + n(1, spot.v * 9));
        const glare = max(0, streak) * 0.6;
        return [rgb[0]! * m * e[0] + glare, rgb[1]! * m * e[1] + glare, rgb[2]! * m * e[2] + glare];
      }
      // The side of the slab: what the ray meets between its top and the table.
      for (let z = slab.thick * 0.85; z > 0; z -= slab.thick * 0.15) {
        const side = at(z);
        if (within(slab, ...side) !== null) {
          const e = light(side[0], side[1], 0.35);
          return colours[i]!.side.map((v, c) => v * e[c]!) as unknown as Vec;
        }
      }
    }
    const e = light(x, y, seen(x, y));
    const step = onCard(x, y);
    if (step >= 0) return cardColours[step]!.map((v, c) => v * e[c]!) as unknown as Vec;
    const g =
      1 +
      scene.ground.grain * 2 * groundNoise(x * 1.7, y * 1.7) +
      scene.ground.streaks * 2 * groundNoise(x / 40, y * 0.6);
    return [ground[0] * g * e[0], ground[1] * g * e[1], ground[2] * g * e[2]];
  };

  const tone = (v: number): number => {
    const y = 0.18 * (max(0, v) / 0.18) ** contrast;
    return y <= shoulder ? y : shoulder + (1 - shoulder) * (1 - exp(-(y - shoulder) / (1 - shoulder)));
  };
  const render = ([r, g, b]: Vec): Vec => {
    if (saturation === 1 && hueTurn === 0) return [r, g, b];
    const y = 0.2126 * r + 0.7152 * g + 0.0722 * b;
    const [u, v] = [b - y, r - y];
    const [c, s] = [cos(hueTurn) * saturation, sin(hueTurn) * saturation];
    const [u2, v2] = [u * c - v * s, u * s + v * c];
    return [y + v2, y - (0.0722 * u2 + 0.2126 * v2) / 0.7152, y + u2];
  };
  const pixels = Buffer.alloc(width * height * 3);
  const grain = (): number => random.next() + random.next() + random.next() - 1.5;
  for (let py = 0; py < height; py++)
    for (let px = 0; px < width; px++) {
      const sum = shadeOf(px + 0.5, py + 0.5);
      const far = hypot(px - width / 2, py - height / 2) / corner;
      const dim = exposure * (1 - vignette * far * far);
      const rgb = render([sum[0]! * gains[0] * dim, sum[1]! * dim, sum[2]! * gains[2] * dim]);
      for (let c = 0; c < 3; c++) {
        const v = tone(rgb[c]!);
        pixels[(py * width + px) * 3 + c] = round(255 * encode(v + noise * (0.3 + sqrt(v)) * grain()));
      }
    }

  const outlines = scene.slabs.map((slab) => {
    const [c, s] = [cos(rad(slab.turn)), sin(rad(slab.turn))];
    const place = (x: number, y: number): [number, number] =>
      project([slab.x + x * c - y * s, slab.y + x * s + y * c, slab.thick]);
    if (slab.round)
      return Array.from({ length: 72 }, (_, i) =>
        place(slab.halfWidth * sin((i * PI) / 36), slab.halfWidth * cos((i * PI) / 36)),
      );
    const [w, h] = [slab.halfWidth, slab.halfHeight];
    return [place(-w, -h), place(w, -h), place(w, h), place(-w, h)];
  });
  const strip = (along: number, off: number): [number, number] => {
    const [c, s] = [cos(rad(card!.turn)), sin(rad(card!.turn))];
    return project([card!.x + along * c - off * s, card!.y + along * s + off * c, 0]);
  };
  const pitch = card === null ? 0 : card.patch + card.gap;
  const end = card === null ? 0 : (card.steps.length * pitch - card.gap) / 2;
  const truth: Truth = {
    width,
    height,
    scene,
    outlines,
    card:
      card === null
        ? null
        : {
            corners: [
              strip(-end, -card.patch / 2),
              strip(end, -card.patch / 2),
              strip(end, card.patch / 2),
              strip(-end, card.patch / 2),
            ],
            middles: card.steps.map((_, i) => strip((i + 0.5 - card.steps.length / 2) * pitch, 0)),
          },
  };
  return { pixels, truth, jpegQuality, blur };
}

/** The photograph as a JPEG file. */
export async function developed({ pixels, truth, jpegQuality, blur }: Photograph): Promise<Buffer> {
  const raw = sharp(pixels, { raw: { width: truth.width, height: truth.height, channels: 3 } });
  return raw.blur(max(0.3, blur)).jpeg({ quality: jpegQuality }).toBuffer();
}
