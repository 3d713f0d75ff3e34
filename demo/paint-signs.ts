/** Faults and effects, painted. */
import type { Canvas } from './canvas';
import type { SeenSign } from '../src/core/looks';
import { Random } from './random';
import type { Rgb } from './truth';
import { type Band, type FaceScene, type Scene, type Box } from './paint';

const mixRgb = (a: Rgb, b: Rgb, share: number): Rgb => [
  a[0] * (1 - share) + b[0] * share,
  a[1] * (1 - share) + b[1] * share,
  a[2] * (1 - share) + b[2] * share,
];

export function speckle(canvas: Canvas, scene: Scene, box: Box, random: Random): void {
  for (let i = 0; i < scene.speckle * 260; i++) {
    canvas.disc(
      box.left + random.next() * box.width,
      box.top + random.next() * box.height,
      random.between(0.7, 1.7),
      [62, 42, 30],
      0.6,
    );
  }
}

export function outline(canvas: Canvas, box: Box): void {
  for (let y = 0; y < box.height; y++) {
    canvas.blend(box.left, box.top + y, [255, 255, 255], 0.25);
    canvas.blend(box.left + box.width - 1, box.top + y, [0, 0, 0], 0.4);
  }
  for (let x = 0; x < box.width; x++) {
    canvas.blend(box.left + x, box.top, [255, 255, 255], 0.3);
    canvas.blend(box.left + x, box.top + box.height - 1, [0, 0, 0], 0.5);
  }
}

export function paintSign(
  canvas: Canvas,
  { sign, severity }: SeenSign,
  band: Band,
  face: FaceScene,
  box: Box,
  random: Random,
): void {
  const area = (band.to - band.from) * box.height;
  const spot = (): [number, number] => [
    box.left + 4 + random.next() * (box.width - 8),
    box.top + (1 - band.to) * box.height + random.next() * area,
  ];
  const many = (count: number): number => Math.round(count * severity * Math.max(0.25, band.to - band.from));
  const darker = mixRgb(band.colour, [0, 0, 0], 0.45);
  const lighter = mixRgb(band.colour, [255, 255, 255], 0.5);
  if (sign === 'pit' || sign === 'pinhole') {
    for (let i = 0; i < many(sign === 'pit' ? 40 : 60); i++) {
      const [x, y] = spot();
      const r = sign === 'pit' ? random.between(1.5, 2.8) : random.between(0.8, 1.4);
      canvas.disc(x, y, r + 0.8, lighter, 0.35);
      canvas.disc(x, y, r, sign === 'pit' ? darker : face.ground, 0.9);
    }
  } else if (sign === 'blister' || sign === 'crater' || sign === 'froth') {
    for (let i = 0; i < many(26); i++) {
      const [x, y] = spot();
      const r = random.between(2.5, sign === 'froth' ? 4 : 7);
      canvas.disc(x, y, r, lighter, 0.6);
      canvas.disc(x + 0.8, y + 0.8, r * 0.7, sign === 'crater' ? darker : band.colour, 0.85);
      canvas.disc(x - r * 0.3, y - r * 0.3, r * 0.25, [255, 255, 255], 0.6);
    }
  } else if (sign === 'crazing') {
    for (let i = 0; i < many(22); i++) {
      let [x, y] = spot();
      let direction = random.between(0, Math.PI * 2);
      for (let step = 0; step < 70; step++) {
        canvas.blend(x, y, darker, 0.55);
        x += Math.cos(direction);
        y += Math.sin(direction);
        direction += random.between(-0.25, 0.25);
        if (
          x <= box.left ||
          x >= box.left + box.width ||
          y <= box.top + (1 - band.to) * box.height ||
          y >= box.top + (1 - band.from) * box.height
        )
          break;
      }
    }
  } else if (sign === 'crawling' || sign === 'lifting' || sign === 'patchy') {
    for (let i = 0; i < many(7); i++) {
      const [x, y] = spot();
      const r = random.between(4, 11);
      canvas.disc(x, y, r + 2.5, lighter, 0.8);
      canvas.disc(x, y, r, sign === 'lifting' ? [92, 68, 54] : face.ground, 1);
    }
  } else if (sign === 'cloudy' || sign === 'smoke' || sign === 'blush') {
    const tint: Rgb = sign === 'cloudy' ? [236, 236, 232] : sign === 'smoke' ? [60, 56, 54] : [226, 150, 158];
    for (let i = 0; i < many(9); i++) canvas.disc(...spot(), random.between(14, 30), tint, 0.16);
  }
}
