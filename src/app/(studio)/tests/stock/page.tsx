import { listBodies } from '@/data/catalogue';
import { listFormCards, tileStock } from '@/data/stock';
import { permit } from '@/features/people';
import { Calculators } from '@/features/questions/components/Calculators';
import { FormCards } from '@/features/questions/components/FormCards';
import { StockRoom } from '@/features/questions/components/StockRoom';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Page, Section } from '@/ui/Page';

export const metadata = { title: 'Tile stock' };

export default async function StockPage() {
  await enter(permit('keep records'));
  const db = database();
  const bodies = (await listBodies(db)).filter(({ archived }) => !archived);
  return (
    <Page title="Tile stock" lead="Blanks by body, form and faces, and the arithmetic of clay.">
      <StockRoom
        stock={await tileStock(db, new Date())}
        bodies={bodies.map(({ id, name }) => ({ id, name }))}
      />
      <Section title="Form cards">
        <FormCards cards={await listFormCards(db)} />
      </Section>
      <Section title="Reckon">
        <Calculators />
      </Section>
    </Page>
  );
}
