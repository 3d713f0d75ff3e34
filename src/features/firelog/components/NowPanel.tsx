import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { PROBE_FROM, carbonRatio, oxygenOf, probeWords, ratioWords } from '@/core/atmosphere';
import { formatCone } from '@/core/cones';
import { ordinalWords } from '@/core/firing';
import type { CoolTime } from '@/core/heatwork';
import {
  count,
  QUANTITIES,
  formatDuration,
  formatRate,
  formatTemperature,
  type Units,
  inUnits,
} from '@/core/units';
import { moment } from '@/ui/time';
import type { FiringRoom } from '../room';
import { intervalWords, offsetSaid } from '../../kilns';

const coolWords = (time: CoolTime | null, zone: string, asHours: (hours: number) => Date): string => {
  if (time === null) return 'too early to say';
  if (time.hours === 0) return 'now';
  const spread = Math.round(((time.high - time.low) / 2) * 60);
  return `${moment(asHours(time.hours), zone)}, give or take ${formatDuration(spread)}`;
};

/** How hot it is and what follows: rate, work on the cones, hold, alarms, when it can be opened. */
export function NowPanel({
  room,
  status,
  units,
  timeZone,
  crackAtC,
  unloadAtC,
  pad,
  answer,
}: {
  room: FiringRoom;
  status: string;
  units: Units;
  timeZone: string;
  crackAtC: number;
  unloadAtC: number;
  /** Where a temperature is written down: under the figure, before all words. */
  pad?: ReactNode;
  /** How a question about the kiln is answered that was seen at such a moment. */
  answer?: (at: Date) => ReactNode;
}) {
  const { last, known } = room;
  const at = (hours: number): Date => new Date((last?.at.getTime() ?? 0) + hours * 3_600_000);
  const offset = known.offset;
  const probed = room.probe.at(-1);
  return (
    <Box
      sx={{
        display: 'grid',
        gap: { xs: 2, md: 4 },
        gridTemplateColumns: { xs: '1fr', md: 'auto 1fr' },
        alignItems: 'start',
        mb: 2,
      }}
    >
      <Box>
        <Typography
          component="p"
          sx={{ fontSize: { xs: '3.4rem', md: '4.2rem' }, fontWeight: 700, lineHeight: 1 }}
        >
          {last === null ? '—' : Math.round(QUANTITIES.temperature.shown(last.celsius, units))}
          <Typography component="span" sx={{ fontSize: '1.6rem', fontWeight: 600 }}>
            {' '}
            °{units.temperature}
          </Typography>
        </Typography>
        <Typography sx={{ fontWeight: 600, fontSize: '1.2rem' }}>
          {room.rate === null ? '' : formatRate(room.rate, units)}
        </Typography>
        <Typography color="text.secondary">
          {last === null ? 'No reading yet.' : `read ${moment(last.at, timeZone)}`}
          {room.readings > 1 ? `; ${room.readings.toLocaleString('en')} readings` : ''}
        </Typography>
        {room.wantedNow !== null && status === 'firing' && (
          <Typography>Schedule: {formatTemperature(room.wantedNow, units)} now</Typography>
        )}
        {pad && <Box sx={{ mt: 1.5 }}>{pad}</Box>}
      </Box>
      <Box>
        {room.alarms.map((alarm) => (
          <Box
            key={alarm.kind + alarm.message}
            role={alarm.level === 'note' ? 'note' : 'alert'}
            sx={{
              border: { alarm: '3px solid', question: '2px dashed', note: '1px solid' }[alarm.level],
              borderColor: alarm.level === 'note' ? 'divider' : 'error.main',
              px: 1.5,
              py: 1,
              mb: 1,
            }}
          >
            <Typography sx={{ fontWeight: alarm.level === 'alarm' ? 700 : 500 }}>
              {inUnits(alarm.message, units)}
            </Typography>
            {alarm.at !== undefined &&
              room.startedAt !== null &&
              answer?.(new Date(room.startedAt.getTime() + alarm.at * 1000))}
          </Box>
        ))}
        {room.hold && (
          <Typography sx={{ fontSize: '1.25rem', fontWeight: 650, mb: 1 }}>
            {room.hold.kind === 'already'
              ? `Cone ${formatCone(room.hold.cone)} is down by its work: end the firing.`
              : room.hold.kind === 'hold'
                ? `Hold at ${formatTemperature(room.hold.at, units)} for ${formatDuration(room.hold.minutes)} to bring cone ${formatCone(room.hold.cone)} down.`
                : `Too cool to bring cone ${formatCone(room.hold.cone)} down by a hold: climb on.`}
          </Typography>
        )}
        {room.works.length > 0 && status !== 'cooling' && (
          <Box sx={{ maxWidth: 420, mb: 1 }}>
            {room.works.map(({ cone, role, work }) => (
              <Box
                key={cone}
                sx={{
                  display: 'grid',
                  gridTemplateColumns: '92px 1fr 62px',
                  gap: 1,
                  alignItems: 'center',
                }}
              >
                <Typography sx={{ fontWeight: role === 'target' ? 700 : 500 }}>
                  Cone {formatCone(cone)}
                </Typography>
                <Box
                  role="meter"
                  aria-label={`Work done on cone ${formatCone(cone)}`}
                  aria-valuemin={0}
                  aria-valuemax={100}
                  aria-valuenow={Math.round(Math.min(1, work) * 100)}
                  sx={{ height: 12, border: '1px solid', borderColor: 'text.primary' }}
                >
                  <Box
                    sx={{
                      height: '100%',
                      width: `${Math.min(1, work) * 100}%`,
                      bgcolor: 'text.primary',
                    }}
                  />
                </Box>
                <Typography sx={{ textAlign: 'right' }}>
                  {work >= 1 ? 'down' : `${Math.round(work * 100)} %`}
                </Typography>
              </Box>
            ))}
            <Typography variant="body2" color="text.secondary">
              Work done, 100 % being a tip down.
            </Typography>
          </Box>
        )}
        {room.predicted && (status !== 'firing' || room.hold !== null) && (
          <Typography>
            By its heat so far: <b>{ordinalWords(room.predicted.ordinal)}</b>
            {room.predicted.high - room.predicted.low > 0.1
              ? ` (between ${ordinalWords(room.predicted.low)} and ${ordinalWords(room.predicted.high)})`
              : ''}
            .
          </Typography>
        )}
        <Typography variant="body2" color="text.secondary">
          {offset === null
            ? 'This kiln’s thermocouple has not been compared with cones yet: the figures take it at its word.'
            : `This kiln’s thermocouple reads ${offsetSaid(offset, units)} (95 %: ${intervalWords(offset.low, offset.high, units)}), learned from ${count(offset.firings, 'firing')}; ${offset.offset === null ? 'the figures take it at its word' : 'the figures reckon with it'}.`}
        </Typography>
        {room.cool && (
          <Box sx={{ mt: 1 }}>
            <Typography sx={{ fontSize: '1.15rem', fontWeight: 650 }}>
              Crack the lid ({formatTemperature(crackAtC, units)}): {coolWords(room.cool.crack, timeZone, at)}
            </Typography>
            <Typography sx={{ fontSize: '1.15rem', fontWeight: 650 }}>
              Unload by hand ({formatTemperature(unloadAtC, units)}):{' '}
              {coolWords(room.cool.unload, timeZone, at)}
            </Typography>
            {known.coolings.length > 0 && (
              <Typography variant="body2" color="text.secondary">
                Reckoned with {known.coolings.length} earlier coolings of this kiln.
              </Typography>
            )}
          </Box>
        )}
        {room.coolSilent && (
          <Typography>
            When it can be opened cannot be said yet: a few readings more, below{' '}
            {formatTemperature(900, units)}.
          </Typography>
        )}
        {probed && (
          <Typography sx={{ mt: 1 }}>
            Oxygen probe: {Math.round(probed.mv)} mV at {formatTemperature(probed.celsius, units)}, about{' '}
            {oxygenOf(probed.celsius, probed.mv).toExponential(0)} atm of oxygen:{' '}
            {probed.celsius < PROBE_FROM
              ? 'too cool for a probe to say'
              : `${ratioWords(carbonRatio(probed.celsius, probed.mv))} at this heat, `}
            <b>{probed.celsius < PROBE_FROM ? '' : probeWords(probed.celsius, probed.mv)}</b>
          </Typography>
        )}
        {room.doubts.length > 0 && (
          <Typography variant="body2" sx={{ mt: 1 }}>
            Kept but not believed:{' '}
            {room.doubts.map(([doubt, n]) => `${n} ${DOUBTED[doubt] ?? doubt}`).join(', ')}.
          </Typography>
        )}
      </Box>
    </Box>
  );
}

const DOUBTED: Record<string, string> = {
  broken: 'from a broken thermocouple',
  unit: 'in the wrong unit',
  jump: 'jumping as no kiln does',
  future: 'from a clock that is ahead',
  struck: 'struck out',
};
