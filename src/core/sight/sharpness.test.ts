import type { Shape } from '../frame';
import type { Raster } from './field';
import { sharpnessOf } from './sharpness';

/**
 * A dark face with a lighter band on pale ground, each pixel the mean of its neighbours up to `blur`, in so
 * much light.
 */
function picture({ blur = 0, light = 1, side = 240, plain = false }): Raster {
  const at = (x: number, y: number): number => {
    const [u, v] = [x / side, y / side];
    if (u < 0.3 || u > 0.7 || v < 0.2 || v > 0.8) return 200;
    return plain || v > 0.5 ? 60 : 110;
  };
  const data = new Uint8Array(side * side * 3);
  for (let y = 0; y < side; y++)
    for (let x = 0; x < side; x++) {
      let sum = 0;
      for (let dy = -blur; dy <= blur; dy++) for (let dx = -blur; dx <= blur; dx++) sum += at(x + dx, y + dy);
      data.fill((light * sum) / (2 * blur + 1) ** 2, (y * side + x) * 3, (y * side + x) * 3 + 3);
    }
  return { width: side, height: side, channels: 3, data };
}
const face: Shape = {
  kind: 'corners',
  corners: [
    { x: 0.3, y: 0.8 },
    { x: 0.7, y: 0.8 },
    { x: 0.7, y: 0.2 },
    { x: 0.3, y: 0.2 },
  ],
};
const of = (options: Parameters<typeof picture>[0], shape: Shape = face): number =>
  sharpnessOf(picture(options), shape);

test('the more a picture is blurred the less sharp it is, also of a face without any pattern', () => {
  for (const plain of [false, true]) {
    const rows = [0, 1, 2, 4].map((blur) => of({ blur, plain }));
    rows.slice(1).forEach((one, i) => expect(one).toBeLessThan(0.75 * rows[i]!));
  }
});

test('light does not matter; a face that takes few pixels shows less', () => {
  expect(of({ light: 0.5 })).toBeCloseTo(of({}), 1);
  expect(of({ side: 120 })).toBeLessThan(0.6 * of({}));
});

test('a plate is looked at as well; where there is nothing to see it is none', () => {
  const plate: Shape = { kind: 'ellipse', centre: { x: 0.5, y: 0.5 }, across: 0.3, along: 0.3, turn: 0 };
  expect(of({}, plate)).toBeGreaterThan(of({ blur: 2 }, plate));
  const even = {
    kind: 'corners',
    corners: [
      { x: 0.02, y: 0.1 },
      { x: 0.1, y: 0.1 },
      { x: 0.1, y: 0.02 },
      { x: 0.02, y: 0.02 },
    ],
  } as Shape;
  expect(of({}, even)).toBe(0);
  const outside = {
    kind: 'corners',
    corners: [
      { x: 1.2, y: 1.4 },
      { x: 1.4, y: 1.4 },
      { x: 1.4, y: 1.2 },
      { x: 1.2, y: 1.2 },
    ],
  } as Shape;
  expect(of({}, outside)).toBe(0);
});
