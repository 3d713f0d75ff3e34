import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Link from '@/ui/Link';
import { notFound } from 'next/navigation';
import { formatCone } from '@/core/cones';
import { formatTemperature } from '@/core/units';
import { findFiring, listEvents, listFirings } from '@/data/firings';
import { listWitnesses } from '@/data/witnesses';
import { unitsOf } from '@/data/studio';
import { may, permit } from '@/features/people';
import { CallOff } from '../components/CallOff';
import { ConePacks } from '../components/ConePacks';
import { EditFiring } from '../components/EditFiring';
import { Load } from '../../loading';
import { LoadPlan } from '@/features/loading/rooms/LoadPlan';
import { NextTime } from '../components/NextTime';
import { Progress } from '../components/Progress';
import { RunSection } from '../rooms/RunSection';
import { SinceLastTime } from '../components/SinceLastTime';
import { UnderWay } from '@/features/firelog/rooms/UnderWay';
import { loadOf } from '../../loading/server';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Page, Section } from '@/ui/Page';
import { calendarDay, moment } from '@/ui/time';
import { firingTitle, reachedWords } from '@/core/firing';
import { checkedLoad } from '@/features/loading/server';
import { firingRoom } from '@/features/firelog/server';
import { listKilns, type Kiln } from '@/data/kilns';

export async function FiringPage({ params }: { params: Promise<{ id: string }> }) {
  const { person, studio } = await enter(permit('see records'));
  const { id } = await params;
  const db = database();
  const firing = /^[0-9a-f-]{36}$/.test(id) ? await findFiring(db, id) : null;
  if (firing === null) notFound();
  const kilns = await listKilns(db);
  const kiln = kilns.find((one) => one.id === firing.kilnId) as Kiln;
  const [load, witnesses, events, room, checked, others] = await Promise.all([
    loadOf(db, firing),
    listWitnesses(db, [id]),
    listEvents(db, id),
    firingRoom(db, firing, kiln, studio),
    checkedLoad(db, firing),
    listFirings(db, { kilnId: firing.kilnId, statuses: ['opened'], limit: 40 }),
  ]);
  const cones = witnesses.get(id) ?? [];
  const keeps = may(person, 'keep records');
  const open = keeps && (firing.status === 'planned' || firing.status === 'loaded');
  const waits = firing.status === 'planned' || firing.status === 'loaded';
  const opened = firing.status === 'opened';
  const units = unitsOf(studio);
  const fields = {
    kilnId: firing.kilnId,
    kind: firing.kind,
    targetCone: firing.targetCone,
    atmosphere: firing.atmosphere,
    plannedFor: firing.plannedFor,
    notes: firing.notes,
  };
  const before = others.find(
    (one) => one.id !== id && one.kind === firing.kind && one.targetCone === firing.targetCone,
  );
  const live = firing.status === 'firing' || firing.status === 'cooling';
  const underWay = (
    <UnderWay firing={firing} kiln={kiln} room={room} studio={studio} units={units} edit={keeps} />
  );
  const coneSection = (
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
  );
  return (
    <Page
      title={firingTitle(firing)}
      lead={`${firing.kind} firing, ${firing.targetCone ? `target cone ${formatCone(firing.targetCone)}` : 'no target cone'}, ${firing.atmosphere}, ${calendarDay(firing.plannedFor)}`}
      acts={
        <>
          {opened && (
            <Button component={Link} href={`/opening/${firing.id}`} variant="contained">
              {firing.writtenUpAt ? 'Look at the opening' : 'Write up opening'}
            </Button>
          )}
          {before && !waits && (
            <Button
              component={Link}
              href={`/kilns/compare?a=${before.id}&b=${firing.id}`}
              variant="outlined"
            >
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
      {/* At a kiln that is hot the temperature comes first. */}
      {live && underWay}
      <Section title={opened ? `Reached ${reachedWords(firing)}` : 'On its way'}>
        <Progress
          key={firing.status}
          firingId={firing.id}
          status={firing.status}
          mayMove={keeps}
          crackAt={formatTemperature(studio.crackAtC, units)}
        />
      </Section>
      {opened && underWay}
      {waits && <SinceLastTime before={before ?? null} known={room.known} kiln={kiln} />}
      {opened && coneSection}
      {waits && (
        <>
          <Section title={`Before the lid is closed: ${checked.findings.length} to look at`}>
            <LoadPlan.Checks firingId={firing.id} findings={checked.findings} edit={open} />
          </Section>
          <RunSection firing={firing} kiln={kiln} room={room} units={units} edit={keeps} />
        </>
      )}
      {(waits || load.placed.some(({ shelf }) => shelf !== null)) && (
        <Section title="On the shelves">
          <LoadPlan.Shelves
            firingId={firing.id}
            checked={checked}
            waiting={load.waiting
              .filter(({ suits }) => suits)
              .slice(0, 80)
              .map(({ id: pieceId, code, footprint }) => ({ id: pieceId, code, footprint }))}
            edit={open}
          />
        </Section>
      )}
      <Load
        firingId={firing.id}
        shelves={firing.shelves}
        placed={load.placed}
        waiting={load.waiting}
        open={open}
      />
      {!opened && coneSection}
      {firing.notes !== '' && (
        <Section title="Notes">
          <Typography sx={{ whiteSpace: 'pre-line' }}>{firing.notes}</Typography>
        </Section>
      )}
      {opened && (
        <Section title="For next time">
          {keeps ? (
            <NextTime
              firingId={firing.id}
              nextTime={firing.nextTime}
              energyUsed={firing.energyUsed}
              unit={kiln.energy === 'electric' ? 'kWh' : 'gas units'}
            />
          ) : (
            <Typography sx={{ whiteSpace: 'pre-line' }}>{firing.nextTime || 'Nothing.'}</Typography>
          )}
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
        <Box sx={{ mb: 4, display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          <EditFiring key={firing.revision} start={fields} firing={firing} />
          {waits && <CallOff firingId={firing.id} calledOff={firing.calledOff} />}
        </Box>
      )}
    </Page>
  );
}
