/**
 * How the demo studio's glazes behave: what a stack on a ground fires to, so that records and pictures agree.
 */
import { colourWord, labOfLinear, LINEAR } from '../src/core/colour';
import type { SeenSign } from '../src/core/looks';
import type { Surface } from '../src/core/signs';
import type { StackEntry } from '../src/core/zones';
import type { Random } from './random';

export type Rgb = readonly [number, number, number];

type Character = {
  thin: Rgb;
  thick: Rgb;
  dark: Rgb;
  surface: Surface;
  opacity: number;
  flow: number;
  mottle: number;
  breaks: number;
};

const C = (
  thin: Rgb,
  thick: Rgb,
  dark: Rgb,
  surface: Surface,
  opacity: number,
  flow: number,
  mottle: number,
  breaks: number,
): Character => ({ thin, thick, dark, surface, opacity, flow, mottle, breaks });

const CHARACTERS: Record<string, Character> = {
  'yard-clear': C([214, 210, 200], [222, 224, 220], [92, 68, 56], 'gloss', 0.16, 0.3, 0.1, 0.1),
  tarn: C([176, 190, 176], [142, 178, 166], [96, 112, 96], 'gloss', 0.55, 0.35, 0.16, 0.35),
  pitch: C([74, 48, 36], [30, 26, 26], [26, 23, 23], 'gloss', 0.95, 0.3, 0.12, 0.75),
  gull: C([226, 222, 212], [243, 241, 236], [206, 196, 184], 'satin', 0.92, 0.12, 0.08, 0.25),
  ember: C([104, 132, 104], [134, 52, 46], [92, 40, 36], 'gloss', 0.9, 0.4, 0.5, 0.5),
  'slack-tide': C([136, 128, 104], [84, 122, 168], [74, 100, 146], 'gloss', 0.9, 0.75, 0.6, 0.7),
  snowmelt: C([208, 204, 194], [222, 224, 218], [176, 166, 152], 'matt', 0.85, 0.08, 0.14, 0.3),
  barnacle: C([172, 164, 142], [184, 178, 160], [128, 116, 100], 'dry', 0.95, 0.05, 0.6, 0.1),
  rosehip: C([206, 164, 164], [188, 104, 122], [150, 92, 100], 'gloss', 0.85, 0.28, 0.15, 0.35),
  'ash-lane': C([166, 156, 108], [122, 126, 78], [92, 92, 54], 'gloss', 0.8, 0.6, 0.7, 0.5),
  cinder: C([206, 150, 104], [222, 212, 196], [164, 110, 78], 'satin', 0.85, 0.15, 0.55, 0.6),
  foxglove: C([176, 160, 176], [140, 112, 150], [98, 76, 104], 'satin', 0.8, 0.2, 0.2, 0.3),
  'hull-wash': C([92, 108, 150], [38, 52, 104], [36, 40, 66], 'dry', 0.7, 0, 0.3, 0.2),
  'rust-wash': C([140, 88, 56], [86, 46, 30], [60, 36, 26], 'dry', 0.7, 0, 0.3, 0.2),
  damson: C([112, 84, 120], [72, 44, 80], [56, 40, 60], 'matt', 0.9, 0, 0.1, 0.1),
  moss: C([122, 138, 92], [84, 104, 56], [70, 80, 50], 'matt', 0.9, 0, 0.1, 0.1),
};

export type Fate = {
  colour: Rgb;
  edge: Rgb;
  surface: Surface;
  opacity: number;
  mottle: number;
  breaks: number;
  movementMm: number;
  signs: SeenSign[];
  words: string;
};

export type Circumstance = {
  body: string;
  dark: boolean;
  heat: number;
  reduction: number;
  underReduced: boolean;
  seconds: number;
  slipOnDry: boolean;
  besideRosehip: boolean;
  versionOf: (slug: string) => number;
};

const mix = (a: Rgb, b: Rgb, share: number): Rgb =>
  [0, 1, 2].map((i) => a[i]! * (1 - share) + b[i]! * share) as unknown as Rgb;
const sign = (id: string, severity: 1 | 2 | 3, wanted = false): SeenSign => ({
  sign: id,
  severity,
  wanted,
});

const coatsOf = (entry: StackEntry): number =>
  Number(/×(\d+)/.exec(entry.amount)?.[1] ?? 1) +
  (entry.amount.includes('heavy') ? 0.8 : entry.amount.includes('thin') ? -0.4 : 0);

