import { converter } from 'culori';
import {
  hexOf,
  labOfLinear,
  linearOfLab,
  linearOfOklab,
  oklabOfLinear,
  oklabOfPixels,
  LINEAR,
  reflectanceOf,
  screenOf,
  type Lab,
} from '.';

/**
 * The 24 patches of the usual colour chart, sRGB under D65, as its published tables give them; from memory,
 * checked against the colour library here and through a made camera in the tests of the correction.
 */
export const PATCHES: readonly (readonly [number, number, number])[] = [
  [115, 82, 68],
  [194, 150, 130],
  [98, 122, 157],
  [87, 108, 67],
  [133, 128, 177],
  [103, 189, 170],
  [214, 126, 44],
  [80, 91, 166],
  [193, 90, 99],
  [94, 60, 108],
  [157, 188, 64],
  [224, 163, 46],
  [56, 61, 150],
  [70, 148, 73],
  [175, 54, 60],
  [231, 199, 31],
  [187, 86, 149],
  [8, 133, 161],
  [243, 243, 242],
  [200, 200, 200],
  [160, 160, 160],
  [122, 122, 121],
  [85, 85, 85],
  [52, 52, 52],
];

const linear = (rgb: readonly [number, number, number]) => rgb.map((v) => LINEAR[v]!) as unknown as Lab;

test('white, black and the primaries stand where the standards put them', () => {
  // CIE 15 and IEC 61966-2-1; the figures of the primaries are widely printed, from memory.
  const near = (lab: Lab, to: Lab) => lab.forEach((v, i) => expect(v).toBeCloseTo(to[i]!, 1));
  near(labOfLinear([1, 1, 1]), [100, 0, 0]);
  near(labOfLinear([0, 0, 0]), [0, 0, 0]);
  near(labOfLinear([1, 0, 0]), [53.24, 80.09, 67.2]);
  near(labOfLinear([0, 1, 0]), [87.73, -86.18, 83.18]);
  near(labOfLinear([0, 0, 1]), [32.3, 79.19, -107.86]);
  near(oklabOfLinear([1, 1, 1]), [1, 0, 0]);
});

test('there and back is the same colour, in both spaces and on the screen', () => {
  for (const patch of PATCHES) {
    const light = linear(patch);
    linearOfLab(labOfLinear(light)).forEach((v, i) => expect(v).toBeCloseTo(light[i]!, 5));
    linearOfOklab(oklabOfLinear(light)).forEach((v, i) => expect(v).toBeCloseTo(light[i]!, 5));
    expect(screenOf(labOfLinear(light))).toEqual([...patch]);
  }
});

test('whole pictures come out as the colour library says, with or without a fourth channel', () => {
  const toOklab = converter('oklab');
  for (const channels of [3, 4]) {
    const data = PATCHES.flatMap((patch) => (channels === 4 ? [...patch, 255] : [...patch]));
    const out = oklabOfPixels(data, channels);
    expect(out).toHaveLength(PATCHES.length * 3);
    PATCHES.forEach(([r, g, b], i) => {
      const want = toOklab({ mode: 'rgb', r: r / 255, g: g / 255, b: b / 255 });
      expect(out[3 * i]).toBeCloseTo(want.l, 3);
      expect(out[3 * i + 1]).toBeCloseTo(want.a, 3);
      expect(out[3 * i + 2]).toBeCloseTo(want.b, 3);
    });
  }
});

test('a neutral surface reflects what its lightness says: middle grey is 18 %', () => {
  // 18 % is L* 49.5 (CIE 15).
  expect(reflectanceOf(49.5)).toBeCloseTo(0.18, 3);
  expect(reflectanceOf(100)).toBeCloseTo(1, 6);
  expect(reflectanceOf(0)).toBe(0);
  for (const l of [3, 8, 20, 70])
    expect(labOfLinear([reflectanceOf(l), reflectanceOf(l), reflectanceOf(l)])[0]).toBeCloseTo(l, 2);
});

test('what a screen cannot show is drawn in', () => {
  expect(hexOf([100, 0, 0])).toBe('#ffffff');
  expect(hexOf([60, -120, 90])).toMatch(/^#00[0-9a-f]{4}$/);
});
