'use client';
import { zodResolver } from '@hookform/resolvers/zod';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import Close from '@mui/icons-material/Close';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useFieldArray, useForm, useWatch } from 'react-hook-form';
import { z } from 'zod';
import { parseCone } from '@/core/cones';
import { checkSchedule, profileOf, readSchedule, withHoldFor, type Segment } from '@/core/heatwork';
import {
  formatDuration,
  fromStudio,
  spanFromStudio,
  spanToStudio,
  toStudio,
  type Units,
} from '@/core/units';
import { showFieldProblems, useSend } from '@/platform/useSend';
import { NumberInput, TextInput } from '@/ui/fields';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import type { ScheduleKiln } from '../learn';
import { scheduleFields } from '../schema';
import { Curve } from './Curve';
import { ordinalWords } from './NowPanel';

type Fields = z.input<typeof scheduleFields>;

/** Numbers as they stand in the form are in the studio's scale; the record is in °C. */
const shownSegment = (segment: Segment, units: Units): Segment => ({
  rate: segment.rate === null ? null : Math.round(spanToStudio(segment.rate, units)),
  target: Math.round(toStudio(segment.target, units)),
  holdMinutes: segment.holdMinutes,
});
const keptSegment = (segment: Segment, units: Units): Segment => ({
  rate: segment.rate === null ? null : spanFromStudio(segment.rate, units),
  target: fromStudio(segment.target, units),
  holdMinutes: segment.holdMinutes,
});

