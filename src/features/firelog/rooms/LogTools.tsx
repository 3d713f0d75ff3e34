import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { isCone } from '@/core/cones';
import { endPointFor } from '@/core/heatwork';
import { formatDuration, formatRate, formatTemperature, type Units } from '@/core/units';
import type { Firing } from '@/data/firings';
import type { Kiln } from '@/data/kilns';
import type { Studio } from '@/data/studio';
import { ImportLog } from '../components/ImportLog';
import { LitAt } from '../components/LitAt';
import { LogBook } from '../components/LogBook';
import { PaperLog } from '../components/PaperLog';
import { ReadingsBook } from '../components/ReadingsBook';
import type { FiringRoom } from '../room';

type Props = {
  firing: Firing;
  kiln: Kiln;
  room: FiringRoom;
  studio: Pick<Studio, 'timeZone'>;
  units: Units;
  edit: boolean;
};

/**
 * What can be done with a log: its stretches, when it was lit, files and paper brought in, readings put
 * right.
 */
export function LogTools({ firing, kiln, room, studio, units, edit }: Props) {
  const live = firing.status === 'firing' || firing.status === 'cooling';
  const cone = firing.targetCone;
  const top = cone !== null && isCone(cone) ? endPointFor(cone, 60) : null;
  const shown = { ...units, temperature: kiln.showsUnit ?? units.temperature };
  return (
    <>
      {room.stretches.length > 0 && (
        <Box component="details" sx={{ mt: 1 }}>
          <summary>Climbs, holds and drops</summary>
          {room.stretches.map((stretch) => (
            <Typography key={stretch.from.t} variant="body2">
              {formatDuration(stretch.from.t / 60)}–{formatDuration(stretch.to.t / 60)}: {stretch.kind}{' '}
              {formatRate(stretch.rate, units)}, {formatTemperature(stretch.from.c, units)} to{' '}
              {formatTemperature(stretch.to.c, units)}
            </Typography>
          ))}
        </Box>
      )}
      {!live && room.energy.kwh !== null && (
        <Typography sx={{ mt: 1 }}>
          {firing.energyUsed === null ? 'About ' : ''}
          {Math.round(room.energy.kwh)} {kiln.energy === 'electric' ? 'kWh' : 'units of gas'}
          {room.energy.cost === null ? '' : `, ${room.energy.cost.toFixed(2)}`}
        </Typography>
      )}
      {(room.startedAt ?? firing.openedAt) && (
        <Box sx={{ mt: 1 }}>
          <LitAt
            key={room.startedAt?.getTime()}
            firingId={firing.id}
            startedAt={room.startedAt}
            openedAt={firing.openedAt}
            timeZone={studio.timeZone}
            edit={edit}
          />
        </Box>
      )}
      {edit && room.startedAt && (
        <Box sx={{ mt: 2 }}>
          <ImportLog
            firingId={firing.id}
            startedAt={room.startedAt}
            units={units}
            timeZone={studio.timeZone}
          />
          <Box sx={{ mt: 1 }}>
            <PaperLog
              firingId={firing.id}
              startedAt={room.startedAt}
              units={shown}
              timeZone={studio.timeZone}
              top={top}
            />
          </Box>
          {room.toMend.length > 0 && (
            <ReadingsBook
              firingId={firing.id}
              readings={room.toMend}
              units={units}
              timeZone={studio.timeZone}
            />
          )}
        </Box>
      )}
    </>
  );
}

/** What was done and seen while it burned. */
export const Diary = ({ firing, kiln, room, studio, edit }: Omit<Props, 'units'>) => (
  <LogBook
    firingId={firing.id}
    entries={room.entries}
    fuelled={kiln.energy === 'gas' || kiln.energy === 'wood'}
    edit={edit}
    timeZone={studio.timeZone}
  />
);
