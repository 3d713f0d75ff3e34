import { listCoatings } from '@/data/catalogue';
import { recipesOf } from '@/data/recipes';
import { permit } from '@/features/people';
import { TargetRoom } from '@/features/store/components/TargetRoom';
import { recipeMaterials } from '@/features/store/server';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Page } from '@/ui/Page';

export const metadata = { title: 'Target to recipe' };

export default async function TargetPage() {
  await enter(permit('keep records'));
  const db = database();
  const coatings = (await listCoatings(db)).filter((one) => !one.archived && !one.trial);
  const recipes = await recipesOf(
    db,
    coatings.flatMap(({ versions }) => versions.at(-1)?.id ?? []),
  );
  return (
    <Page
      title="Target to recipe"
      lead="From a wished-for unity formula and the shelf to a recipe; what cannot be had is named."
    >
      <TargetRoom
        materials={await recipeMaterials(db)}
        coatings={coatings.map(({ id, slug, name, versions }) => ({
          id,
          slug,
          name,
          recipe: recipes.get(versions.at(-1)?.id ?? '') ?? null,
        }))}
      />
    </Page>
  );
}
