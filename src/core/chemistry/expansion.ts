import { mapOxides, OXIDES, total } from './oxides';
import type { OxideAmounts } from './oxides';

/**
 * Factors for linear expansion near 20–400 °C, in 10⁻⁶/K for each percent. Written from
 * memory of the published tables (A. A. Appen 1949; S. English and W. E. S. Turner 1927 and
 * 1929; A. Winkelmann and O. Schott 1894, with Mayer and Havas's additions); silica and
 * boron of Appen's are rules, below.
 */
const APPEN_MOLE: OxideAmounts = {
  Li2O: 0.27,
  Na2O: 0.395,
  K2O: 0.465,
  MgO: 0.06,
  CaO: 0.13,
  SrO: 0.16,
  BaO: 0.2,
  ZnO: 0.05,
  PbO: 0.13,
  Al2O3: -0.03,
  TiO2: 0.03,
  ZrO2: -0.06,
  SnO2: -0.045,
  Fe2O3: 0.055,
  MnO: 0.105,
  CoO: 0.05,
  NiO: 0.05,
  CuO: 0.03,
  P2O5: 0.14,
  Sb2O3: 0.075,
  CdO: 0.115,
};
const ENGLISH_TURNER_MASS: OxideAmounts = {
  Na2O: 0.432,
  K2O: 0.39,
  MgO: 0.045,
  CaO: 0.163,
  BaO: 0.14,
  ZnO: 0.07,
  PbO: 0.106,
  B2O3: -0.0653,
  Al2O3: 0.014,
  SiO2: 0.005,
  ZrO2: 0.023,
};
const WINKELMANN_SCHOTT_MASS_CUBIC: OxideAmounts = {
  Li2O: 0.2,
  Na2O: 1,
  K2O: 0.85,
  MgO: 0.01,
  CaO: 0.5,
  BaO: 0.3,
  ZnO: 0.18,
  PbO: 0.3,
  B2O3: 0.01,
  Al2O3: 0.5,
  SiO2: 0.08,
  P2O5: 0.2,
  TiO2: 0.41,
  ZrO2: 0.21,
  SnO2: 0.2,
  Fe2O3: 0.4,
  MnO: 0.22,
  CoO: 0.44,
  NiO: 0.4,
  CuO: 0.22,
  Cr2O3: 0.51,
  Sb2O3: 0.36,
};

const weigh = (amounts: OxideAmounts, factors: OxideAmounts): number =>
  OXIDES.reduce((sum, oxide) => sum + (amounts[oxide] ?? 0) * (factors[oxide] ?? 0), 0);

/** Silica loosens as it prevails: 0.038 up to 67 mole %, falling by 0.001 a percent above. */
const appenSilica = (percent: number): number => 0.105 - 0.001 * Math.max(67, percent);

/** Boron by how many spare modifiers there are for each of it (ψ), between −0.05 and −0.0125. */
function appenBoron(mole: OxideAmounts): number {
  const of = (...names: (keyof OxideAmounts)[]): number =>
    names.reduce((sum, name) => sum + (mole[name] ?? 0), 0);
  const boron = mole.B2O3 ?? 0;
  if (boron === 0) return 0;
  const psi =
    (of('Na2O', 'K2O', 'BaO') +
      0.7 * of('CaO', 'SrO', 'CdO', 'PbO') +
      0.3 * of('Li2O', 'MgO', 'ZnO') -
      of('Al2O3')) /
    boron;
  return (12.5 * (4 - Math.min(4, Math.max(1, psi))) - 50) / 1000;
}

/** Linear expansion in 10⁻⁶/K by three methods; `covered` is the share of the glaze each has a factor for. */
export type Expansion = {
  appen: number;
  englishTurner: number;
  winkelmannSchott: number;
  covered: { appen: number; englishTurner: number; winkelmannSchott: number };
};

/**
 * Expansion from fired composition, three ways side by side. They agree with a measured
 * soda-lime glass within 15 %: only differences between related glazes are to be trusted.
 */
export function expansion(glaze: { mass: OxideAmounts; mole: OxideAmounts }): Expansion {
  const { mass, mole } = glaze;
  const covered = (amounts: OxideAmounts, factors: OxideAmounts): number =>
    total(mapOxides(amounts, (value, oxide) => (oxide in factors ? value : 0))) / 100;
  return {
    appen:
      weigh(mole, APPEN_MOLE) +
      (mole.SiO2 ?? 0) * appenSilica(mole.SiO2 ?? 0) +
      (mole.B2O3 ?? 0) * appenBoron(mole),
    englishTurner: weigh(mass, ENGLISH_TURNER_MASS),
    winkelmannSchott: weigh(mass, WINKELMANN_SCHOTT_MASS_CUBIC) / 3,
    covered: {
      appen: covered(mole, { ...APPEN_MOLE, SiO2: 1, B2O3: 1 }),
      englishTurner: covered(mass, ENGLISH_TURNER_MASS),
      winkelmannSchott: covered(mass, WINKELMANN_SCHOTT_MASS_CUBIC),
    },
  };
}

/**
 * Where each method's factors hold: they were found on silicate glasses of usual silica with enough
 * flux (bounds from memory of the published series). Outside the figure is no more than a number:
 * of vitreous silica Winkelmann and Schott's would make 2.7, where 0.55 is measured.
 */
export type Holds = { appen: boolean; englishTurner: boolean; winkelmannSchott: boolean };

/** A method that has no factor for more than this of a glaze does not speak of it, %. */
const MISSING = 3;

export function expansionHolds(
  glaze: { mass: OxideAmounts; mole: OxideAmounts },
  covered = expansion(glaze).covered,
): Holds {
  const silica = { mass: glaze.mass.SiO2 ?? 0, mole: glaze.mole.SiO2 ?? 0 };
  const between = (value: number, low: number, high: number): boolean => value >= low && value <= high;
  const has = (share: number): boolean => 100 * (1 - share) <= MISSING;
  return {
    appen: between(silica.mole, 45, 80) && has(covered.appen),
    englishTurner: between(silica.mass, 45, 77) && has(covered.englishTurner),
    winkelmannSchott: between(silica.mass, 40, 76) && has(covered.winkelmannSchott),
  };
}

export type Fit = {
  /** Glaze minus body, 10⁻⁶/K. */
  difference: number;
  tendency: 'shivering' | 'tight' | 'fits' | 'near crazing' | 'crazing';
  remedies: { change: string; moves: 'down' | 'up' }[];
};

/**
 * How a glaze sits on a body: a glaze that shrinks more than its body is pulled apart and
 * crazes, one that shrinks much less is pushed off. Bounds in 10⁻⁶/K are rough (common
 * practice, no source); the body's figure is to be measured or learned from known glazes.
 */
export function fit(glaze: number, body: number): Fit {
  const difference = glaze - body;
  const tendency =
    difference > 0.5
      ? 'crazing'
      : difference > 0
        ? 'near crazing'
        : difference > -1
          ? 'fits'
          : difference > -2
            ? 'tight'
            : 'shivering';
  const down: Fit['remedies'] = [
    { change: 'more silica, with a little kaolin so that the melt stays as it is', moves: 'down' },
    { change: 'boron or magnesia in place of soda and potash', moves: 'down' },
    { change: 'a thinner coat, or a body with more free silica', moves: 'down' },
  ];
  const up: Fit['remedies'] = [
    { change: 'less silica', moves: 'up' },
    { change: 'soda or potash feldspar in place of lime and magnesia', moves: 'up' },
  ];
  return {
    difference,
    tendency,
    remedies: difference > 0 ? down : difference < -1 ? up : [],
  };
}
