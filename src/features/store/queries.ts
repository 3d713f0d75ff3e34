import type { Source } from '@/data/database';
import { z } from 'zod';
import { listBuckets } from '@/data/buckets';
import { listMaterials } from '@/data/materials';
import { recipesOf } from '@/data/recipes';
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

/** A bucket by the id in an address, with the recipe it was mixed by; null when there is none. */
export async function bucketOf(src: Source, id: string) {
  const [bucket] = z.uuid().safeParse(id).success ? await listBuckets(src, { id }) : [];
  if (bucket === undefined) return null;
  const recipes = await recipesOf(src, [bucket.versionId]);
  return { bucket, recipe: recipes.get(bucket.versionId) };
}
