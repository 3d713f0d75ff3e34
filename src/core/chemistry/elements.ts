/** Standard atomic weights, abridged to five digits. Source: IUPAC, Standard Atomic Weights 2021. */
export const ATOMIC_WEIGHTS = {
  H: 1.008,
  Li: 6.94,
  B: 10.81,
  C: 12.011,
  N: 14.007,
  O: 15.999,
  F: 18.998,
  Na: 22.99,
  Mg: 24.305,
  Al: 26.982,
  Si: 28.085,
  P: 30.974,
  S: 32.06,
  Cl: 35.45,
  K: 39.098,
  Ca: 40.078,
  Ti: 47.867,
  V: 50.942,
  Cr: 51.996,
  Mn: 54.938,
  Fe: 55.845,
  Co: 58.933,
  Ni: 58.693,
  Cu: 63.546,
  Zn: 65.38,
  Se: 78.971,
  Sr: 87.62,
  Zr: 91.224,
  Cd: 112.41,
  Sn: 118.71,
  Sb: 121.76,
  Ba: 137.33,
  Ce: 140.12,
  Pr: 140.91,
  Nd: 144.24,
  Er: 167.26,
  Pb: 207.2,
  Bi: 208.98,
} as const satisfies Record<string, number>;

type Element = keyof typeof ATOMIC_WEIGHTS;

/**
 * Weight of a formula in g/mol. Parts are joined by "·" or "." and may be multiplied
 * ("CaO·CO2", "K2O·Al2O3·6SiO2", "Al2(Si2O5)(OH)4"). Throws a RangeError on anything it cannot read.
 */
export function formulaWeight(formula: string): number {
  return formula
    .replace(/\s/g, '')
    .split(/[·.]/)
    .reduce((sum, part) => {
      const [, times, rest] = /^(\d*)(.+)$/.exec(part) ?? [];
      if (rest === undefined) throw new RangeError(`“${formula}” is no formula.`);
      return sum + Number(times === '' ? 1 : times) * groupWeight(rest, formula);
    }, 0);
}

function groupWeight(text: string, formula: string): number {
  let rest = text;
  // Innermost brackets first; what they weigh is carried as a number in their place.
  const weights: number[] = [];
  for (;;) {
    const bracket = /\(([^()]+)\)(\d*)/.exec(rest);
    if (bracket === null) break;
    weights.push(
      flatWeight(bracket[1] as string, weights, formula) * Number(bracket[2] === '' ? 1 : bracket[2]),
    );
    rest = rest.replace(bracket[0], `@${weights.length - 1};`);
  }
  return flatWeight(rest, weights, formula);
}

function flatWeight(text: string, groups: readonly number[], formula: string): number {
  let sum = 0;
  let read = 0;
  for (const match of text.matchAll(/@(\d+);|([A-Z][a-z]?)(\d*)/g)) {
    if (match.index !== read) break;
    const weight =
      match[1] === undefined
        ? (ATOMIC_WEIGHTS[match[2] as Element] as number | undefined)
        : groups[Number(match[1])];
    if (weight === undefined) break;
    sum += weight * Number(match[3] || 1);
    read += match[0].length;
  }
  if (read !== text.length || text === '') throw new RangeError(`“${formula}” is no formula.`);
  return sum;
}