/** What a stack on a ground becomes. `heat` is cones past the glaze's middle: more of it runs more. */
export function fateOf(stack: readonly StackEntry[], ground: Rgb, c: Circumstance, random: Random): Fate {
  let colour: Rgb = ground;
  let flow = 0;
  let top: Character | null = null;
  const signs = new Map<string, SeenSign>();
  const add = (one: SeenSign): void => void signs.set(one.sign, one);
  for (const entry of stack) {
    const own = CHARACTERS[entry.coat.slug] ?? CHARACTERS['yard-clear']!;
    const coats = coatsOf(entry);
    let fired =
      c.dark && top === null
        ? mix(own.dark, own.thick, 0.25)
        : mix(own.thin, own.thick, Math.min(1, 0.35 + 0.3 * coats));
    fired = reduce(entry.coat.slug, fired, c);
    colour = mix(colour, fired, Math.min(0.97, own.opacity * (0.66 + 0.2 * coats)));
    flow += own.flow * coats;
    top = own;
  }
  const slugs = stack.map((entry) => entry.coat.slug);
  const over = slugs.at(-1) ?? '';
  const under = slugs.slice(0, -1);
  const thick = stack.reduce((sum, entry) => sum + coatsOf(entry), 0);
  if (over === 'slack-tide' && under.includes('pitch')) flow += 1.1;
  if (slugs.includes('gull') && under.length > 0) flow *= 0.8;
  let movementMm = Math.max(
    0,
    Math.round((flow - 0.75) * 5 * (1 + 0.35 * c.heat) + random.between(-0.8, 0.8)),
  );
  if (under.length === 0 && slugs[0] !== 'slack-tide') movementMm = Math.min(movementMm, 2);
  if (movementMm >= 8) add(sign('running', movementMm >= 14 ? 3 : 2));
  let surface: Surface = top?.surface ?? 'dry';
  if (stack.length === 0) surface = 'dry';
  if (slugs.includes('ember') && stack.some((entry) => entry.coat.slug === 'ember' && coatsOf(entry) >= 2))
    add(sign('pit', 2));
  if (over === 'barnacle') add(sign('crater', 2, true));
  else if (under.includes('barnacle')) add(sign('froth', 2, true));
  if (over === 'cinder' && under.length > 0) add(sign('blister', random.chance(0.5) ? 3 : 2));
  if (c.body === 'eider' && (over === 'yard-clear' || (over === 'foxglove' && c.versionOf('foxglove') < 3)))
    add(sign('crazing', c.versionOf('foxglove') === 2 ? 1 : 2));
  if (over === 'gull' && under.some((slug) => ['pitch', 'snowmelt'].includes(slug)) && random.chance(0.35))
    add(sign('crawling', random.chance(0.5) ? 2 : 1));
  if (over === 'snowmelt' && thick > 2 && random.chance(0.3)) add(sign('pinhole', 1));
  if (over === 'yard-clear' && thick >= 2.5) add(sign('cloudy', 1));
  if (c.slipOnDry) add(sign('lifting', 2));
  if (c.besideRosehip && slugs.includes('gull')) {
    add(sign('blush', 1));
    colour = mix(colour, [222, 158, 164], 0.3);
  }
  if (c.underReduced && (over === 'tarn' || over === 'ember')) {
    add(sign('off-colour', 2));
    colour = mix(colour, over === 'tarn' ? [168, 168, 104] : [112, 138, 104], 0.6);
  }
  if (over === 'slack-tide' || over === 'ash-lane') add(sign('mottling', 1, true));
  if (over === 'pitch' && under.length === 0) add(sign('breaking', 1, true));
  if (over === 'cinder' && under.length === 0 && c.reduction > 0.5 && random.chance(0.4))
    add(sign('smoke', 1, true));
  // The story of the bucket: held long in a thick bucket, Tarn over Gull goes matt.
  if (over === 'tarn' && under.includes('gull') && c.seconds >= 8) surface = 'matt';
  if (c.heat < -0.7 && surface === 'gloss') surface = 'satin';
  const edge =
    top === null
      ? ground
      : mix(colour, over === 'pitch' ? [126, 72, 40] : over === 'slack-tide' ? [170, 142, 92] : ground, 0.75);
  const jitter = (): number => random.between(-5, 5);
  return {
    colour: [colour[0] + jitter(), colour[1] + jitter(), colour[2] + jitter()],
    edge,
    surface,
    opacity: top?.opacity ?? 0,
    mottle: top?.mottle ?? 0.05,
    breaks: top?.breaks ?? 0,
    movementMm,
    signs: [...signs.values()],
    words: said(colour),
  };
}

function reduce(slug: string, colour: Rgb, c: Circumstance): Rgb {
  if (c.reduction < 0.5) return colour;
  if (slug === 'tarn') return mix(colour, [122, 168, 170], 0.6);
  if (slug === 'ember') return mix(colour, [138, 26, 28], 0.6);
  if (slug === 'rosehip') return mix(colour, [150, 146, 140], 0.7);
  return mix(colour, [colour[0] * 0.92, colour[1] * 0.9, colour[2] * 0.88], 0.6);
}

/**
 * A colour as people would say it: by the names that the application gives what it measures, so that the two
 * agree.
 */
function said([r, g, b]: Rgb): string {
  const linear = (v: number): number => LINEAR[Math.round(v)]!;
  return colourWord(labOfLinear([linear(r), linear(g), linear(b)]));
}
