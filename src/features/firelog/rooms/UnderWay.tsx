import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { formatCone, isCone } from '@/core/cones';
import { endPointFor } from '@/core/heatwork';
import { formatDuration, formatRate, formatTemperature, type Units } from '@/core/units';
import type { Firing } from '@/data/firings';
import type { Studio } from '@/data/studio';
import { Section } from '@/ui/Page';
import type { FiringRoom } from '../room';
import { Curve } from '../../drawings';
import { ImportLog } from '../components/ImportLog';
import { LitAt } from '../components/LitAt';
import { LiveRefresh } from '../components/LiveRefresh';
import { LogBook } from '../components/LogBook';
import { PaperLog } from '../components/PaperLog';
import { ReadingsBook } from '../components/ReadingsBook';
import { UnitQuestion } from '../components/UnitQuestion';
import { NowPanel } from '../components/NowPanel';
import { ReadPad } from '../components/ReadPad';
import { Strays } from '../components/Strays';
import type { Kiln } from '@/data/kilns';

const STRENGTH: Record<string, number> = {
  oxidation: 0,
  neutral: 1,
  'light reduction': 2,
  'moderate reduction': 3,
  'heavy reduction': 4,
};

/** The air is drawn as bands; the weather is of the day. */
const UNMARKED = new Set(['atmosphere', 'weather']);

/** A firing that has been lit: how hot, the curve, the diary, and what was learned. */
export function UnderWay({
  firing,
  kiln,
  room,
  studio,
  units,
  edit,
}: {
  firing: Firing;
  kiln: Kiln;
  room: FiringRoom;
  studio: Pick<Studio, 'timeZone' | 'crackAtC' | 'unloadAtC'>;
  units: Units;
  edit: boolean;
}) {
  const live = firing.status === 'firing' || firing.status === 'cooling';
  const fuelled = kiln.energy === 'gas' || kiln.energy === 'wood';
  const cone = firing.targetCone;
  const top = cone !== null && isCone(cone) ? endPointFor(cone, 60) : null;
  // What is read off its pyrometer is typed as it shows it.
  const shown = { ...units, temperature: kiln.showsUnit ?? units.temperature };
  const start = room.startedAt?.getTime() ?? 0;
  return (
    <>
      {live && <LiveRefresh seconds={firing.readEveryS <= 120 ? 15 : 60} />}
      {room.strays && edit && live && (
        <Strays
          kilnId={kiln.id}
          firingId={firing.id}
          stray={room.strays}
          units={units}
          timeZone={studio.timeZone}
        />
      )}
      <Section title={live ? 'Now' : 'Its log'}>
        {room.looksFahrenheit && edit && <UnitQuestion firingId={firing.id} />}
        {(live || room.readings > 0) && (
          <NowPanel
            room={room}
            status={firing.status}
            units={units}
            timeZone={studio.timeZone}
            crackAtC={studio.crackAtC}
            unloadAtC={studio.unloadAtC}
            pad={
              edit && live ? (
                <ReadPad
                  firingId={firing.id}
                  last={room.last}
                  rate={room.rate}
                  everyS={firing.readEveryS}
                  units={shown}
                  probe={fuelled}
                />
              ) : undefined
            }
          />
        )}
        {room.curve.length > 1 ? (
          <Curve
            label={`Temperature of ${firing.kilnName} ${firing.no}${room.planned ? ', planned and measured' : ''}`}
            lines={[
              ...(room.planned
                ? [{ label: 'planned', kind: 'planned' as const, points: room.planned }]
                : []),
              { label: 'measured', kind: 'measured', points: room.curve },
            ]}
            bands={room.bands.map((band) => ({
              from: band.from,
              to: band.to,
              label: band.atmosphere,
              strength: STRENGTH[band.atmosphere] ?? 0,
            }))}
            events={room.entries
              .filter(({ kind }) => !UNMARKED.has(kind))
              .map((entry) => ({ t: (entry.at.getTime() - start) / 1000, label: entry.kind }))}
            levels={
              cone !== null && isCone(cone)
                ? [
                    {
                      celsius: endPointFor(cone, 60, room.known.offset?.offset ?? 0),
                      label: `cone ${formatCone(cone)} at 60 °C/h, as shown here`,
                    },
                  ]
                : []
            }
            probe={room.probe}
            units={units}
          />
        ) : (
          <Typography>
            {room.readings === 0
              ? 'No readings are on record. Read the temperature now and then, let a device send it, or bring in the controller’s log afterwards.'
              : 'One reading so far: the curve begins with the second.'}
          </Typography>
        )}
        {room.short && <Typography sx={{ fontWeight: 650, mt: 1 }}>{room.short}</Typography>}
        {room.stretches.length > 0 && (
          <Box component="details" sx={{ mt: 1 }}>
            <summary>Climbs, holds and drops</summary>
            {room.stretches.map((stretch) => (
              <Typography key={stretch.from.t} variant="body2">
                {formatDuration(stretch.from.t / 60)}–{formatDuration(stretch.to.t / 60)}:{' '}
                {stretch.kind} {formatRate(stretch.rate, units)},{' '}
                {formatTemperature(stretch.from.c, units)} to{' '}
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
        {room.startedAt && (
          <Box sx={{ mt: 1 }}>
            <LitAt
              key={room.startedAt.getTime()}
              firingId={firing.id}
              startedAt={room.startedAt}
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
      </Section>
      <Section title="Diary">
        <LogBook
          firingId={firing.id}
          entries={room.entries}
          fuelled={fuelled}
          edit={edit}
          timeZone={studio.timeZone}
        />
      </Section>
    </>
  );
}
