/** Colours in words, as far as they can be compared before pictures are measured. */

/** Names that people give, and the plain colours they lie among. From memory. */
const PLAIN: Record<string, readonly string[]> = {
  white: ['white'],
  cream: ['white', 'yellow'],
  ivory: ['white', 'yellow'],
  bone: ['white'],
  grey: ['grey'],
  gray: ['grey'],
  silver: ['grey'],
  charcoal: ['grey', 'black'],
  black: ['black'],
  tenmoku: ['black', 'brown'],
  brown: ['brown'],
  tan: ['brown', 'yellow'],
  buff: ['brown', 'yellow'],
  honey: ['brown', 'yellow'],
  amber: ['brown', 'yellow', 'orange'],
  caramel: ['brown'],
  toast: ['brown', 'orange'],
  rust: ['brown', 'red', 'orange'],
  iron: ['brown', 'red'],
  persimmon: ['orange', 'red'],
  red: ['red'],
  oxblood: ['red'],
  maroon: ['red', 'brown'],
  pink: ['pink', 'red'],
  peach: ['pink', 'orange'],
  orange: ['orange'],
  straw: ['yellow', 'white'],
  yellow: ['yellow'],
  gold: ['yellow', 'brown'],
  green: ['green'],
  olive: ['green', 'brown', 'yellow'],
  moss: ['green'],
  celadon: ['green', 'blue'],
  jade: ['green'],
  turquoise: ['blue', 'green'],
  teal: ['blue', 'green'],
  aqua: ['blue', 'green'],
  blue: ['blue'],
  navy: ['blue'],
  cobalt: ['blue'],
  indigo: ['blue', 'purple'],
  purple: ['purple'],
  violet: ['purple'],
  lilac: ['purple', 'pink'],
  lavender: ['purple'],
  plum: ['purple', 'red'],
  mauve: ['purple', 'pink'],
};

/** The plain colours that words name; none when they name no colour that is known here. */
export function plainColours(words: string): string[] {
  const found = new Set<string>();
  for (const word of words.toLowerCase().split(/[^a-z]+/))
    for (const colour of PLAIN[word] ?? PLAIN[word.replace(/ish$/, '')] ?? []) found.add(colour);
  return [...found].sort();
}

/** Names that are dark, and pale, without saying so; said shades besides. From memory. */
const DARK = /\b(dark|deep|black|navy|indigo|plum|maroon|oxblood|charcoal|tenmoku)\b/;
const PALE = /\b(pale|light|white|ivory|bone|cream|buff|straw|peach|lilac|lavender)\b/;

type Shade = 'dark' | 'pale' | null;
const shadeOf = (words: string): Shade => (DARK.test(words) ? 'dark' : PALE.test(words) ? 'pale' : null);

/** Of two shades: alike, or one of them said and the other not, or opposed. */
const shadeAlike = (a: Shade, b: Shade): number => (a === b ? 1 : a === null || b === null ? 0.75 : 0.5);

/**
 * How well words of a colour answer those that are looked for, 0 to 1: 1 where they say just that, less by
 * plain colours and shades that differ, 0 where they share no plain colour. Of several colours, set apart by
 * commas, the best counts. The parts are chosen, no source: they only put answers into an order.
 */
export function colourLikeness(words: string, asked: string): number {
  const [want, wanted] = [asked.toLowerCase().trim(), plainColours(asked)];
  const parts = words
    .toLowerCase()
    .split(',')
    .map((part) => part.trim());
  return Math.max(
    ...parts.map((part) => {
      if (part === want) return 1;
      const own = plainColours(part);
      const shared = wanted.filter((one) => own.includes(one)).length;
      const all = new Set([...wanted, ...own]).size;
      return all === 0 ? 0 : (0.95 * shadeAlike(shadeOf(part), shadeOf(want)) * shared) / all;
    }),
  );
}
