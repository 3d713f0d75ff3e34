import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Link from '@/ui/Link';
import { notFound } from 'next/navigation';
import { Fragment } from 'react';
import { airWords } from '@/core/atmosphere';
import { formatCone } from '@/core/cones';
import { firingTitle, type FiringStatus } from '@/core/firing';
import { findFiring } from '@/data/firings';
import { permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { ControlInLoad } from '../../control/rooms/ControlInLoad';
import { LoadComplaints } from '../../clinic/rooms/LoadComplaints';
import { Fold, Folds } from '@/ui/Fold';
import { Page, Section } from '@/ui/Page';
import { calendarDay } from '@/ui/time';
import { firingParts, type PartId } from './firing-parts';

/** What stands open at each stage, in this order; the rest is folded under an index. */
const FIRST: Readonly<Record<FiringStatus, readonly PartId[]>> = {
  planned: ['way', 'since last time', 'checks', 'load'],
  loaded: ['checks', 'way', 'since last time', 'load'],
  firing: ['now', 'way', 'diary', 'spoken'],
  cooling: ['now', 'way'],
  opened: ['way', 'cones', 'how', 'next time'],
};
const ORDER: readonly PartId[] = [
  'shelves',
  'now',
  'log',
  'diary',
  'spoken',
  'cones',
  'run',
  'load',
  'how',
  'notes',
  'happened',
  'change',
];

/** A firing: what its stage needs first, the rest folded beneath. */
export async function FiringPage({ params }: { params: Promise<{ id: string }> }) {
  const { person, studio } = await enter(permit('see records'));
  const { id } = await params;
  const db = database();
  const firing = /^[0-9a-f-]{36}$/.test(id) ? await findFiring(db, id) : null;
  if (firing === null) notFound();
  const { parts, before } = await firingParts(db, firing, person, studio);
  const first = FIRST[firing.status];
  const waits = firing.status === 'planned' || firing.status === 'loaded';
  return (
    <Page
      title={firingTitle(firing)}
      lead={`${firing.kind} firing, ${firing.targetCone ? `target cone ${formatCone(firing.targetCone)}` : 'no target cone'}, ${airWords(firing)}, ${calendarDay(firing.plannedFor)}`}
      acts={
        <>
          {firing.status === 'opened' && (
            <Button component={Link} href={`/opening/${firing.id}`} variant="contained">
              {firing.writtenUpAt ? 'Look at the opening' : 'Write up opening'}
            </Button>
          )}
          {firing.status === 'opened' && (
            <Button component={Link} href={`/kilns/firings/${firing.id}/shelf`} variant="outlined">
              A picture of a shelf
            </Button>
          )}
          {(firing.status === 'cooling' || (firing.status === 'opened' && !firing.writtenUpAt)) && (
            <Button component={Link} href={`/kilns/firings/${firing.id}/paper`} variant="outlined">
              On paper
            </Button>
          )}
          {before && !waits && (
            <Button component={Link} href={`/kilns/compare?a=${before.id}&b=${firing.id}`} variant="outlined">
              Compare with {firingTitle(before)}
            </Button>
          )}
        </>
      }
    >
      {firing.calledOff && (
        <Typography role="note" sx={{ fontWeight: 650, mb: 1 }}>
          This firing was called off; its pieces wait again.
        </Typography>
      )}
      {firing.unrecorded && firing.startedAt === null && (
        <Typography role="note" sx={{ mb: 1 }}>
          Nobody wrote this firing down; it is kept for the pieces that came out of it.
        </Typography>
      )}
      {waits && firing.kind !== 'bisque' && <ControlInLoad src={db} firingId={firing.id} />}
      {first.map((part) => {
        const open = parts[part];
        if (open === undefined) return null;
        return open.bare ? (
          <Fragment key={part}>{open.body}</Fragment>
        ) : (
          <Section key={part} title={open.title} id={part}>
            {open.body}
          </Section>
        );
      })}
      {firing.status === 'opened' && <LoadComplaints src={db} firingId={firing.id} />}
      <Folds>
        {ORDER.filter((part) => !first.includes(part)).map((part) => {
          const folded = parts[part];
          return (
            folded !== undefined && (
              <Fold key={part} id={part} title={folded.title} hint={folded.hint}>
                {folded.body}
              </Fold>
            )
          );
        })}
      </Folds>
    </Page>
  );
}
