import { listBodies } from '@/data/catalogue';
import type { Source } from '@/data/database';
import { listMaterials } from '@/data/materials';
import { bodyTestsOf } from '@/data/stock';
import type { RecipeMaterial } from './recipe';

/** Materials in use, as recipes reckon with them. */
export async function recipeMaterials(src: Source): Promise<RecipeMaterial[]> {
  return (await listMaterials(src))
    .filter(({ archived }) => !archived)
    .map(({ id, name, analysis, density, hazards, stockG, pricePerKg }) => ({
      id,
      name,
      analysis,
      density,
      hazards,
      stockG,
      pricePerKg,
    }));
}

/** Bodies whose expansion has been measured or settled on, with the newest figure. */
export async function bodyExpansions(src: Source): Promise<{ name: string; value: number }[]> {
  const found: { name: string; value: number }[] = [];
  for (const body of await listBodies(src)) {
    const test = (await bodyTestsOf(src, body.id)).find(
      ({ kind, value }) => kind === 'expansion' && value !== null,
    );
    if (test?.value != null) found.push({ name: body.name, value: test.value });
  }
  return found;
}
