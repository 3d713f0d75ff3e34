import type { Analysis, Line } from '@/core/chemistry';
import type { Recipe } from '@/data/recipes';

/** What the recipe page needs of a material. */
export type RecipeMaterial = {
  id: string;
  name: string;
  analysis: Analysis | null;
  density: number | null;
  hazards: string[];
  stockG: number | null;
  pricePerKg: number | null;
};

/** A kept recipe as lines to reckon with. */
export function linesOf(recipe: Recipe, materials: readonly RecipeMaterial[]): Line[] {
  const byId = new Map(materials.map((one) => [one.id, one]));
  return recipe.lines.map((line) => ({
    name: line.name,
    amount: line.amount,
    analysis: byId.get(line.materialId)?.analysis ?? null,
  }));
}
