/** What the recipes of a stack answer: bounds are rules of thumb. */
import type { OxideAmounts } from '../chemistry';
import { told, type Told } from './told';

/** Facts of the recipe: from oxides in fired mass %, and from names where an oxide does not tell. */
const OXIDES: readonly ((mass: OxideAmounts) => Told | null)[] = [
  ({ Li2O = 0 }) => told('lithia', Li2O > 2 ? 'much' : Li2O > 0.1 ? 'some' : 'none', `Li₂O ${Li2O.toFixed(1)} %`), // prettier-ignore
  ({ ZnO = 0 }) => told('zinc', ZnO > 1 ? 'yes' : 'none', `ZnO ${ZnO.toFixed(1)} %`),
  ({ CaO = 0 }) => told('lime', CaO < 8 ? 'low' : CaO < 12 ? 'middle' : 'high', `CaO ${CaO.toFixed(1)} %`), // prettier-ignore
  ({ MgO = 0 }) => told('magnesia', MgO > 4 ? 'high' : 'low', `MgO ${MgO.toFixed(1)} %`),
  ({ SnO2 = 0 }) => told('tin', SnO2 > 1 ? 'yes' : 'none', `SnO₂ ${SnO2.toFixed(1)} %`),
  ({ Fe2O3 = 0 }) => told('iron-content', Fe2O3 > 2.5 ? 'high' : Fe2O3 > 1.5 ? 'middle' : 'low', `Fe₂O₃ ${Fe2O3.toFixed(1)} %`), // prettier-ignore
  ({ TiO2 = 0, Fe2O3 = 0 }) => told('titania', TiO2 > 0.5 || Fe2O3 > 1 ? 'yes' : 'none', `TiO₂ ${TiO2.toFixed(1)} %, Fe₂O₃ ${Fe2O3.toFixed(1)} %`), // prettier-ignore
];
const silicon = (materials: readonly string[]): Told => {
  const found = materials.find((name) => /silicon carbide/i.test(name));
  return told('silicon-carbide', found ? 'yes' : 'none', found ? `${found} in the recipe` : 'none in the recipe'); // prettier-ignore
};
const ash = (materials: readonly string[]): Told => {
  const found = materials.find((name) => /rutile|bone ash|wood ash/i.test(name));
  return told(
    'ash',
    found ? 'yes' : 'none',
    found ? `${found} in the recipe` : 'none in the recipe',
  );
};
const gasMakers = (materials: readonly string[]): Told => {
  const found = materials.find((name) => /manganese|sulphate|fluor|cryolite/i.test(name));
  return told('gas-makers', found ? 'yes' : 'none', found ? `${found} in the recipe` : 'none in the recipe'); // prettier-ignore
};

/** Facts of what is in the coats; none where recipes or analyses are missing. */
export const readRecipe = ({
  oxides,
  materials,
}: {
  oxides: OxideAmounts | null;
  materials: readonly string[];
}): Told[] => [
  ...(materials.length === 0 ? [] : [silicon(materials), ash(materials), gasMakers(materials)]),
  ...(oxides === null ? [] : OXIDES.flatMap((reading) => reading(oxides) ?? [])),
];
