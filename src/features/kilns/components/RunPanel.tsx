'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { readSchedule, withHoldFor, type Segment } from '@/core/heatwork';
import { formatCone } from '@/core/cones';
import {
  fieldNumber,
  formatDuration,
  formatRate,
  formatTemperature,
  type Units,
} from '@/core/units';
import Link from '@/ui/Link';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { QuantityField } from '@/ui/QuantityField';
import { useSay } from '@/ui/Undo';
import { ordinalWords } from './NowPanel';

export type RunPanelProps = {
  firingId: string;
  target: string | null;
  schedule: { name: string; segments: Segment[] } | null;
  schedules: readonly { id: string; name: string; segments: Segment[] }[];
  people: readonly { id: string; name: string }[];
  onDuty: string | null;
  bringBy: string | null;
  notice: string;
  /** What could be said of this firing, from what the store knows. */
  draft: string;
  readEveryS: number;
  latestHours: number | null;
  offset: number | null;
  offsetFirings: number;
  climb: number;
  powerKw: number | null;
  unitPrice: number | null;
  units: Units;
  byHand: boolean;
};

const EVERY = [
  [60, 'each minute (a device)'],
  [900, 'every 15 min'],
  [1800, 'every 30 min'],
  [3600, 'every hour'],
] as const;

