/**
 * Colours as they are counted with. sRGB as in IEC 61966-2-1, CIELAB under D65 (CIE 15), OKLab (B. Ottosson,
 * 2020); the conversions are the colour library's, but for whole pictures, where the same formulas stand here
 * without its objects.
 */
import {
  converter,
  modeLab65,
  modeLrgb,
  modeOklab,
  modeRgb,
  modeXyz65,
  useMode as register,
} from 'culori/fn';

for (const mode of [modeRgb, modeLrgb, modeXyz65, modeLab65, modeOklab]) register(mode);

/** Lightness 0 to 100, green to red, blue to yellow. */
export type Lab = readonly [l: number, a: number, b: number];
/** Light reflected in the three channels, in linear light: 0 to 1 of a white that reflects all. */
export type Linear = readonly [r: number, g: number, b: number];

const toLab = converter('lab65');
const toLinear = converter('lrgb');
const toRgb = converter('rgb');
const toOklab = converter('oklab');

export function labOfLinear([r, g, b]: Linear): Lab {
  const lab = toLab({ mode: 'lrgb', r, g, b });
  return [lab.l, lab.a, lab.b];
}

export function linearOfLab([l, a, b]: Lab): Linear {
  const rgb = toLinear({ mode: 'lab65', l, a, b });
  return [rgb.r, rgb.g, rgb.b];
}

export function oklabOfLinear([r, g, b]: Linear): Lab {
  const lab = toOklab({ mode: 'lrgb', r, g, b });
  return [lab.l, lab.a, lab.b];
}

export function linearOfOklab([l, a, b]: Lab): Linear {
  const rgb = toLinear({ mode: 'oklab', l, a, b });
  return [rgb.r, rgb.g, rgb.b];
}

/** As a screen shows it, channels 0 to 255, drawn in where the screen cannot show it. */
export function screenOf(lab: Lab): [r: number, g: number, b: number] {
  const { r, g, b } = toRgb({ mode: 'lab65', l: lab[0], a: lab[1], b: lab[2] });
  const channel = (v: number): number => Math.round(255 * Math.min(1, Math.max(0, v)));
  return [channel(r), channel(g), channel(b)];
}

/** "#a1b2c3": what a page can paint. */
export const hexOf = (lab: Lab): string =>
  `#${screenOf(lab)
    .map((v) => v.toString(16).padStart(2, '0'))
    .join('')}`;

/** Linear light of an 8-bit channel as a camera's picture holds it. */
export const LINEAR: Float32Array = Float32Array.from({ length: 256 }, (_, v) => {
  const x = v / 255;
  return x <= 0.04045 ? x / 12.92 : ((x + 0.055) / 1.055) ** 2.4;
});

/** Of "#a1b2c3", as a page or a picker names it. */
export const labOfHex = (hex: string): Lab =>
  labOfLinear(
    [0, 1, 2].map((c) => LINEAR[parseInt(hex.slice(1 + 2 * c, 3 + 2 * c), 16)]!) as unknown as Linear,
  );

/** The light that a neutral surface of lightness L* reflects, 0 to 1 (CIE 15). */
export function reflectanceOf(lightness: number): number {
  return lightness > 8 ? ((lightness + 16) / 116) ** 3 : lightness / 903.2963;
}

/** OKLab of linear light, written into `out` from `at` on: as oklabOfLinear, without an object for each. */
export function intoOklab(r: number, g: number, b: number, out: Float32Array, at: number): void {
  const l = cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
  const m = cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
  const s = cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
  out[at] = 0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s;
  out[at + 1] = 1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s;
  out[at + 2] = 0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s;
}
const { cbrt } = Math;

/** OKLab of every pixel of a picture of `channels` a pixel: three numbers a pixel. */
export function oklabOfPixels(data: ArrayLike<number>, channels: number): Float32Array {
  const count = data.length / channels;
  const out = new Float32Array(count * 3);
  for (let i = 0, p = 0; i < out.length; i += 3, p += channels)
    intoOklab(LINEAR[data[p]!]!, LINEAR[data[p + 1]!]!, LINEAR[data[p + 2]!]!, out, i);
  return out;
}