/** A schedule, segment by segment, with what it comes to on each kiln as it is written. */
export function ScheduleForm({
  start,
  existing,
  kilns,
  units,
}: {
  start: { name: string; notes: string; segments: Segment[] };
  existing?: { id: string; revision: number; archived: boolean };
  kilns: readonly ScheduleKiln[];
  units: Units;
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const { control, handleSubmit, setError, setValue } = useForm<Fields>({
    resolver: ((values: Fields, context: unknown, options: unknown) =>
      (zodResolver(scheduleFields) as never as (...all: unknown[]) => unknown)(
        { ...values, segments: values.segments.map((one) => keptSegment(one, units)) },
        context,
        options,
      )) as never,
    defaultValues: { ...start, segments: start.segments.map((one) => shownSegment(one, units)) },
  });
  const { fields, append, remove } = useFieldArray({ control, name: 'segments' });
  const segments = useWatch({ control, name: 'segments' });
  const [cone, setCone] = useState('6');
  const read = parseCone(cone);
  const kept = segments.map((one) => keptSegment(one as Segment, units));
  const sound =
    kept.every((one) => Number.isFinite(one.target)) && checkSchedule(kept).length === 0;
  const submit = handleSubmit(async (values) => {
    const answer = await act('kilns.save-schedule', {
      id: existing?.id ?? null,
      revision: existing?.revision ?? 0,
      // The resolver has put the numbers into °C already.
      fields: values,
    });
    showFieldProblems(answer, setError, 'fields.');
    if (!answer.ok) return;
    say('Schedule saved');
    router.push('/kilns/schedules');
    router.refresh();
  });
  const unit = `°${units.temperature}`;
  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event) => void submit(event)}
      sx={{ display: 'grid', gap: 4, gridTemplateColumns: { xs: '1fr', lg: '1fr 1fr' } }}
    >
      <Stack spacing={1.5}>
        <TextInput control={control} name="name" label="Name" />
        {fields.map((field, i) => (
          <Stack key={field.id} direction="row" spacing={1} sx={{ alignItems: 'flex-start' }}>
            <Typography sx={{ width: 22, pt: 1, fontWeight: 700 }}>{i + 1}</Typography>
            <NumberInput
              control={control}
              name={`segments.${i}.rate`}
              label={`${unit}/h`}
              placeholder="full"
            />
            <NumberInput control={control} name={`segments.${i}.target`} label={`to ${unit}`} />
            <NumberInput control={control} name={`segments.${i}.holdMinutes`} label="hold, min" />
            <IconButton
              aria-label={`Take segment ${i + 1} out`}
              disabled={fields.length === 1}
              onClick={() => remove(i)}
            >
              <Close />
            </IconButton>
          </Stack>
        ))}
        <Button
          variant="outlined"
          sx={{ alignSelf: 'flex-start' }}
          onClick={() => append({ rate: null, target: Number.NaN, holdMinutes: 0 })}
        >
          Add a segment
        </Button>
        <TextInput control={control} name="notes" label="Notes" multiline minRows={2} />
        <ProblemNote>{problem}</ProblemNote>
        <Stack direction="row" spacing={1}>
          <Button type="submit" variant="contained" disabled={busy}>
            Save schedule
          </Button>
          {existing && (
            <Button
              disabled={busy}
              onClick={() =>
                void act('kilns.archive-schedule', {
                  id: existing.id,
                  archived: !existing.archived,
                }).then(() => {
                  router.push('/kilns/schedules');
                  router.refresh();
                })
              }
            >
              {existing.archived ? 'Use it again' : 'Put it away'}
            </Button>
          )}
        </Stack>
      </Stack>
      <Box>
        {sound ? (
          <>
            <Curve
              label={`The schedule as a curve, ${kept.length} segments`}
              lines={[{ label: 'schedule', kind: 'planned', points: profileOf(kept) }]}
              units={units}
              height={240}
            />
            <Box
              component="table"
              sx={{ width: '100%', mt: 1, '& td, & th': { py: 0.5, pr: 1.5 } }}
            >
              <thead>
                <tr style={{ textAlign: 'left' }}>
                  <th>On</th>
                  <th>comes to</th>
                  <th>in</th>
                  <th>energy</th>
                </tr>
              </thead>
              <tbody>
                {kilns.map((kiln) => {
                  const pace = { climb: kiln.climb, drop: 200 };
                  const here = readSchedule(kept, { offset: kiln.offset ?? 0, pace });
                  return (
                    <tr key={kiln.id}>
                      <td>
                        <b>{kiln.name}</b>
                        <br />
                        <small>
                          {kiln.offset === null
                            ? 'not compared with cones yet'
                            : `from ${kiln.firings} firings`}
                        </small>
                      </td>
                      <td>{ordinalWords(here.ordinal)}</td>
                      <td>{formatDuration(here.hours * 60)}</td>
                      <td>
                        {kiln.powerKw === null
                          ? '–'
                          : `about ${Math.round(0.5 * kiln.powerKw * here.hours)} kWh`}
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            </Box>
            <Stack
              direction="row"
              spacing={1}
              useFlexGap
              sx={{ mt: 2, alignItems: 'center', flexWrap: 'wrap' }}
            >
              <TextField
                label="Bring cone"
                value={cone}
                onChange={(event) => setCone(event.target.value)}
                sx={{ width: 110 }}
                error={!read.ok}
              />
              {read.ok &&
                kilns.map((kiln) => {
                  const fitted = withHoldFor(kept, read.cone, kiln.offset ?? 0, {
                    climb: kiln.climb,
                    drop: 200,
                  });
                  const top = fitted?.reduce((best, one) =>
                    one.target > best.target ? one : best,
                  );
                  return (
                    <Button
                      key={kiln.id}
                      variant="outlined"
                      disabled={fitted === null}
                      onClick={() =>
                        fitted &&
                        setValue(
                          'segments',
                          fitted.map((one) => shownSegment(one, units)),
                        )
                      }
                    >
                      {kiln.name}:{' '}
                      {top ? `hold ${formatDuration(top.holdMinutes)}` : 'no hold does it'}
                    </Button>
                  );
                })}
            </Stack>
          </>
        ) : (
          <Typography>
            The curve and what it comes to appear as soon as every segment has its numbers.
          </Typography>
        )}
      </Box>
    </Box>
  );
}
