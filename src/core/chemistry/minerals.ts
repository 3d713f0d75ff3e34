/**
 * Materials that ship with the application: theoretical minerals, reckoned from their
 * formulas, and generic materials as they typically are. A studio adds its supplier's own.
 */
import { theoretical, type Analysis } from './analyse';
import type { Hazard } from './hazards';

export type ShippedMaterial = {
  slug: string;
  name: string;
  kind: 'theoretical' | 'typical';
  analysis: Analysis | null;
  hazards: Hazard[];
  density: number | null;
};

const shipped =
  (kind: ShippedMaterial['kind']) =>
  (
    name: string,
    { oxides, loi }: Analysis,
    hazards: Hazard[] = [],
    density: number | null = null,
  ): ShippedMaterial => ({
    slug: name.toLowerCase().replace(/[^a-z]+/g, '-'),
    name,
    kind,
    analysis: { oxides, loi },
    hazards,
    density,
  });

const mineral = shipped('theoretical');

/** Typical analyses in mass %: general handbook figures, written from memory. */
const typical = (
  name: string,
  oxides: Analysis['oxides'],
  loi: number,
  hazards?: Hazard[],
  density?: number | null,
): ShippedMaterial => shipped('typical')(name, { oxides, loi }, hazards, density);

export const MATERIALS: readonly ShippedMaterial[] = [
  mineral('Potash feldspar', theoretical({ K2O: 1, Al2O3: 1, SiO2: 6 }), ['silica dust'], 2.56),
  mineral('Soda feldspar', theoretical({ Na2O: 1, Al2O3: 1, SiO2: 6 }), ['silica dust'], 2.62),
  mineral('Lime feldspar', theoretical({ CaO: 1, Al2O3: 1, SiO2: 2 }), ['silica dust'], 2.74),
  mineral('Nepheline', theoretical({ Na2O: 1, Al2O3: 1, SiO2: 2 }), ['dust'], 2.6),
  mineral('Petalite', theoretical({ Li2O: 1, Al2O3: 1, SiO2: 8 }), ['silica dust', 'lithium'], 2.4),
  mineral('Spodumene', theoretical({ Li2O: 1, Al2O3: 1, SiO2: 4 }), ['silica dust', 'lithium'], 3.15),
  mineral('Kaolin', theoretical({ Al2O3: 1, SiO2: 2 }, { H2O: 2 }), ['silica dust'], 2.6),
  mineral('Calcined kaolin', theoretical({ Al2O3: 1, SiO2: 2 }), ['silica dust'], 2.6),
  mineral('Silica', theoretical({ SiO2: 1 }), ['silica dust'], 2.65),
  mineral('Alumina', theoretical({ Al2O3: 1 }), ['dust'], 3.95),
  mineral('Alumina hydrate', theoretical({ Al2O3: 1 }, { H2O: 3 }), ['dust'], 2.42),
  mineral('Whiting', theoretical({ CaO: 1 }, { CO2: 1 }), ['dust'], 2.71),
  mineral('Dolomite', theoretical({ CaO: 1, MgO: 1 }, { CO2: 2 }), ['dust'], 2.85),
  mineral('Magnesium carbonate', theoretical({ MgO: 1 }, { CO2: 1 }), ['dust'], 3.0),
  mineral('Talc', theoretical({ MgO: 3, SiO2: 4 }, { H2O: 1 }), ['silica dust'], 2.75),
  mineral('Wollastonite', theoretical({ CaO: 1, SiO2: 1 }), ['dust'], 2.9),
  mineral('Barium carbonate', theoretical({ BaO: 1 }, { CO2: 1 }), ['barium', 'not on food ware'], 4.3),
  mineral('Strontium carbonate', theoretical({ SrO: 1 }, { CO2: 1 }), ['dust'], 3.7),
  mineral('Zinc oxide', theoretical({ ZnO: 1 }), ['dust'], 5.6),
  mineral('Lithium carbonate', theoretical({ Li2O: 1 }, { CO2: 1 }), ['lithium', 'not on food ware'], 2.1),
  mineral('Soda ash', theoretical({ Na2O: 1 }, { CO2: 1 }), ['caustic'], 2.5),
  mineral('Pearl ash', theoretical({ K2O: 1 }, { CO2: 1 }), ['caustic'], 2.4),
  mineral('Colemanite', theoretical({ CaO: 2, B2O3: 3 }, { H2O: 5 }), ['dust'], 2.4),
  mineral('Borax', theoretical({ Na2O: 1, B2O3: 2 }, { H2O: 10 }), ['boron'], 1.7),
  mineral('Bone ash', theoretical({ CaO: 3, P2O5: 1 }), ['dust'], 3.1),
  mineral('Titanium dioxide', theoretical({ TiO2: 1 }), ['dust'], 4.2),
  mineral('Tin oxide', theoretical({ SnO2: 1 }), ['dust'], 6.9),
  mineral('Zirconium silicate', theoretical({ ZrO2: 1, SiO2: 1 }), ['silica dust'], 4.6),
  mineral('Red iron oxide', theoretical({ Fe2O3: 1 }), ['dust'], 5.2),
  mineral('Cobalt carbonate', theoretical({ CoO: 1 }, { CO2: 1 }), ['cobalt', 'not on food ware'], 4.1),
  mineral('Cobalt oxide', theoretical({ CoO: 1 }), ['cobalt', 'not on food ware'], 6.4),
  mineral(
    'Copper carbonate',
    // The basic carbonate, CuCO3·Cu(OH)2.
    theoretical({ CuO: 2 }, { CO2: 1, H2O: 1 }),
    ['copper', 'not on food ware'],
    4.0,
  ),
  mineral(
    'Manganese dioxide',
    // It gives off half its oxygen.
    theoretical({ MnO: 1 }, { O2: 0.5 }),
    ['manganese', 'fumes', 'not on food ware'],
    5.0,
  ),
  mineral('Chromium oxide', theoretical({ Cr2O3: 1 }), ['chromium', 'fumes', 'not on food ware'], 5.2),
  mineral('Nickel oxide', theoretical({ NiO: 1 }), ['nickel', 'not on food ware'], 6.7),
  mineral('Rutile', theoretical({ TiO2: 1 }), ['dust'], 4.2),
  // It burns to silica, and gains by that.
  mineral('Silicon carbide', theoretical({ SiO2: 1 }, { C: 1, O2: -1 }), ['dust', 'fumes'], 3.2),
  typical(
    'Ball clay',
    {
      SiO2: 57,
      Al2O3: 27,
      TiO2: 1.2,
      Fe2O3: 1,
      K2O: 2,
      Na2O: 0.3,
      CaO: 0.4,
      MgO: 0.4,
    },
    10.7,
    ['silica dust'],
    2.6,
  ),
  typical(
    'Nepheline syenite',
    { SiO2: 60, Al2O3: 23.5, Na2O: 10.3, K2O: 4.8, CaO: 0.5, Fe2O3: 0.1 },
    0.8,
    ['silica dust'],
    2.6,
  ),
  typical(
    'Soda feldspar, as mined',
    { SiO2: 68.5, Al2O3: 19, Na2O: 7, K2O: 4, CaO: 1, Fe2O3: 0.1 },
    0.4,
    ['silica dust'],
    2.6,
  ),
  typical(
    'Potash feldspar, as mined',
    { SiO2: 67, Al2O3: 18, Na2O: 3, K2O: 11, CaO: 0.4, Fe2O3: 0.1 },
    0.5,
    ['silica dust'],
    2.57,
  ),
  typical(
    'Red clay',
    {
      SiO2: 60,
      Al2O3: 17,
      Fe2O3: 7,
      TiO2: 1,
      K2O: 3.5,
      Na2O: 0.5,
      CaO: 1,
      MgO: 1.5,
    },
    8.5,
    ['silica dust'],
    2.65,
  ),
  typical(
    'Bentonite',
    { SiO2: 60, Al2O3: 20, Fe2O3: 4, MgO: 2.5, CaO: 1.2, Na2O: 2.3, K2O: 0.6 },
    9.4,
    ['silica dust'],
    2.5,
  ),
  typical(
    'Wood ash, mixed and washed',
    {
      SiO2: 30,
      Al2O3: 7,
      Fe2O3: 2.5,
      CaO: 27,
      MgO: 4,
      K2O: 3,
      Na2O: 0.6,
      P2O5: 2.5,
      MnO: 0.6,
    },
    22.8,
    ['caustic', 'dust'],
    2.5,
  ),
  typical(
    'Calcium borate frit',
    { SiO2: 47, Al2O3: 10, B2O3: 22, CaO: 20, Na2O: 0.7, K2O: 0.3 },
    0,
    ['dust'],
    2.6,
  ),
  typical('Soda borosilicate frit', { SiO2: 56, Al2O3: 5, B2O3: 17, CaO: 9, Na2O: 13 }, 0, ['dust'], 2.6),
];
