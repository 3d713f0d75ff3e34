import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { BENT_MEANS } from '@/core/cones';
import { firingTitle, reachedWords } from '@/core/firing';
import { count, formatTemperature } from '@/core/units';
import type { Source } from '@/data/database';
import { listEvents, listFirings, type Firing } from '@/data/firings';
import { listKilns, type Kiln } from '@/data/kilns';
import type { Person } from '@/data/people';
import { unitsOf, type Studio } from '@/data/studio';
import { listSounds } from '@/data/sounds';
import { listWitnesses } from '@/data/witnesses';
import { firingRoom } from '@/features/firelog/server';
import { Diary, LogTools } from '@/features/firelog/rooms/LogTools';
import { UnderWay } from '@/features/firelog/rooms/UnderWay';
import { LoadPlan } from '@/features/loading/rooms/LoadPlan';
import { checkedLoad } from '@/features/loading/server';
import { may } from '@/features/people';
import { SpeakHere } from '../../sounds';
import { Sounds } from '../../sounds/rooms/Sounds';
import { moment } from '@/ui/time';
import { Load } from '../../loading';
import { loadOf } from '../../loading/server';
import { CallOff } from '../components/CallOff';
import { ConePacks } from '../components/ConePacks';
import { EditFiring } from '../components/EditFiring';
import { HowItWas } from '../components/HowItWas';
import { NextTime } from '../components/NextTime';
import { Progress } from '../components/Progress';
import { SinceLastTime } from '../components/SinceLastTime';
import { RunSection } from './RunSection';

export type PartId =
  | 'way'
  | 'now'
  | 'log'
  | 'diary'
  | 'spoken'
  | 'cones'
  | 'since last time'
  | 'run'
  | 'checks'
  | 'load'
  | 'shelves'
  | 'how'
  | 'next time'
  | 'notes'
  | 'happened'
  | 'change';

/** A part of a firing's page; `bare` where it brings its own headings. */
export type Part = { title: string; hint?: string; body: ReactNode; bare?: boolean };

