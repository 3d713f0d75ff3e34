import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { causeOf, complaintOf } from '@/core/diagnosis';
import { listCases, type ClinicCase } from '@/data/clinic';
import { listKilns } from '@/data/kilns';
import { permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Line, Lines } from '@/ui/Lines';
import Link from '@/ui/Link';
import { Nothing, Page, Section } from '@/ui/Page';
import { moment } from '@/ui/time';
import { maySeeCase } from '../who-may';
import { Starts } from '../components/Starts';
import { subjectOf } from '../subject';

const named = ({ complaints }: ClinicCase): string =>
  complaints.map((id) => complaintOf(id)?.name ?? id).join(' and ') || 'Colour off';

/** Of what it is: a piece, a thing of the store, or a whole load. */
const whereOf = ({ code, subject, firing }: ClinicCase): string => {
  if (code !== null) return ` on ${code}`;
  if (subject !== null) return `: ${subject.name}`;
  return firing === null ? '' : `, the whole load of ${firing}`;
};

export async function ClinicPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  const { person, studio } = await enter(permit('see the chart'));
  const db = database();
  const [all, kilns] = await Promise.all([listCases(db), listKilns(db)]);
  const about = await subjectOf(db, await searchParams);
  const cases = all.filter((one) => maySeeCase(person, one));
  const [open, closed] = [
    cases.filter((one) => one.closedAt === null),
    cases.filter((one) => one.closedAt !== null),
  ];
  const lines = (list: readonly ClinicCase[], words: (one: ClinicCase) => string) => (
    <Lines>
      {list.map((one) => (
        <Line
          key={one.id}
          figure={`Case ${one.no}`}
          act={
            <Button component={Link} href={`/clinic/cases/${one.id}`} variant="outlined">
              {one.closedAt === null ? 'Go on' : 'Look'}
            </Button>
          }
        >
          <Typography sx={{ fontWeight: 650 }}>
            {named(one)}
            {whereOf(one)}
          </Typography>
          <Typography>{words(one)}</Typography>
        </Line>
      ))}
    </Lines>
  );
  return (
    <Page
      title="Clinic"
      lead="From a fault to its likely causes, the next question and the next test."
      acts={
        <>
          <Button component={Link} href="/clinic/effects" variant="outlined">
            How to get it
          </Button>
          <Button component={Link} href="/clinic/drill" variant="outlined">
            The drill
          </Button>
          <Button component={Link} href="/clinic/knows" variant="outlined">
            What the clinic knows
          </Button>
        </>
      }
    >
      <Section title="Open cases">
        {open.length === 0 ? (
          <Nothing>
            Nothing is open. “Why?” on the page of a piece asks of what was written up there, with all that
            the records say; below, of what you hold in your hand.
          </Nothing>
        ) : (
          lines(
            open,
            (one) =>
              `asked by ${one.openedByName}, ${moment(one.openedAt, studio.timeZone)}${one.questionNo === null ? '' : `; waits for question ${one.questionNo}`}`,
          )
        )}
      </Section>
      {about !== null && (
        <Typography role="status" sx={{ fontWeight: 650, mt: 3 }}>
          What is wrong with {about.name}? Touch what it looks like.
        </Typography>
      )}
      <Starts fuel={kilns.some(({ energy }) => energy !== 'electric')} of={about?.of ?? null} />
      {closed.length > 0 && (
        <Section title="Closed">
          {lines(closed.slice(0, 20), (one) =>
            one.turnedOut === null || one.turnedOut.length === 0
              ? 'none of the causes that are known'
              : one.turnedOut.map((id) => causeOf(id)?.name ?? id).join('; '),
          )}
        </Section>
      )}
    </Page>
  );
}
