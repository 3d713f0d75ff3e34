import type { Source } from '@/data/database';
import { z } from 'zod';
import { listBuckets } from '@/data/buckets';
import { listMaterials } from '@/data/materials';
import { recipesOf } from '@/data/recipes';
import { bodyTestsOf } from '@/data/stock';
import type { RecipeMaterial } from './recipe';
import { listBodies } from '@/data/bodies';

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

/** A bucket by the id in an address, with the recipe it was mixed by; null when there is none. */
export async function bucketOf(src: Source, id: string) {
  const [bucket] = z.uuid().safeParse(id).success ? await listBuckets(src, { id }) : [];
  if (bucket === undefined) return null;
  const recipes = await recipesOf(src, [bucket.versionId]);
  return { bucket, recipe: recipes.get(bucket.versionId) };
}
