import { isFlux, mapOxides, oxideWeight, OXIDES, partOf, total } from './oxides';
import type { OxideAmounts } from './oxides';

/** What a material brings: oxides in mass % of the raw material, and what it loses on firing. */
export type Analysis = { oxides: OxideAmounts; loi: number };

/** A line of a recipe: grams or parts, all in one unit. `null`: nobody knows what is in it. */
export type Line = { name: string; amount: number; analysis: Analysis | null };

export type Chemistry = {
  /** Fired mass %, summing to 100. */
  mass: OxideAmounts;
  /** Fired mole %, summing to 100. */
  mole: OxideAmounts;
  /** Moles with the fluxes summing to 1; null when there is no flux. */
  umf: OxideAmounts | null;
  /** Loss on ignition, % of the raw recipe as far as it is known. */
  loi: number;
  /** SiO₂ : Al₂O₃ in moles; null without alumina. */
  silicaAlumina: number | null;
  /** Alkalis : alkaline earths in moles of the unity formula; null without fluxes. */
  alkali: number | null;
  earth: number | null;
  /** Lines whose material has no analysis, and their share of the recipe, 0 … 1. */
  unknown: { names: string[]; share: number };
};

/** Oxides in grams that these lines leave after firing. Amounts must not be negative. */
export function oxideGrams(lines: readonly Line[]): OxideAmounts {
  const grams: OxideAmounts = {};
  for (const line of lines) {
    if (!(line.amount >= 0)) throw new RangeError(`${line.name}: an amount cannot be below 0.`);
    if (line.analysis === null || line.amount === 0) continue;
    for (const oxide of OXIDES) {
      const share = line.analysis.oxides[oxide];
      if (share) grams[oxide] = (grams[oxide] ?? 0) + (line.amount * share) / 100;
    }
  }
  return grams;
}

/**
 * The chemistry of a recipe. Lines of unknown composition are named and left out; null
 * when nothing is left to reckon with. Throws a RangeError on a negative amount.
 */
export function analyse(lines: readonly Line[]): Chemistry | null {
  const grams = oxideGrams(lines);
  const sum = total(grams);
  if (sum === 0) return null;
  const moles = mapOxides(grams, (value, oxide) => value / oxideWeight(oxide));
  const all = total(moles);
  const flux = OXIDES.reduce((n, oxide) => n + (isFlux(oxide) ? (moles[oxide] ?? 0) : 0), 0);
  const umf = flux === 0 ? null : mapOxides(moles, (value) => value / flux);
  const part = (name: 'alkali' | 'earth'): number | null =>
    umf === null
      ? null
      : OXIDES.reduce((n, oxide) => n + (partOf(oxide) === name ? (umf[oxide] ?? 0) : 0), 0);
  const raw = lines.reduce((n, line) => n + line.amount, 0);
  const known = lines.filter((line) => line.analysis !== null);
  const knownRaw = known.reduce((n, line) => n + line.amount, 0);
  const lost = known.reduce((n, line) => n + (line.amount * (line.analysis?.loi ?? 0)) / 100, 0);
  const unknown = lines.filter((line) => line.analysis === null && line.amount > 0);
  return {
    mass: mapOxides(grams, (value) => (100 * value) / sum),
    mole: mapOxides(moles, (value) => (100 * value) / all),
    umf,
    loi: knownRaw === 0 ? 0 : (100 * lost) / knownRaw,
    silicaAlumina: moles.Al2O3 ? (moles.SiO2 ?? 0) / moles.Al2O3 : null,
    alkali: part('alkali'),
    earth: part('earth'),
    unknown: {
      names: unknown.map((line) => line.name),
      share: raw === 0 ? 0 : unknown.reduce((n, line) => n + line.amount, 0) / raw,
    },
  };
}

/**
 * A theoretical material's analysis from the moles of what it is made of; water, carbon dioxide,
 * sulphur trioxide, carbon and oxygen leave as loss on ignition. Moles below 0 are taken up from the
 * air, and the loss is then a gain: silicon carbide burns to more silica than it weighed.
 */
export function theoretical(
  moles: OxideAmounts,
  volatile: { H2O?: number; CO2?: number; SO3?: number; C?: number; O2?: number } = {},
): Analysis & { formulaWeight: number } {
  const grams = mapOxides(moles, (value, oxide) => value * oxideWeight(oxide));
  const lost =
    (volatile.H2O ?? 0) * 18.015 +
    (volatile.CO2 ?? 0) * 44.009 +
    (volatile.SO3 ?? 0) * 80.057 +
    (volatile.C ?? 0) * 12.011 +
    (volatile.O2 ?? 0) * 31.998;
  const weight = total(grams) + lost;
  return {
    oxides: mapOxides(grams, (value) => (100 * value) / weight),
    loi: (100 * lost) / weight,
    formulaWeight: weight,
  };
}
