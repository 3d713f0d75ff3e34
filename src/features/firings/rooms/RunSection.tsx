import { listPeople } from '@/data/people';
import { listSchedules } from '@/data/schedules';
import type { Firing } from '@/data/firings';
import type { Units } from '@/core/units';
import { database } from '@/platform/database';
import { noticeDraft } from '../notice';
import type { FiringRoom } from '../../firelog/server';
import { RunPanel } from '../components/RunPanel';
import type { Kiln } from '@/data/kilns';

/** How a firing is to be run, with what there is to choose from. */
export async function RunSection({
  firing,
  kiln,
  room,
  units,
  edit,
}: {
  firing: Firing;
  kiln: Kiln;
  room: FiringRoom;
  units: Units;
  edit: boolean;
}) {
  if (!edit) return null;
  const db = database();
  const [schedules, people, draft] = await Promise.all([
    listSchedules(db),
    listPeople(db),
    noticeDraft(db, firing),
  ]);
  return (
    <RunPanel
      key={`${firing.schedule?.name}${JSON.stringify(firing.schedule?.segments)}`}
      firingId={firing.id}
      target={firing.targetCone}
      schedule={firing.schedule}
      schedules={schedules
        .filter(({ archived }) => !archived)
        .map(({ id, name, segments }) => ({ id, name, segments }))}
      people={people
        .filter(({ role, disabled }) => role !== 'student' && !disabled)
        .map(({ id, name }) => ({ id, name }))}
      onDuty={firing.onDuty}
      bringBy={firing.bringBy}
      notice={firing.notice}
      draft={draft}
      readEveryS={firing.readEveryS}
      latestHours={firing.latestHours ?? kiln.latestHours}
      offset={room.known.offset?.offset ?? null}
      next={
        room.known.offset === null
          ? null
          : { low: room.known.offset.nextLow, high: room.known.offset.nextHigh }
      }
      offsetFirings={room.known.offset?.firings ?? 0}
      climb={kiln.climbRate ?? 250}
      powerKw={kiln.energy === 'electric' ? kiln.powerKw : null}
      unitPrice={kiln.unitPrice}
      units={units}
      byHand={kiln.control !== 'controller'}
    />
  );
}
