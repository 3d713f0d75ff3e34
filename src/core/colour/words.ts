/** Words for a measured colour: plain ones that people use, and that can be compared with theirs. */
import { deltaE } from './difference';
import { linearOfLab, oklabOfLinear, type Lab } from './spaces';

type Hue = { to: number; name: string; dark?: string; pale?: string; darkBelow?: number };

/**
 * Hues in OKLab, degrees, each to where the next begins; another name where it is dark (OKLab lightness below
 * `darkBelow`) or pale. From memory, no source.
 */
const HUES: readonly Hue[] = [
  { to: 12, name: 'pink', pale: 'pink', dark: 'plum', darkBelow: 0.52 },
  { to: 38, name: 'red', pale: 'pink', dark: 'maroon', darkBelow: 0.4 },
  { to: 66, name: 'orange', pale: 'peach', dark: 'brown', darkBelow: 0.66 },
  { to: 88, name: 'amber', pale: 'buff', dark: 'brown', darkBelow: 0.66 },
  { to: 122, name: 'yellow', pale: 'straw', dark: 'olive', darkBelow: 0.68 },
  { to: 168, name: 'green' },
  { to: 212, name: 'turquoise', dark: 'teal', darkBelow: 0.6 },
  { to: 286, name: 'blue', dark: 'navy', darkBelow: 0.32 },
  { to: 332, name: 'purple', pale: 'lilac' },
  { to: 361, name: 'pink', pale: 'pink', dark: 'plum', darkBelow: 0.52 },
];

/** OKLab chroma below which there is no hue to name, and below which it is only a tint of grey. */
const NEUTRAL = 0.02;
const TINT = 0.045;
/** OKLab chroma above which a light colour is not pale. */
const STRONG = 0.11;

/** Greys by L*. */
function grey(l: number): string {
  if (l > 88) return 'white';
  if (l > 72) return 'pale grey';
  if (l > 42) return 'grey';
  return l > 20 ? 'dark grey' : 'black';
}

/** Names that a grey is tinted with. */
const TINTS: Readonly<Record<string, string>> = { amber: 'yellow', turquoise: 'blue-green' };

function tinted(l: number, hue: number, name: string): string {
  const warm = hue > 30 && hue < 115;
  if (warm && l > 84) return 'cream';
  if (warm && hue < 100) return l > 70 ? 'buff' : l > 35 ? 'greyish brown' : 'dark brown';
  // “pale green grey”: how dark it is comes first.
  return grey(l).replace(/\w+$/, (base) => `${TINTS[name] ?? name} ${base}`);
}

/** One colour in words, as "dark blue" or "pale green grey". */
export function colourWord(lab: Lab): string {
  const [light, a, b] = oklabOfLinear(linearOfLab(lab));
  const chroma = Math.hypot(a, b);
  if (light < 0.2 || chroma < NEUTRAL) return grey(lab[0]);
  const hue = ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360;
  const { name, dark, pale, darkBelow = 0.45 } = HUES.find(({ to }) => hue < to)!;
  if (chroma < TINT) return tinted(lab[0], hue, name);
  if (light < darkBelow && dark !== undefined) return light < 0.4 && darkBelow > 0.45 ? `dark ${dark}` : dark;
  if (light > 0.74 && chroma < STRONG) return pale ?? `pale ${name}`;
  return light < 0.45 ? `dark ${name}` : name;
}

/** A second colour that takes less than this is not named. */
const NAMED = 0.22;
/** Colours nearer than this are one to the eye that names them. */
const ALIKE = 12;

/**
 * A zone’s colours in words: the largest, and a second one where it is plainly another: "amber, dark brown".
 */
export function colourWords(parts: readonly { lab: Lab; share: number }[]): string {
  const [first, ...others] = parts;
  if (first === undefined) return '';
  const word = colourWord(first.lab);
  const second = others.find(
    (one) => one.share >= NAMED && deltaE(one.lab, first.lab) > ALIKE && colourWord(one.lab) !== word,
  );
  return second === undefined ? word : `${word}, ${colourWord(second.lab)}`;
}

/** "−5", and never "−0": a coordinate of a colour as it is shown. */
export const labFigure = (value: number): string => String(Math.round(value) + 0).replace('-', '−');

/** "L* 30 a* 5 b* −20". */
export const labWords = ([l, a, b]: Lab): string =>
  `L* ${labFigure(l)} a* ${labFigure(a)} b* ${labFigure(b)}`;
