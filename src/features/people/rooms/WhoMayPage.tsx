import Button from '@mui/material/Button';
import Link from '@/ui/Link';
import { enter } from '@/platform/access';
import { Page } from '@/ui/Page';
import { DEEDS, permit, whoMay, type Deed } from '../permissions';

const isDeed = (text: string): text is Deed => text in DEEDS;

/** Instead of a page that is not theirs people are told whose it is, and where they may go. */
export async function WhoMayPage({ searchParams }: { searchParams: Promise<{ deed?: string }> }) {
  const { person } = await enter(permit('see the chart'));
  const { deed = '' } = await searchParams;
  return (
    <Page
      title="Not yours to open"
      lead={
        isDeed(deed)
          ? `That is for ${whoMay(deed)}; you are signed in as ${person.name}, a ${person.role}. Ask one of them.`
          : 'That piece belongs to somebody who has not said that others may look at it. Ask its maker.'
      }
    >
      <Button component={Link} href="/chart" variant="contained">
        To the chart
      </Button>{' '}
      {person.role === 'student' && (
        <Button component={Link} href="/mine" variant="outlined">
          My pieces
        </Button>
      )}
    </Page>
  );
}
