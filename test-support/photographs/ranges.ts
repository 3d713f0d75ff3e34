/**
 * From what the synthetic photographs are drawn. Written before the method that reads them, and not changed
 * to suit it. Two worlds: `PLAIN` is a careful phone picture on a neutral table; `OTHER` breaks what a method
 * may silently count on (a neutral even ground, soft light of one colour, straight lenses, a camera that
 * keeps hues, a clean card). From memory of how such pictures turn out; no source.
 */
export type Range = readonly [low: number, high: number];

export type World = {
  /**
   * Camera: tilt from straight above and turn about its own axis, in degrees; how much of the width the
   * subject takes.
   */
  tilt: Range;
  roll: Range;
  fills: Range;
  /** Radial distortion of the lens at the edge of the picture. */
  distortion: Range;
  /** Loss of light in the corners. */
  vignette: Range;
  /** Exposure in stops about the right one; gains of red and blue against green, as powers of two. */
  exposure: Range;
  cast: Range;
  /** Tone curve: contrast about middle grey, and where the shoulder begins. */
  contrast: Range;
  shoulder: Range;
  /**
   * How far a camera's own rendering goes from the true colours: saturation, and a turn of the hues in
   * degrees.
   */
  saturation: Range;
  hueTurn: Range;
  noise: Range;
  blurPx: Range;
  jpeg: Range;
  /**
   * Light: angle from straight above, width of the lamp (degrees), fall across the table, share that comes
   * from all round.
   */
  lampAngle: Range;
  lampWidth: Range;
  fall: Range;
  ambient: Range;
  /** Difference of colour between left and right, in powers of two. */
  mixedLight: Range;
  /** Ground: lightness L*, chroma, grain (share of its lightness), streaks of wood. */
  groundL: Range;
  groundChroma: Range;
  groundGrain: Range;
  groundStreaks: Range;
  clutter: Range;
  /** Zones: lightness and chroma, mottle, how wavy their border is (share of the height), gloss. */
  zoneL: Range;
  zoneChroma: Range;
  mottle: Range;
  wave: Range;
  gloss: Range;
  /** Corners of tiles, rounded by so many mm; thickness in mm. */
  rounded: Range;
  thick: Range;
  /** How far each step of the card is off its stated lightness, and its chroma. */
  cardOff: Range;
  cardChroma: Range;
};

export const PLAIN: World = {
  tilt: [0, 30],
  roll: [-12, 12],
  fills: [0.5, 0.9],
  distortion: [-0.01, 0.01],
  vignette: [0, 0.12],
  exposure: [-0.8, 0.6],
  cast: [-0.4, 0.4],
  contrast: [0.9, 1.2],
  shoulder: [0.65, 0.9],
  saturation: [1, 1],
  hueTurn: [0, 0],
  noise: [0.002, 0.008],
  blurPx: [0.4, 1.1],
  jpeg: [75, 95],
  lampAngle: [10, 45],
  lampWidth: [8, 30],
  fall: [0, 0.1],
  ambient: [0.35, 0.7],
  mixedLight: [0, 0.03],
  groundL: [48, 84],
  groundChroma: [0, 3],
  groundGrain: [0.005, 0.025],
  groundStreaks: [0, 0],
  clutter: [0, 3],
  zoneL: [15, 92],
  zoneChroma: [0, 48],
  mottle: [0, 0.16],
  wave: [0, 0.015],
  gloss: [0, 0.8],
  rounded: [0, 2],
  thick: [4, 9],
  cardOff: [-0.5, 0.5],
  cardChroma: [0, 0.6],
};

export const OTHER: World = {
  ...PLAIN,
  tilt: [15, 45],
  roll: [-25, 25],
  fills: [0.45, 0.75],
  distortion: [-0.04, 0.04],
  vignette: [0.1, 0.3],
  exposure: [-1.4, 1],
  cast: [-0.7, 0.7],
  contrast: [0.8, 1.4],
  saturation: [0.9, 1.25],
  hueTurn: [-6, 6],
  noise: [0.006, 0.02],
  blurPx: [0.8, 2],
  jpeg: [55, 85],
  lampAngle: [30, 65],
  lampWidth: [1, 6],
  fall: [0.05, 0.3],
  ambient: [0.1, 0.35],
  mixedLight: [0.05, 0.25],
  groundL: [30, 90],
  groundChroma: [6, 28],
  groundGrain: [0.02, 0.08],
  groundStreaks: [0.03, 0.15],
  clutter: [1, 5],
  wave: [0.01, 0.04],
  rounded: [2, 6],
  cardOff: [-2, 2],
  cardChroma: [0, 2.5],
};

/**
 * Cards by the lightness L* of their steps, dark to light: a usual black, 18 % grey and white; and three
 * others.
 */
export const CARDS: readonly (readonly number[])[] = [
  [20.5, 49.5, 95.3],
  [30, 60, 90],
  [39, 62, 85],
  [50, 90],
];

/** Seeds: those below are for building a method; figures that are published come from seeds at or above. */
export const FIGURES_FROM = 1_000_000;
