import { notFound } from 'next/navigation';
import { listMaterials } from '@/data/materials';
import { permit } from '@/features/people';
import { MaterialForm } from '../components/MaterialForm';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Page } from '@/ui/Page';

const KINDS = {
  theoretical: 'Reckoned from its formula: what is dug or ground is never quite that.',
  typical: 'A typical analysis, from general handbook figures. Your supplier’s own is better.',
  own: 'The studio’s own figures.',
};

export async function MaterialPage({ params }: { params: Promise<{ slug: string }> }) {
  await enter(permit('keep records'));
  const { slug } = await params;
  const material = (await listMaterials(database())).find((one) => one.slug === slug) ?? null;
  if (material === null && slug !== 'new') notFound();
  return (
    <Page
      title={material?.name ?? 'A new material'}
      lead={material === null ? 'Its analysis stands on the supplier’s data sheet.' : KINDS[material.kind]}
    >
      <MaterialForm material={material} />
    </Page>
  );
}
