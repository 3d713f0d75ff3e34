'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useWatch } from 'react-hook-form';
import { readSchedule, withHoldFor, type Segment } from '@/core/heatwork';
import { formatCone } from '@/core/cones';
import { count, formatDuration, formatRate, formatTemperature, type Units } from '@/core/units';
import Link from '@/ui/Link';
import { useContractForm } from '@/platform/useContractForm';
import { FormShell, GROWS } from '@/ui/FormShell';
import { NumberInput } from '@/ui/NumberField';
import { DateInput } from '@/ui/DateInput';
import { TextInput } from '@/ui/fields';
import { useSay } from '@/ui/Undo';
import * as contracts from '../contracts';
import { ordinalWords } from '@/core/firing';

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
  next: { low: number; high: number } | null;
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

/**
 * How the firing is to be run: its schedule with what it comes to here, who is on duty, until when to bring
 * work.
 */
export function RunPanel(props: RunPanelProps) {
  const { firingId, target, units } = props;
  const router = useRouter();
  const say = useSay();
  const form = useContractForm(contracts.setRun, {
    start: {
      firingId,
      bringBy: props.bringBy,
      notice: props.notice,
      latestHours: props.latestHours,
    },
    draft: `run/${firingId}`,
    done: (_, sent) => {
      say('Kept');
      form.reset(sent);
      router.refresh();
    },
  });
  const { control, act, busy } = form;
  const notice = useWatch({ control, name: 'notice' });
  const set = async (run: object, said = 'Kept'): Promise<void> => {
    if ((await act(contracts.setRun, { firingId, ...run })).ok) {
      say(said);
      router.refresh();
    }
  };
  const pace = { climb: props.climb, drop: 200 };
  const offset = props.offset ?? 0;
  const here = props.schedule
    ? readSchedule(props.schedule.segments, { offset, next: props.next, cone: target, pace })
    : null;
  const fitted = props.schedule && target ? withHoldFor(props.schedule.segments, target, offset, pace) : null;
  const top = (segments: readonly Segment[]): Segment =>
    segments.reduce((best, one) => (one.target > best.target ? one : best));
  const kwh = props.powerKw === null || here === null ? null : 0.5 * props.powerKw * here.hours;
  return (
    <Box>
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
                {segment.rate === null ? 'as fast as it goes' : formatRate(segment.rate, units).slice(1)} to{' '}
                <b>{formatTemperature(segment.target, units)}</b>
                {segment.holdMinutes > 0 ? `, hold ${formatDuration(segment.holdMinutes)}` : ''}
              </li>
            ))}
          </Box>
          <Typography sx={{ mt: 1, fontSize: '1.1rem' }}>
            On this kiln: <b>{ordinalWords(here.ordinal)}</b>
            {here.high - here.low > 0.1
              ? ` (95 %: between ${ordinalWords(here.low)} and ${ordinalWords(here.high)})`
              : ''}{' '}
            after {formatDuration(here.hours * 60)}
            {kwh === null
              ? ''
              : `, about ${Math.round(kwh)} kWh${props.unitPrice === null ? '' : ` (${(kwh * props.unitPrice).toFixed(2)})`}`}
            .{' '}
            <Typography component="span" color="text.secondary">
              {props.offset === null
                ? props.offsetFirings === 0
                  ? 'Its thermocouple is taken at its word: no firing with log and cones yet.'
                  : 'Its thermocouple is taken at its word: its cones bound it on one side only.'
                : `Reckoned with its thermocouple, learned from ${count(props.offsetFirings, 'firing')}.`}
            </Typography>
          </Typography>
          {target && fitted && top(fitted).holdMinutes !== top(props.schedule.segments).holdMinutes && (
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
              Hold {formatDuration(top(fitted).holdMinutes)} at {formatTemperature(top(fitted).target, units)}{' '}
              for cone {formatCone(target)} here
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
              No schedule is written down yet. <Link href="/kilns/schedules">Write one</Link>, or fire
              without.
            </>
          ) : (
            'Without a schedule the cones and the clock are the guide.'
          )}
        </Typography>
      )}
      <FormShell
        form={form}
        act="Keep"
        acts={
          notice === '' && (
            <Button onClick={() => form.setValue('notice', props.draft, { shouldDirty: true })}>
              Draft it
            </Button>
          )
        }
        row
        sx={{}}
      >
        <NumberInput
          control={control}
          name="latestHours"
          label="Late after, hours"
          helper={props.byHand ? 'An alarm on this page; set a second timer too.' : ' '}
          width={190}
        />
        <Box sx={{ width: { sm: 190 } }}>
          <DateInput control={control} name="bringBy" label="Bring work by" />
        </Box>
        <TextInput
          control={control}
          name="notice"
          label="Notice for students"
          multiline
          placeholder="Oxidation this once: celadons turn grey-green."
          sx={GROWS}
        />
      </FormShell>
    </Box>
  );
}
