/** What the recipes of a stack answer: bounds are rules of thumb. */
import { oxideWeight, type Oxide, type OxideAmounts } from '../chemistry';
import { told, type Told } from './told';

/** Facts of the recipe: from oxides in fired mass %, and from names where an oxide does not tell. */
const OXIDES: readonly ((mass: OxideAmounts) => Told | null)[] = [
  ({ Li2O = 0 }) =>
    told('lithia', Li2O > 2 ? 'much' : Li2O > 0.1 ? 'some' : 'none', `Li₂O ${Li2O.toFixed(1)} %`),
  ({ ZnO = 0 }) => told('zinc', ZnO > 1 ? 'yes' : 'none', `ZnO ${ZnO.toFixed(1)} %`),
  ({ CaO = 0 }) => told('lime', CaO < 8 ? 'low' : CaO < 12 ? 'middle' : 'high', `CaO ${CaO.toFixed(1)} %`),
  ({ MgO = 0 }) => told('magnesia', MgO > 4 ? 'high' : 'low', `MgO ${MgO.toFixed(1)} %`),
  ({ SnO2 = 0 }) => told('tin', SnO2 > 1 ? 'yes' : 'none', `SnO₂ ${SnO2.toFixed(1)} %`),
  ({ Fe2O3 = 0 }) =>
    told(
      'iron-content',
      Fe2O3 > 2.5 ? 'high' : Fe2O3 > 1.5 ? 'middle' : 'low',
      `Fe₂O₃ ${Fe2O3.toFixed(1)} %`,
    ),
  ({ TiO2 = 0, Fe2O3 = 0 }) =>
    told(
      'titania',
      TiO2 > 0.5 || Fe2O3 > 1 ? 'yes' : 'none',
      `TiO₂ ${TiO2.toFixed(1)} %, Fe₂O₃ ${Fe2O3.toFixed(1)} %`,
    ),
];
const mol = (mass: OxideAmounts, ...oxides: readonly Oxide[]): number =>
  oxides.reduce((sum, oxide) => sum + (mass[oxide] ?? 0) / oxideWeight(oxide), 0);

/** What rules and mixes of oxides answer: bounds are rules of thumb, from memory. */
const MIXES: readonly ((mass: OxideAmounts) => Told)[] = [
  (mass) => {
    const { Al2O3 = 0, MgO = 0, SnO2 = 0, ZrO2 = 0 } = mass;
    const words = `SnO₂ and ZrO₂ ${(SnO2 + ZrO2).toFixed(1)} %, Al₂O₃ ${Al2O3.toFixed(1)} %, MgO ${MgO.toFixed(1)} %`;
    return told('stiff', SnO2 + ZrO2 > 5 || Al2O3 > 18 || MgO > 5 ? 'yes' : 'no', words);
  },
  (mass) => {
    const ratio = mol(mass, 'SiO2') / Math.max(1e-6, mol(mass, 'Al2O3'));
    const words = `${ratio.toFixed(1)} to 1 by molecules, B₂O₃ ${(mass.B2O3 ?? 0).toFixed(1)} %`;
    return told('ratio', ratio <= 5 && (mass.B2O3 ?? 0) < 4 ? 'matt' : 'other', words);
  },
  ({ B2O3 = 0, CaO = 0, Al2O3 = 0 }) => {
    const words = `B₂O₃ ${B2O3.toFixed(1)} %, CaO ${CaO.toFixed(1)} %, Al₂O₃ ${Al2O3.toFixed(1)} %`;
    if (B2O3 > 10 && CaO > 8 && Al2O3 < 10) return told('boron', 'two-glass', words);
    return told('boron', B2O3 > 1.5 ? 'some' : 'little', words);
  },
  ({ TiO2 = 0, ZnO = 0, CuO = 0, MnO = 0 }) =>
    told(
      'opacifier',
      TiO2 > 4 || ZnO > 5 || CuO > 4 || MnO > 5 ? 'high' : 'low',
      `TiO₂ ${TiO2.toFixed(1)} %, ZnO ${ZnO.toFixed(1)} %, CuO ${CuO.toFixed(1)} %, MnO ${MnO.toFixed(1)} %`,
    ),
  ({ CuO = 0, MnO = 0, CoO = 0 }) =>
    told(
      'colourant',
      CuO > 4 || MnO > 8 ? 'heavy' : CuO > 1 || MnO > 2 || CoO > 1.5 ? 'middle' : 'little',
      `CuO ${CuO.toFixed(1)} %, MnO ${MnO.toFixed(1)} %, CoO ${CoO.toFixed(1)} %`,
    ),
  (mass) => {
    const [lime, alkali] = [mol(mass, 'CaO'), mol(mass, 'Na2O', 'K2O', 'Li2O')];
    const rest = mol(mass, 'MgO', 'ZnO', 'BaO', 'SrO');
    const most = Math.max(lime, alkali, rest);
    return told(
      'base',
      most === lime ? 'lime' : most === alkali ? 'alkali' : 'other',
      `of the fluxes lime is ${Math.round((100 * lime) / Math.max(1e-9, lime + alkali + rest))} in 100 molecules`,
    );
  },
];

/** A recipe as it is weighed out. */
export type Recipe = readonly { name: string; amount: number; addition: boolean }[];

/** Percent of the base that materials of a name make up; of several coats the most. */
const share = (recipes: readonly Recipe[], name: RegExp, but?: RegExp): number =>
  Math.max(
    0,
    ...recipes.map((lines) => {
      const base = lines.reduce((sum, { amount, addition }) => sum + (addition ? 0 : amount), 0);
      const own = lines.filter((line) => name.test(line.name) && but?.test(line.name) !== true);
      return (100 * own.reduce((sum, { amount }) => sum + amount, 0)) / (base || 100);
    }),
  );

const names =
  (fact: string, pattern: RegExp) =>
  (recipes: readonly Recipe[]): Told => {
    const found = recipes.flat().find(({ name }) => pattern.test(name));
    return told(fact, found ? 'yes' : 'none', found ? `${found.name} in the recipe` : 'none in the recipe');
  };

const CLAY = /\bclay\b|kaolin|bentonite/i;
const CALCINED = /calcined/i;

const NAMED: readonly ((recipes: readonly Recipe[]) => Told)[] = [
  names('silicon-carbide', /silicon carbide/i),
  names('ash', /rutile|bone ash|wood ash/i),
  names('gas-makers', /manganese|sulphate|fluor|cryolite/i),
  (recipes) => {
    const clay = share(recipes, CLAY, CALCINED);
    const light = share(recipes, /zinc oxide|light magnesium|bone ash/i, CALCINED);
    return told(
      'shrinking',
      clay > 25 || light > 3 ? 'yes' : 'no',
      `plastic clay ${Math.round(clay)} % of the base`,
    );
  },
  (recipes) => {
    const soda = share(recipes, /soda ash|washing soda|sodium carbonate/i);
    return told('soda', soda > 3 ? 'rich' : 'low', `soda ash ${Math.round(soda)} %`);
  },
];

/** Facts of what is in the coats; none where recipes or analyses are missing. */
export const readRecipe = ({
  oxides,
  recipes,
}: {
  oxides: OxideAmounts | null;
  recipes: readonly Recipe[];
}): Told[] => [
  ...(recipes.length === 0 ? [] : NAMED.map((reading) => reading(recipes))),
  ...(oxides === null ? [] : OXIDES.flatMap((reading) => reading(oxides) ?? [])),
  ...(oxides === null ? [] : MIXES.map((reading) => reading(oxides))),
];
