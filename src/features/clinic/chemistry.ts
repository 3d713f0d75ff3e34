/** What is in the coats of a case. */
import { analyse, expansion, type OxideAmounts } from '@/core/chemistry';
import type { Recipe } from '@/core/diagnosis';
import type { Source } from '@/data/database';
import { linesOf } from '../store/server';
import { keptMaterials, keptRecipes } from './kept';

/** Of several coats the most of each oxide: whichever holds it brings it. */
function together(all: readonly OxideAmounts[]): OxideAmounts {
  const found: OxideAmounts = {};
  for (const mass of all)
    for (const [oxide, percent] of Object.entries(mass) as [keyof OxideAmounts, number][])
      found[oxide] = Math.max(found[oxide] ?? 0, percent);
  return found;
}

export type CoatChemistry = {
  missing: string[];
  oxides: OxideAmounts | null;
  appen: number | null;
  recipes: Recipe[];
};

/** The chemistry of coating versions; what has no analysis is named. */
export async function chemistryOf(
  src: Source,
  versions: readonly { id: string; name: string }[],
): Promise<CoatChemistry> {
  const ids = versions.map(({ id }) => id);
  const [recipes, materials] = await Promise.all([keptRecipes(src, ids), keptMaterials(src)]);
  const missing: string[] = [];
  const found = versions.flatMap(({ id, name }) => {
    const recipe = recipes.get(id);
    if (recipe === undefined) {
      missing.push(`${name} has no recipe here: nothing is known of what is in it.`);
      return [];
    }
    const chemistry = analyse(linesOf(recipe, materials));
    if (chemistry === null || chemistry.unknown.share >= 0.1) {
      missing.push(`${name}: ${chemistry?.unknown.names.join(', ') || 'its materials'} has no analysis.`);
      return [];
    }
    return [chemistry];
  });
  // What is not in a recipe is said only where every recipe is there.
  const whole = ids.every((id) => recipes.has(id));
  return {
    missing,
    oxides: found.length === 0 ? null : together(found.map(({ mass }) => mass)),
    appen: found.length === 0 ? null : Math.max(...found.map((one) => expansion(one).appen)),
    recipes: whole ? ids.map((id) => recipes.get(id)!.lines) : [],
  };
}
