import { formulaWeight } from './elements';

/**
 * Oxides a glaze is reckoned in, and the part each plays. Which count as fluxes is the
 * usual convention of the unity formula (common practice, no source): the alkalis, the
 * alkaline earths, zinc and lead; colouring oxides are kept apart.
 */
const PARTS = {
  Li2O: 'alkali',
  Na2O: 'alkali',
  K2O: 'alkali',
  MgO: 'earth',
  CaO: 'earth',
  SrO: 'earth',
  BaO: 'earth',
  ZnO: 'earth',
  PbO: 'earth',
  B2O3: 'boron',
  Al2O3: 'alumina',
  SiO2: 'silica',
  P2O5: 'other',
  TiO2: 'other',
  ZrO2: 'other',
  SnO2: 'other',
  Fe2O3: 'colour',
  MnO: 'colour',
  CoO: 'colour',
  CuO: 'colour',
  Cr2O3: 'colour',
  NiO: 'colour',
  V2O5: 'colour',
  Sb2O3: 'colour',
  CdO: 'colour',
  SeO2: 'colour',
  CeO2: 'colour',
  Pr2O3: 'colour',
  Nd2O3: 'colour',
  Er2O3: 'colour',
  Bi2O3: 'other',
  F: 'other',
} as const;

export type Oxide = keyof typeof PARTS;
export type OxidePart = (typeof PARTS)[Oxide];
/** An amount for some oxides: grams, moles or percent as said where it is used. */
export type OxideAmounts = Partial<Record<Oxide, number>>;

/** All oxides in the order in which they are written down. */
export const OXIDES = Object.keys(PARTS) as Oxide[];
export const isOxide = (text: string): text is Oxide => Object.hasOwn(PARTS, text);
export const partOf = (oxide: Oxide): OxidePart => PARTS[oxide];
export const isFlux = (oxide: Oxide): boolean => PARTS[oxide] === 'alkali' || PARTS[oxide] === 'earth';
export const FLUXES = OXIDES.filter(isFlux);

const WEIGHTS = new Map(OXIDES.map((oxide) => [oxide, formulaWeight(oxide)]));

/** Molar mass of an oxide in g/mol. */
export const oxideWeight = (oxide: Oxide): number => WEIGHTS.get(oxide) as number;

/** The sum of some amounts. */
export const total = (amounts: OxideAmounts): number =>
  OXIDES.reduce((sum, oxide) => sum + (amounts[oxide] ?? 0), 0);

/** Every amount changed by a rule; what becomes 0 or was missing is left out. */
export function mapOxides(
  amounts: OxideAmounts,
  rule: (value: number, oxide: Oxide) => number,
): OxideAmounts {
  const mapped: OxideAmounts = {};
  for (const oxide of OXIDES) {
    const value = amounts[oxide];
    if (value === undefined) continue;
    const next = rule(value, oxide);
    if (next !== 0) mapped[oxide] = next;
  }
  return mapped;
}
