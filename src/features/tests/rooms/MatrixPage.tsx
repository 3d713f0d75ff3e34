import Button from '@mui/material/Button';
import Link from '@/ui/Link';
import { permit } from '@/features/people';
import { MatrixForm } from '../components/MatrixForm';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Nothing, Page } from '@/ui/Page';
import { today } from '@/ui/time';
import { makeChoices } from '../../pieces/server';

export async function MatrixPage() {
  const { studio } = await enter(permit('keep records'));
  const { bodies, coatings } = await makeChoices(database());
  return (
    <Page
      title="Every base under every over"
      wide
      lead="The whole set of a board in one act, with its controls."
    >
      {bodies.length === 0 || coatings.length === 0 ? (
        <Nothing
          act={
            <Button component={Link} href="/store" variant="contained">
              To the store
            </Button>
          }
        >
          A matrix needs a body and coatings: add them to the store first.
        </Nothing>
      ) : (
        <MatrixForm bodies={bodies} coatings={coatings} today={today(studio.timeZone)} />
      )}
    </Page>
  );
}
