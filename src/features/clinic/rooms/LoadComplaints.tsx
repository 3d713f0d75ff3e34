import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { listCases } from '@/data/clinic';
import type { Source } from '@/data/database';
import { Line, Lines } from '@/ui/Lines';
import Link from '@/ui/Link';
import { Section } from '@/ui/Page';
import { OpenFiringCase } from '../components/OpenFiringCase';
import { proposalsFor } from '../queries';

/** What unrelated stacks of a load share, and the way to ask why; nothing where they share nothing. */
export async function LoadComplaints({ src, firingId }: { src: Source; firingId: string }) {
  const [shared, cases] = await Promise.all([
    proposalsFor(src, firingId),
    listCases(src, { firingId, open: true }),
  ]);
  const open = cases.find(({ scope }) => scope === 'firing');
  const another = (
    <Button component={Link} href={`/clinic?firing=${firingId}`}>
      Something is wrong with the whole load …
    </Button>
  );
  if (shared.length === 0 && open === undefined) return another;
  return (
    <Section title="What the whole load shares">
      <Lines>
        {shared.map((one) => (
          <Line
            key={one.sign}
            figure={`${one.with} of ${one.of}`}
            act={
              open === undefined ? (
                <OpenFiringCase firingId={firingId} complaints={one.complaints} />
              ) : (
                <Button component={Link} href={`/clinic/cases/${open.id}`} variant="outlined">
                  Case {open.no}
                </Button>
              )
            }
          >
            <Typography sx={{ fontWeight: 650 }}>{one.name}: unrelated stacks share it</Typography>
            <Typography variant="body2">
              {one.others === 0
                ? 'There is no other firing to compare yet.'
                : `In ${one.fewer} of ${one.others} other firings a smaller part showed it: look at the firing, not at the glazes.`}
            </Typography>
          </Line>
        ))}
      </Lines>
      {another}
    </Section>
  );
}
