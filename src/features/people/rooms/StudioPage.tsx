import Button from '@mui/material/Button';
import Link from '@/ui/Link';
import { listInvitations, listPeople, listShareLinks } from '@/data/people';
import { listSessions } from '@/data/sessions';
import { may, permit } from '..';
import { Account } from '../components/Account';
import { Devices } from '../components/Devices';
import { PeopleList } from '../components/PeopleList';
import { ShareLinks } from '../components/ShareLinks';
import { StudioForm } from '../components/StudioForm';
import { isEmptyStudio } from '@/data/whole';
import { Phones } from '@/features/device/rooms/Phones';
import { greyCard } from '@/data/frames';
import { GreyCard } from '@/features/frames';
import { WholeStudio } from '@/features/exchange';
import { readHouse } from '@/features/house/server';
import { moment } from '@/ui/time';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { sessionToken } from '@/platform/session';
import { Page, Section } from '@/ui/Page';

export async function StudioPage() {
  const { person, studio } = await enter(permit('see the chart'));
  const [runs, records] = [may(person, 'run the studio'), may(person, 'keep records')];
  const db = database();
  const now = new Date();
  return (
    <Page title={studio.name} lead={`Signed in as ${person.name}, ${person.role}`}>
      <Section title="You">
        <Account />
        <Devices
          sessions={await listSessions(db, person.id, await sessionToken(), now)}
          timeZone={studio.timeZone}
        />
      </Section>
      {records && (
        <Section title="Phones">
          <Phones />
        </Section>
      )}
      {records && (
        <Section title="Grey card" id="grey">
          <GreyCard card={await greyCard(db)} />
        </Section>
      )}
      {records && (
        <Section title="Share links" id="share">
          <ShareLinks links={await listShareLinks(db)} now={now} timeZone={studio.timeZone} />
        </Section>
      )}
      {runs && (
        <>
          <Section title="People">
            <PeopleList
              people={(await listPeople(db)).filter(({ mergedInto }) => mergedInto === null)}
              invitations={await listInvitations(db, now)}
              own={person.id}
              backups={(readHouse()?.backups ?? []).map(({ made }) => moment(made, studio.timeZone))}
            />
          </Section>
          <Section title="Backups">
            <p>One is made every night; each can be tried, carried away as a file, and brought back.</p>
            <Button component={Link} href="/studio/backups" variant="outlined">
              Backups and what went wrong
            </Button>
          </Section>
          <Section title="Records in and out">
            <p>
              Past tests come in from a spreadsheet or from a picture of a wall board, pictures from a folder.
              Everything leaves as CSV tables or as one JSON document with its schema.
            </p>
            <Button component={Link} href="/studio/import" variant="contained">
              Bring in past tests
            </Button>{' '}
            <Button component={Link} href="/studio/board" variant="outlined">
              Bring in a wall board
            </Button>{' '}
            <Button component={Link} href="/studio/pictures" variant="outlined">
              Bring in pictures
            </Button>{' '}
            <Button href="/api/export/csv" variant="outlined">
              All tables as CSV
            </Button>{' '}
            <Button href="/api/export/json" variant="outlined">
              One JSON document
            </Button>{' '}
            <Button href="/api/export/schema">Its schema</Button>
            <p>
              The whole studio, people’s names with it but no passwords, comes into an empty one as it left,
              and is held against its sums.
            </p>
            <WholeStudio empty={await isEmptyStudio(db)} />
            <p>
              A body, coating, kiln or person that is on record twice, as after an import, can be made one.
            </p>
            <Button component={Link} href="/studio/merge" variant="outlined">
              What is on record twice
            </Button>
          </Section>
          <Section title="Settings">
            <StudioForm key={`${studio.name} ${studio.timeZone}`} studio={studio} />
          </Section>
        </>
      )}
    </Page>
  );
}