/** How the firing is to be run: its schedule with what it comes to here, who is on duty, until when to bring work. */
export function RunPanel(props: RunPanelProps) {
  const { firingId, target, units } = props;
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const [late, setLate] = useState(props.latestHours === null ? '' : String(props.latestHours));
  const [bringBy, setBringBy] = useState(props.bringBy ?? '');
  const [notice, setNotice] = useState(props.notice);
  const set = async (run: object, said = 'Kept'): Promise<void> => {
    if ((await act('kilns.set-run', { firingId, ...run })).ok) {
      say(said);
      router.refresh();
    }
  };
  const pace = { climb: props.climb, drop: 200 };
  const offset = props.offset ?? 0;
  const here = props.schedule
    ? readSchedule(props.schedule.segments, { offset, cone: target, pace })
    : null;
  const fitted =
    props.schedule && target ? withHoldFor(props.schedule.segments, target, offset, pace) : null;
  const top = (segments: readonly Segment[]): Segment =>
    segments.reduce((best, one) => (one.target > best.target ? one : best));
  const kwh = props.powerKw === null || here === null ? null : 0.5 * props.powerKw * here.hours;
  return (
    <Box>
      <ProblemNote>{problem}</ProblemNote>
      <Stack direction={{ xs: 'column', sm: 'row' }} spacing={1.5} sx={{ mb: 1.5 }}>
        <TextField
          select
          label="Schedule"
          slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
          value={
            props.schedules.find(({ name }) => name === props.schedule?.name)?.id ??
            (props.schedule ? 'own' : '')
          }
          onChange={(event) => {
            const chosen = props.schedules.find(({ id }) => id === event.target.value);
            void set(
              {
                schedule: chosen ? { name: chosen.name, segments: chosen.segments } : null,
              },
              chosen ? `Fired by “${chosen.name}”` : 'No schedule',
            );
          }}
        >
          <MenuItem value="">none: by hand, or by the shut-off</MenuItem>
          {props.schedule && !props.schedules.some(({ name }) => name === props.schedule?.name) && (
            <MenuItem value="own">{props.schedule.name}</MenuItem>
          )}
          {props.schedules.map(({ id, name }) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          label="On duty"
          slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
          value={props.onDuty ?? ''}
          onChange={(event) => void set({ onDuty: event.target.value || null })}
        >
          <MenuItem value="">nobody yet</MenuItem>
          {props.people.map(({ id, name }) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          label="To be read"
          value={props.readEveryS}
          onChange={(event) => void set({ readEveryS: Number(event.target.value) })}
        >
          {EVERY.map(([value, label]) => (
            <MenuItem key={value} value={value}>
              {label}
            </MenuItem>
          ))}
          {!EVERY.some(([value]) => value === props.readEveryS) && (
            <MenuItem value={props.readEveryS}>every {props.readEveryS} s</MenuItem>
          )}
        </TextField>
      </Stack>
      {props.schedule && here && (
        <Box sx={{ mb: 2 }}>
          <Box
            component="ol"
            sx={{ m: 0, pl: 3, columnWidth: { sm: '22em' }, fontVariantNumeric: 'tabular-nums' }}
          >
            {props.schedule.segments.map((segment, i) => (
              <li key={i}>
                {segment.rate === null
                  ? 'as fast as it goes'
                  : formatRate(segment.rate, units).slice(1)}{' '}
                to <b>{formatTemperature(segment.target, units)}</b>
                {segment.holdMinutes > 0 ? `, hold ${formatDuration(segment.holdMinutes)}` : ''}
              </li>
            ))}
          </Box>
          <Typography sx={{ mt: 1, fontSize: '1.1rem' }}>
            On this kiln: <b>{ordinalWords(here.ordinal)}</b> after{' '}
            {formatDuration(here.hours * 60)}
            {kwh === null
              ? ''
              : `, about ${Math.round(kwh)} kWh${props.unitPrice === null ? '' : ` (${(kwh * props.unitPrice).toFixed(2)})`}`}
            .{' '}
            <Typography component="span" color="text.secondary">
              {props.offset === null
                ? 'Its thermocouple is taken at its word: no firing with log and cones yet.'
                : `Reckoned with its thermocouple, learned from ${props.offsetFirings} ${props.offsetFirings === 1 ? 'firing' : 'firings'}.`}
            </Typography>
          </Typography>
          {target &&
            fitted &&
            top(fitted).holdMinutes !== top(props.schedule.segments).holdMinutes && (
              <Button
                variant="outlined"
                disabled={busy}
                onClick={() =>
                  void set(
                    {
                      schedule: { name: props.schedule!.name, segments: fitted },
                    },
                    `Hold set to ${formatDuration(top(fitted).holdMinutes)}`,
                  )
                }
              >
                Hold {formatDuration(top(fitted).holdMinutes)} at{' '}
                {formatTemperature(top(fitted).target, units)} for cone {formatCone(target)} here
              </Button>
            )}
          {target && fitted === null && (
            <Typography>
              No hold brings this schedule to cone {formatCone(target)} here: its top is too{' '}
              {(here.work ?? 0) > 1 ? 'hot' : 'cool'}.
            </Typography>
          )}
        </Box>
      )}
      {!props.schedule && (
        <Typography sx={{ mb: 1.5 }}>
          {props.schedules.length === 0 ? (
            <>
              No schedule is written down yet. <Link href="/kilns/schedules">Write one</Link>, or
              fire without.
            </>
          ) : (
            'Without a schedule the cones and the clock are the guide.'
          )}
        </Typography>
      )}
      <Stack
        component="form"
        direction={{ xs: 'column', sm: 'row' }}
        spacing={1.5}
        onSubmit={(event) => {
          event.preventDefault();
          const hours = fieldNumber(late);
          if (Number.isNaN(hours)) return;
          void set({
            bringBy: bringBy === '' ? null : bringBy,
            notice,
            latestHours: hours,
          });
        }}
      >
        <QuantityField
          label="Late after, hours"
          value={late}
          onChange={setLate}
          helperText={props.byHand ? 'An alarm on this page; set a second timer too.' : ' '}
          size="small"
          width={190}
        />
        <TextField
          type="date"
          label="Bring work by"
          value={bringBy}
          onChange={(event) => setBringBy(event.target.value)}
          slotProps={{ inputLabel: { shrink: true } }}
          sx={{ maxWidth: { sm: 190 } }}
        />
        <TextField
          label="Notice for students"
          value={notice}
          onChange={(event) => setNotice(event.target.value)}
          multiline
          placeholder="Oxidation this once: celadons turn grey-green."
        />
        {notice === '' && (
          <Button sx={{ flex: 'none' }} onClick={() => setNotice(props.draft)}>
            Draft it
          </Button>
        )}
        <Button
          type="submit"
          variant="outlined"
          disabled={busy}
          sx={{ flex: 'none', alignSelf: 'flex-start' }}
        >
          Keep
        </Button>
      </Stack>
    </Box>
  );
}