/** Everything that a firing's page can show at its stage, and the firing it is compared with. */
export async function firingParts(
  src: Source,
  firing: Firing,
  person: Person,
  studio: Studio,
): Promise<{ parts: Partial<Record<PartId, Part>>; before: Firing | null }> {
  const kiln = (await listKilns(src)).find((one) => one.id === firing.kilnId) as Kiln;
  const [load, witnesses, events, room, checked, others, spoken] = await Promise.all([
    loadOf(src, firing),
    listWitnesses(src, [firing.id]),
    listEvents(src, firing.id),
    firingRoom(src, firing, kiln, studio),
    checkedLoad(src, firing),
    listFirings(src, { kilnId: firing.kilnId, statuses: ['opened'], limit: 40 }),
    listSounds(src, { firingId: firing.id }),
  ]);
  const cones = witnesses.get(firing.id) ?? [];
  const edit = may(person, 'keep records');
  const units = unitsOf(studio);
  const waits = firing.status === 'planned' || firing.status === 'loaded';
  const opened = firing.status === 'opened';
  const open = edit && waits;
  const before =
    others.find(
      (one) => one.id !== firing.id && one.kind === firing.kind && one.targetCone === firing.targetCone,
    ) ?? null;
  // Only where every piece is on the plan does it say how full the kiln is.
  const planned =
    checked.full !== null && checked.items.length > 0 && checked.items.every(({ shelf }) => shelf !== null);
  const log = { firing, kiln, room, studio, units, edit };
  const parts: Partial<Record<PartId, Part>> = {
    way: {
      title: opened ? `Reached ${reachedWords(firing)}` : 'On its way',
      body: (
        <Progress
          key={firing.status}
          firingId={firing.id}
          status={firing.status}
          mayMove={edit}
          crackAt={formatTemperature(studio.crackAtC, units)}
        />
      ),
    },
    cones: {
      title: 'Witness cones',
      hint: cones.length === 0 ? 'none set' : count(cones.length, 'cone'),
      body: (
        <>
          <ConePacks
            key={cones.map((cone) => `${cone.id}${cone.bendDegrees}`).join()}
            firingId={firing.id}
            cones={cones}
            target={firing.targetCone}
            reading={opened}
            byLog={firing.coneKnown === 'by log'}
            edit={edit}
          />
          {opened && (
            <Typography variant="body2" color="text.secondary">
              {BENT_MEANS}
            </Typography>
          )}
        </>
      ),
    },
    load: {
      title: 'The load',
      hint: count(load.placed.length, 'piece'),
      bare: true,
      body: (
        <Load
          firingId={firing.id}
          shelves={firing.shelves}
          placed={load.placed}
          waiting={load.waiting}
          open={open}
        />
      ),
    },
  };
  if (events.length > 0)
    parts.happened = {
      title: 'What happened',
      hint: count(events.length, 'step'),
      body: events.map((event) => (
        <Typography key={`${event.at.toISOString()}${event.to}`}>
          {moment(event.at, studio.timeZone)}: {event.from} → {event.to}, {event.by}
          {event.reason ? `: “${event.reason}”` : ''}
        </Typography>
      )),
    };
  if (!waits) {
    parts.now = {
      title: opened ? 'Its log' : 'Now',
      hint: count(room.readings, 'reading'),
      bare: !opened,
      body: <UnderWay {...log} />,
    };
    parts.log = { title: 'Log: files, paper, corrections', body: <LogTools {...log} /> };
    parts.diary = {
      title: 'Diary',
      hint: room.entries.length === 0 ? 'empty' : count(room.entries.length, 'line'),
      body: <Diary {...log} />,
    };
    parts.spoken = {
      title: 'Spoken',
      hint: spoken.length === 0 ? 'nothing' : count(spoken.length, 'spoken note'),
      body: (
        <>
          <Sounds sounds={spoken} timeZone={studio.timeZone} writes={edit} of />
          {edit && (
            <SpeakHere
              of={{
                pieceId: null,
                firingId: firing.id,
                label: firingTitle(firing),
                about: `firing/${firing.id}`,
              }}
            />
          )}
        </>
      ),
    };
    if (edit)
      parts.how = {
        title: 'How it was: full, and its air',
        hint: firing.fullness ?? '',
        body: (
          <HowItWas
            firingId={firing.id}
            fullness={firing.fullness}
            shelfAir={firing.shelfAir}
            atmosphere={firing.atmosphere}
            shelves={firing.shelves}
            stoodOn={planned ? checked.full!.area : null}
          />
        ),
      };
  } else {
    parts.checks = {
      title: `Before the lid is closed: ${checked.findings.length} to look at`,
      body: <LoadPlan.Checks firingId={firing.id} findings={checked.findings} edit={open} />,
    };
    parts.run = {
      title: 'How it is fired',
      hint: firing.schedule?.name ?? 'no schedule yet',
      body: <RunSection firing={firing} kiln={kiln} room={room} units={units} edit={edit} />,
    };
    parts['since last time'] = {
      title: 'Since last time',
      bare: true,
      body: <SinceLastTime before={before} known={room.known} kiln={kiln} />,
    };
  }
  if (waits || load.placed.some(({ shelf }) => shelf !== null))
    parts.shelves = {
      title: 'On the shelves',
      hint: planned
        ? `${Math.round(100 * checked.full!.area)} % stood on`
        : checked.items.length > 0
          ? 'drawn and packed to scale'
          : '',
      body: (
        <LoadPlan.Shelves
          firingId={firing.id}
          checked={checked}
          waiting={load.waiting
            .filter(({ suits }) => suits)
            .slice(0, 80)
            .map(({ id, code, footprint }) => ({ id, code, footprint }))}
          edit={open}
        />
      ),
    };
  if (firing.notes !== '')
    parts.notes = {
      title: 'Notes',
      body: <Typography sx={{ whiteSpace: 'pre-line' }}>{firing.notes}</Typography>,
    };
  if (opened)
    parts['next time'] = {
      title: 'For next time',
      body: edit ? (
        <NextTime
          firingId={firing.id}
          nextTime={firing.nextTime}
          energyUsed={firing.energyUsed}
          unit={kiln.energy === 'electric' ? 'kWh' : 'gas units'}
        />
      ) : (
        <Typography sx={{ whiteSpace: 'pre-line' }}>{firing.nextTime || 'Nothing.'}</Typography>
      ),
    };
  if (edit)
    parts.change = {
      title: waits ? 'Change the plan, or call it off' : 'Put its plan right',
      body: (
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          <EditFiring
            key={firing.revision}
            start={{
              kilnId: firing.kilnId,
              kind: firing.kind,
              targetCone: firing.targetCone,
              atmosphere: firing.atmosphere,
              plannedFor: firing.plannedFor,
              notes: firing.notes,
            }}
            firing={firing}
          />
          {waits && <CallOff firingId={firing.id} calledOff={firing.calledOff} />}
        </Box>
      ),
    };
  return { parts, before };
}
