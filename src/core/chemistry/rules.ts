/**
 * Rules of thumb about a glaze's composition, each with its kind of source. They say where a recipe
 * leaves the usual; they forbid nothing.
 */
import { coneOrdinal, isCone } from '../cones';
import type { Chemistry } from './analyse';

export type Rule = {
  says: string;
  source: 'common practice, no source' | 'handbook limit formulas, from memory';
};

const PRACTICE = 'common practice, no source';
const LIMITS = 'handbook limit formulas, from memory';

const two = (value: number): string => value.toFixed(2);

/** Usual moles to one of flux, by the cone that a glaze is fired to: alumina, silica, boron. */
const USUAL: readonly {
  from: string;
  to: string;
  alumina: [number, number];
  silica: [number, number];
  boron: [number, number];
}[] = [
  { from: '06', to: '02', alumina: [0.1, 0.45], silica: [1.4, 3.2], boron: [0.3, 0.8] },
  { from: '1', to: '4', alumina: [0.2, 0.45], silica: [1.8, 3.6], boron: [0.15, 0.5] },
  { from: '5', to: '7', alumina: [0.25, 0.5], silica: [2.2, 4.2], boron: [0.05, 0.35] },
  { from: '8', to: '11', alumina: [0.3, 0.65], silica: [2.8, 5.5], boron: [0, 0.2] },
];

/** More of these additions than so much, % of the base, mostly turns metallic, dry or blistered. */
const CEILINGS: readonly { name: RegExp; most: number }[] = [
  { name: /cobalt carbonate/i, most: 2 },
  { name: /cobalt oxide/i, most: 1.5 },
  { name: /copper carbonate/i, most: 6 },
  { name: /copper oxide/i, most: 4 },
  { name: /chromium oxide/i, most: 3 },
  { name: /manganese/i, most: 6 },
  { name: /nickel/i, most: 3 },
  { name: /iron/i, most: 12 },
  { name: /rutile|titania/i, most: 10 },
  { name: /tin oxide/i, most: 10 },
];

/** What a composition, its additions in % of the base, and its cone, leave of the usual. */
export function rulesOfThumb(
  chemistry: Pick<Chemistry, 'umf' | 'alkali' | 'earth'>,
  additions: readonly { name: string; percent: number }[],
  cone: string | null,
): Rule[] {
  const rules: Rule[] = [];
  const { umf, alkali, earth } = chemistry;
  if (alkali !== null && earth !== null && alkali > 0.4)
    rules.push({
      says: `Alkalis to earths ${two(alkali)} : ${two(earth)}: about 0.3 : 0.7 wears and leaches less.`,
      source: PRACTICE,
    });
  const at = cone === null || !isCone(cone) ? null : coneOrdinal(cone);
  const usual = USUAL.find(({ from, to }) => at !== null && at >= coneOrdinal(from) && at <= coneOrdinal(to));
  if (umf !== null && usual !== undefined)
    for (const [name, oxide, [low, high]] of [
      ['Alumina', umf.Al2O3 ?? 0, usual.alumina],
      ['Silica', umf.SiO2 ?? 0, usual.silica],
      ['Boron', umf.B2O3 ?? 0, usual.boron],
    ] as const)
      if (oxide < low || oxide > high)
        rules.push({
          says: `${name} ${two(oxide)} to one of flux; at cone ${cone} it is usually ${two(low)} to ${two(high)}.`,
          source: LIMITS,
        });
  for (const { name, percent } of additions) {
    const ceiling = CEILINGS.find((one) => one.name.test(name));
    if (ceiling !== undefined && percent > ceiling.most)
      rules.push({
        says: `${name} ${Number(percent.toFixed(1))} %: above about ${ceiling.most} % it mostly turns metallic, dry or blistered.`,
        source: PRACTICE,
      });
  }
  return rules;
}
