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
