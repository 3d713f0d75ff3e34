import { notFound } from 'next/navigation';
import { recipesOf } from '@/data/recipes';
import { permit } from '@/features/people';
import { MixRoom } from '../components/MixRoom';
import { recipeMaterials } from '../server';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Page } from '@/ui/Page';
import { listCoatings } from '@/data/coatings';

export async function MixPage({
  params,
  searchParams,
}: {
  params: Promise<{ slug: string }>;
  searchParams: Promise<{ version?: string }>;
}) {
  await enter(permit('keep records'));
  const { slug } = await params;
  const { version: no } = await searchParams;
  const db = database();
  const coating = (await listCoatings(db)).find((one) => one.slug === slug);
  const version = coating?.versions.find((one) => String(one.no) === no) ?? coating?.versions.at(-1);
  if (coating === undefined || version === undefined) notFound();
  const recipe = (await recipesOf(db, [version.id])).get(version.id);
  if (recipe === undefined) notFound();
  return (
    <Page title={`Mix ${coating.name}`} lead={`Version ${version.no}`}>
      <MixRoom
        coating={{ name: coating.name, slug }}
        version={{ id: version.id, no: version.no }}
        recipe={recipe}
        materials={await recipeMaterials(db)}
      />
    </Page>
  );
}
