import { STRENGTH } from '@/core/atmosphere';
import Typography from '@mui/material/Typography';
import { formatCone, isCone } from '@/core/cones';
import { endPointFor } from '@/core/heatwork';
import type { Units } from '@/core/units';
import type { Firing } from '@/data/firings';
import type { Studio } from '@/data/studio';
import { Section } from '@/ui/Page';
import type { FiringRoom } from '../room';
import { Curve } from '../../drawings';
import { LiveRefresh } from '../components/LiveRefresh';
import { UnitQuestion } from '../components/UnitQuestion';
import { NowPanel } from '../components/NowPanel';
import { TurnedDown } from '../components/TurnedDown';
import { ReadPad } from '../components/ReadPad';
import { Strays } from '../components/Strays';
import type { Kiln } from '@/data/kilns';

/** The air is drawn as bands; the weather is of the day. */
const UNMARKED = new Set(['atmosphere', 'weather']);

/** A firing that has been lit: how hot it is, the pad to read it, and its curve. */
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
  // What is read off its pyrometer is typed as it shows it.
  const shown = { ...units, temperature: kiln.showsUnit ?? units.temperature };
  const start = room.startedAt?.getTime() ?? 0;
  const log = (
    <>
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
          {...(edit && {
            answer: (at: Date) => <TurnedDown firingId={firing.id} at={at} electric={!fuelled} />,
          })}
        />
      )}
      {room.curve.length > 1 ? (
        <Curve
          label={`Temperature of ${firing.kilnName} ${firing.no}${room.planned ? ', planned and measured' : ''}`}
          lines={[
            ...(room.planned ? [{ label: 'planned', kind: 'planned' as const, points: room.planned }] : []),
            { label: 'measured', kind: 'measured', points: room.curve },
          ]}
          bands={room.bands.map((band) => ({
            from: band.from,
            to: band.to,
            label: band.atmosphere,
            strength: Math.max(0, STRENGTH[band.atmosphere]),
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
    </>
  );
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
      {live ? <Section title="Now">{log}</Section> : log}
    </>
  );
}
