import { reflectanceOf } from '@/core/colour';
import type { Raster } from '@/core/sight';
import { ROUND, type Zone } from '@/core/zones';
import { measured } from './measure';
import { stepsSeen, WHY } from './spot';

const encode = (v: number): number =>
  Math.round(255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055));
const CARD = [30, 60, 90];

/**
 * A card of three steps of 30 pixels at the top left, and below it a face of one colour, all in half the
 * light.
 */
function scene(light: number, face = [0.3, 0.2, 0.1]): Raster {
  const [width, height] = [200, 160];
  const data = new Uint8Array(width * height * 3);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const step = Math.floor((x - 10) / 30);
      const onCard = y >= 10 && y < 40 && step >= 0 && step < 3;
      const rgb = onCard ? [0, 1, 2].map(() => reflectanceOf(CARD[step]!)) : face;
      data.set(
        rgb.map((v) => encode(Math.min(1, v * light))),
        (y * width + x) * 3,
      );
    }
  return { width, height, channels: 3, data };
}
const steps = [25, 55, 85].map((x) => ({ x: x / 200, y: 25 / 160 }));
const frame = {
  face: 1,
  guessed: true,
  shape: {
    kind: 'corners' as const,
    corners: [
      { x: 0.1, y: 0.95 },
      { x: 0.9, y: 0.95 },
      { x: 0.9, y: 0.35 },
      { x: 0.1, y: 0.35 },
    ] as never,
  },
};
const zone = (from: number, to: number, relief = 'all'): Zone => ({
  face: 1,
  stretch: { from, to },
  sector: ROUND,
  relief,
  ground: [],
  stack: [],
});

test('the light of each step is read about its middle', () => {
  stepsSeen(scene(0.5), steps).forEach(({ seen }, i) =>
    expect(seen[1]).toBeCloseTo(0.5 * reflectanceOf(CARD[i]!), 2),
  );
});

test('the same face in two lights has one colour by its card, and two without', () => {
  const lightness = (light: number, card: number[] | null): number =>
    measured(scene(light), [frame], [zone(0, 1)], { steps, card }).frames[0]!.colours[0]!.lab[0];
  expect(Math.abs(lightness(0.4, CARD) - lightness(0.9, CARD))).toBeLessThan(1);
  expect(Math.abs(lightness(0.4, null) - lightness(0.9, null))).toBeGreaterThan(10);
});

test('why nothing was measured is said', () => {
  const why = (light: number, grey: { steps: typeof steps | null; card: number[] | null }) =>
    measured(scene(light), [frame], [zone(0, 1)], grey);
  expect(why(0.5, { steps: null, card: CARD })).toMatchObject({ byGrey: false, why: WHY['no-card'] });
  expect(why(0.5, { steps, card: null }).why).toBe(WHY.unstated);
  expect(why(20, { steps, card: CARD }).why).toBe(WHY.burnt);
  expect(why(0.0005, { steps, card: CARD }).why).toBe(WHY.dark);
  expect(why(0.5, { steps: [...steps].reverse(), card: CARD }).why).toBe(WHY['not-the-card']);
  expect(why(0.5, { steps: steps.slice(1), card: CARD }).why).toBe(WHY['not-the-card']);
});

test('hollows and ridges that share their place are not measured apart; other faces are not measured at all', () => {
  const grey = { steps, card: CARD };
  const zones = (list: Zone[]) =>
    measured(scene(0.5), [frame], list, grey).frames[0]!.colours.map((one) => one.zone);
  expect(zones([zone(0, 0.5, 'hollows'), zone(0, 0.5, 'raised'), zone(0.5, 1)])).toEqual([
    '1|500-1000|0-1000|all',
  ]);
  expect(zones([{ ...zone(0, 1), face: 2 }])).toEqual([]);
});
