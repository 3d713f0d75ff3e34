import { recipesOf } from '@/data/recipes';
import { permit } from '@/features/people';
import { TargetRoom } from '../components/TargetRoom';
import { recipeMaterials } from '../server';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Page } from '@/ui/Page';
import { listCoatings } from '@/data/coatings';

export async function TargetPage() {
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
