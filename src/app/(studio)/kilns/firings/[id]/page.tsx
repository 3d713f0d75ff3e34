import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Link from '@/ui/Link';
import { notFound } from 'next/navigation';
import { formatCone } from '@/core/cones';
import { formatTemperature } from '@/core/units';
import { listKilns } from '@/data/catalogue';
import { findFiring, listEvents } from '@/data/firings';
import { listWitnesses } from '@/data/witnesses';
import { may, permit } from '@/features/people';
import { ConePacks } from '@/features/kilns/components/ConePacks';
import { EditFiring } from '@/features/kilns/components/EditFiring';
import { Load } from '@/features/kilns/components/Load';
import { Progress } from '@/features/kilns/components/Progress';
import { loadOf } from '@/features/kilns/queries';
import { firingTitle, reachedWords } from '@/features/kilns/words';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Page, Section } from '@/ui/Page';
import { calendarDay, moment } from '@/ui/time';

export default async function FiringPage({ params }: { params: Promise<{ id: string }> }) {
  const { person, studio } = await enter(permit('see records'));
  const { id } = await params;
  const db = database();
  const firing = /^[0-9a-f-]{36}$/.test(id) ? await findFiring(db, id) : null;
  if (firing === null) notFound();
  const [load, cones, events, kilns] = [
    await loadOf(db, firing),
    (await listWitnesses(db, [id])).get(id) ?? [],
    await listEvents(db, id),
    await listKilns(db),
  ];
  const keeps = may(person, 'keep records');
  const open = keeps && (firing.status === 'planned' || firing.status === 'loaded');
  const opened = firing.status === 'opened';
  const fields = {
    kilnId: firing.kilnId,
    kind: firing.kind,
    targetCone: firing.targetCone,
    atmosphere: firing.atmosphere,
    plannedFor: firing.plannedFor,
    notes: firing.notes,
  };
  return (
    <Page
      title={firingTitle(firing)}
      lead={`${firing.kind} firing, ${firing.targetCone ? `target cone ${formatCone(firing.targetCone)}` : 'no target cone'}, ${firing.atmosphere}, ${calendarDay(firing.plannedFor)}`}
      acts={
        opened ? (
          <Button component={Link} href={`/opening/${firing.id}`} variant="contained">
            {firing.writtenUpAt ? 'Look at the opening' : 'Write up opening'}
          </Button>
        ) : undefined
      }
    >
      <Section title={opened ? `Reached ${reachedWords(firing)}` : 'On its way'}>
        <Progress
          key={firing.status}
          firingId={firing.id}
          status={firing.status}
          mayMove={keeps}
          crackAt={formatTemperature(studio.crackAtC, {
            temperature: studio.temperatureUnit,
            length: 'mm',
            mass: 'g',
          })}
        />
      </Section>
      <Section title="Witness cones">
        <ConePacks
          key={cones.map((cone) => `${cone.id}${cone.bendDegrees}`).join()}
          firingId={firing.id}
          cones={cones}
          target={firing.targetCone}
          reading={opened}
          edit={keeps}
        />
      </Section>
      <Load
        firingId={firing.id}
        shelves={firing.shelves}
        placed={load.placed}
        waiting={load.waiting}
        open={open}
      />
      {firing.notes !== '' && (
        <Section title="Notes">
          <Typography sx={{ whiteSpace: 'pre-line' }}>{firing.notes}</Typography>
        </Section>
      )}
      <Section title="What happened">
        {events.length === 0 && <Typography>Planned, nothing more yet.</Typography>}
        {events.map((event) => (
          <Typography key={`${event.at.toISOString()}${event.to}`}>
            {moment(event.at, studio.timeZone)}: {event.from} → {event.to}, {event.by}
            {event.reason ? `: “${event.reason}”` : ''}
          </Typography>
        ))}
      </Section>
      {keeps && (
        <EditFiring
          key={firing.revision}
          kilns={kilns}
          start={fields}
          existing={{ id: firing.id, revision: firing.revision }}
        />
      )}
    </Page>
  );
}
