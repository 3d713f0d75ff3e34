import { listFormCards, tileStock } from '@/data/stock';
import { permit } from '@/features/people';
import { Calculators } from '../components/Calculators';
import { FormCards } from '../components/FormCards';
import { StockRoom } from '../components/StockRoom';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Page, Section } from '@/ui/Page';
import { listBodies } from '@/data/bodies';

export async function StockPage() {
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
