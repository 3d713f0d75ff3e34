import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactElement } from 'react';
import { formatCone } from '@/core/cones';
import { count, formatRate, formatTemperature, inUnits } from '@/core/units';
import type { Source } from '@/data/database';
import { unitsOf, type Studio } from '@/data/studio';
import type { OpenFiring } from '@/data/firings';
import { Line } from '@/ui/Lines';
import Link from '@/ui/Link';
import { moment } from '@/ui/time';
import { glance } from '../glance';

/** Kilns that are hot, as lines of the day sheet. */
export async function hotLines(
  src: Source,
  studio: Studio,
  firings: readonly OpenFiring[],
): Promise<ReactElement[]> {
  const units = unitsOf(studio);
  const crack = formatTemperature(studio.crackAtC, units);
  const hot = await glance(src, firings, studio);
  return hot.map(({ firing, pieces, room }) => (
    <Line
      key={firing.id}
      figure={
        room.last === null ? (
          firing.kilnName
        ) : (
          <>
            {formatTemperature(room.last.celsius, units)}
            <Typography sx={{ fontWeight: 600 }}>{firing.kilnName}</Typography>
          </>
        )
      }
      act={
        <Button component={Link} href={`/kilns/firings/${firing.id}`} variant="outlined">
          {firing.status === 'firing' ? 'Look after it' : 'Open kiln …'}
        </Button>
      }
    >
      {room.alarms.map((alarm) => (
        <Typography
          key={alarm.message}
          role={alarm.level === 'note' ? 'note' : 'alert'}
          sx={{ fontWeight: { alarm: 800, question: 650, note: 500 }[alarm.level] }}
        >
          {inUnits(alarm.message, units)}
        </Typography>
      ))}
      <Typography sx={{ fontWeight: 650 }}>
        {firing.status === 'firing' ? 'Climbing' : 'Cooling'}
        {room.rate === null ? '' : ` ${formatRate(room.rate, units)}`}: {firing.kind}, cone{' '}
        {formatCone(firing.targetCone)}, {firing.atmosphere}, {count(pieces, 'piece')}
      </Typography>
      <Typography variant="body2" color="text.secondary">
        {firing.startedAt ? `Lit ${moment(firing.startedAt, studio.timeZone)}. ` : ''}
        {room.last ? `Read ${moment(room.last.at, studio.timeZone)}. ` : ''}
        {firing.status === 'cooling'
          ? room.crack && room.last
            ? room.crack.hours === 0
              ? `It may be cracked now (${crack}).`
              : `Below ${crack} about ${moment(new Date(room.last.at.getTime() + room.crack.hours * 3_600_000), studio.timeZone)}.`
            : `Crack the lid below ${crack}.`
          : ''}
      </Typography>
    </Line>
  ));
}
