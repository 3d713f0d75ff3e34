/**
 * The silica–alumina field of lime–potash porcelain glazes at cone 11 with RO = 0.3 K₂O +
 * 0.7 CaO. After R. T. Stull, Influences of Variable Silica and Alumina on Porcelain Glazes
 * of Constant RO, Trans. Am. Ceram. Soc. 14 (1912). The lines are approximate: written from
 * memory of a printed figure, so only tendencies may be spoken of.
 */
import { coneOrdinal, isCone } from '../cones';
import type { OxideAmounts } from './oxides';

export type FieldName = 'unfused' | 'matt' | 'semi-matt' | 'bright' | 'crazed' | 'devitrified';
export type Point = { alumina: number; silica: number };

const at = (...pairs: [number, number][]): Point[] => pairs.map(([alumina, silica]) => ({ alumina, silica }));

/** Regions as polygons over moles of alumina and silica to one of flux. They do not overlap. */
export const FIELDS: readonly { name: FieldName; outline: readonly Point[] }[] = [
  { name: 'crazed', outline: at([0, 0], [0.35, 1.75], [0.3, 2.2], [0.22, 2.6], [0, 2.6]) },
  { name: 'matt', outline: at([0.35, 1.75], [1, 1.75], [1, 4], [0.75, 3.75]) },
  { name: 'semi-matt', outline: at([0.35, 1.75], [0.75, 3.75], [0.72, 4.7], [0.3, 2.2]) },
  {
    name: 'bright',
    outline: at([0.22, 2.6], [0.3, 2.2], [0.72, 4.7], [0.75, 6.5], [0.6, 6.9], [0.3, 4]),
  },
  { name: 'devitrified', outline: at([0, 2.6], [0.22, 2.6], [0.3, 4], [0.6, 6.9], [0, 6.9]) },
  {
    name: 'unfused',
    outline: at([0.75, 3.75], [1, 4], [1, 8], [0, 8], [0, 6.9], [0.6, 6.9], [0.75, 6.5], [0.72, 4.7]),
  },
];

/** Is the point within the outline? By crossings of a ray towards more alumina. */
export function within(point: Point, outline: readonly Point[]): boolean {
  let inside = false;
  for (let i = 0; i < outline.length; i++) {
    const a = outline[i] as Point;
    const b = outline[(i + 1) % outline.length] as Point;
    if (a.silica > point.silica === b.silica > point.silica) continue;
    const cross = a.alumina + ((point.silica - a.silica) / (b.silica - a.silica)) * (b.alumina - a.alumina);
    if (point.alumina < cross) inside = !inside;
  }
  return inside;
}

const WORDS: Record<FieldName, string> = {
  unfused: 'may stay dry: more silica and alumina than its fluxes take up',
  matt: 'tends to matt: much alumina for its silica',
  'semi-matt': 'tends to satin, between matt and gloss',
  bright: 'tends to a bright gloss',
  crazed: 'little silica and alumina: runs and crazes easily',
  devitrified: 'tends to go milky or crystalline: much silica for its alumina',
};

/** By the ratio of silica to alumina alone (common practice, no source). */
export const ratioTendency = (ratio: number): 'matt' | 'satin' | 'gloss' =>
  ratio <= 5 ? 'matt' : ratio < 7 ? 'satin' : 'gloss';

/** Where a unity formula lies in the field, in words; null outside of what was drawn. */
export function fieldOf(umf: { Al2O3?: number; SiO2?: number }): {
  name: FieldName;
  words: string;
} | null {
  const point = { alumina: umf.Al2O3 ?? 0, silica: umf.SiO2 ?? 0 };
  const field = FIELDS.find(({ outline }) => within(point, outline));
  return field === undefined ? null : { name: field.name, words: WORDS[field.name] };
}

/**
 * Why the field says nothing of a glaze: it was drawn with 0.3 K₂O and 0.7 CaO, without boron, at cone 11.
 * Null where it may speak. How far beside that it still hints is common practice, no source.
 */
export function fieldSilence(umf: OxideAmounts, alkali: number | null, cone: string | null): string | null {
  if ((umf.B2O3 ?? 0) > 0.05) return 'it holds boron, and the field was drawn without';
  if (alkali === null || alkali < 0.2 || alkali > 0.4 || (umf.CaO ?? 0) < 0.4)
    return 'its fluxes are others than the third of alkali and two thirds of lime it was drawn for';
  if (cone !== null && isCone(cone) && coneOrdinal(cone) < coneOrdinal('9'))
    return `it was drawn at cone 11, and this is fired to cone ${cone}`;
  return null;
}
