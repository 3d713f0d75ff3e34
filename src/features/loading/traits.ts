/** What a recipe says of a coating: does it give off chrome, or take it up? */
import type { CoatingTrait } from '@/core/load/check-terms';
import type { Source } from '@/data/database';
import { listMaterials } from '@/data/materials';
import { recipesOf } from '@/data/recipes';

/** Percent of a colourant or opacifier from which it counts. Common practice, no source. */
const CHROME_FROM = 0.05;
const TIN_FROM = 3;

/** What a recipe's materials say of a coating, beside what the studio says. */
export async function traitsByVersion(
  src: Source,
  versionIds: readonly string[],
): Promise<Map<string, CoatingTrait[]>> {
  const [recipes, materials] = await Promise.all([recipesOf(src, versionIds), listMaterials(src)]);
  const analysis = new Map(materials.map(({ id, analysis: one }) => [id, one]));
  const found = new Map<string, CoatingTrait[]>();
  for (const [versionId, recipe] of recipes) {
    const amount = (oxide: 'Cr2O3' | 'SnO2'): number =>
      recipe.lines.reduce(
        (sum, line) => sum + line.amount * ((analysis.get(line.materialId)?.oxides[oxide] ?? 0) / 100),
        0,
      );
    const base = recipe.lines.reduce((sum, line) => sum + (line.addition ? 0 : line.amount), 0);
    const percent = (oxide: 'Cr2O3' | 'SnO2'): number => (100 * amount(oxide)) / (base || 100);
    found.set(versionId, [
      ...(percent('Cr2O3') >= CHROME_FROM ? ['chrome' as const] : []),
      ...(percent('SnO2') >= TIN_FROM ? ['tin white' as const] : []),
    ]);
  }
  return found;
}
