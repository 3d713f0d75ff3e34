import { percentOf } from '@/core/slurry';
import type { Recipe, RecipeLineFields } from '@/data/recipes';
import type { Mix } from '@/core/designs/terms';

/** A mix that several tiles may share, by its text. */
export const mixKey = (mix: Mix): string =>
  JSON.stringify([
    Object.entries(mix.shares).sort(([a], [b]) => a.localeCompare(b)),
    Object.entries(mix.additions).sort(([a], [b]) => a.localeCompare(b)),
  ]);

/**
 * The recipe of a mix: its corners' recipes in percent, weighed by their shares, and what is
 * added to them in percent of the base. Null when a corner has no recipe.
 */
export function recipeOfMix(mix: Mix, recipes: ReadonlyMap<string, Recipe>): RecipeLineFields[] | null {
  const base = new Map<string, number>();
  const over = new Map<string, number>();
  const add = (to: Map<string, number>, id: string, amount: number): void => {
    to.set(id, (to.get(id) ?? 0) + amount);
  };
  for (const [versionId, share] of Object.entries(mix.shares)) {
    const recipe = recipes.get(versionId);
    if (recipe === undefined) return null;
    const percent = percentOf(recipe.lines);
    recipe.lines.forEach((line, i) =>
      add(line.addition ? over : base, line.materialId, (percent[i]?.percent ?? 0) * share),
    );
  }
  for (const [materialId, percent] of Object.entries(mix.additions)) add(over, materialId, percent);
  const lines = (map: Map<string, number>, addition: boolean): RecipeLineFields[] =>
    [...map].map(([materialId, amount]) => ({
      materialId,
      amount: Number(amount.toFixed(4)),
      addition,
      supply: '',
    }));
  return [...lines(base, false), ...lines(over, true)];
}
