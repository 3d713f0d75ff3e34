'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import Close from '@mui/icons-material/Close';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { FormProvider, useFieldArray, useWatch } from 'react-hook-form';
import { parseCone } from '@/core/cones';
import { checkSchedule, profileOf, readSchedule, withHoldFor, type Segment } from '@/core/heatwork';
import { count, formatDuration } from '@/core/units';
import { useContractForm } from '@/platform/useContractForm';
import { TextInput } from '@/ui/fields';
import { FormShell } from '@/ui/FormShell';
import { useUnits } from '@/ui/units';
import { useSay } from '@/ui/Undo';
import type { ScheduleKiln } from '../learn';
import { Curve } from '../../drawings';
import * as contracts from '../contracts';
import { Passages } from './Passages';
import { ordinalWords } from '@/core/firing';
import { NumberInput } from '@/ui/NumberField';

/** A schedule, segment by segment, with what it comes to on each kiln as it is written. */
export function ScheduleForm({
  start,
  existing,
  kilns,
}: {
  start: { name: string; notes: string; segments: Segment[] };
  existing?: { id: string; revision: number; archived: boolean };
  kilns: readonly ScheduleKiln[];
}) {
  const router = useRouter();
  const units = useUnits();
  const say = useSay();
  const form = useContractForm(contracts.saveSchedule, {
    start: { id: existing?.id ?? null, revision: existing?.revision ?? 0, fields: start },
    draft: existing === undefined ? 'new' : `${existing.id}/${existing.revision}`,
    done: () => {
      say('Schedule saved');
      router.push('/kilns/schedules');
      router.refresh();
    },
  });
  const { control, setValue, act, busy } = form;
  const { fields, append, remove } = useFieldArray({ control, name: 'fields.segments' });
  const kept = useWatch({ control, name: 'fields.segments' });
  const [cone, setCone] = useState('6');
  const read = parseCone(cone);
  const sound = kept.every((one) => Number.isFinite(one.target)) && checkSchedule(kept).length === 0;
  return (
    <FormProvider {...form}>
      <Box sx={{ display: 'grid', gap: 4, gridTemplateColumns: { xs: '1fr', lg: '1fr 1fr' } }}>
        <FormShell
          form={form}
          act="Save schedule"
          acts={
            existing && (
              <Button
                disabled={busy}
                onClick={() =>
                  void act(contracts.archiveSchedule, {
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
            )
          }
        >
          <TextInput control={control} name="fields.name" label="Name" />
          {fields.map((field, i) => (
            <Stack key={field.id} direction="row" spacing={1} sx={{ alignItems: 'flex-start' }}>
              <Typography sx={{ width: 22, pt: 1, fontWeight: 700 }}>{i + 1}</Typography>
              <NumberInput
                control={control}
                name={`fields.segments.${i}.rate`}
                quantity="rate"
                label="Climb"
                placeholder="full"
              />
              <NumberInput
                control={control}
                name={`fields.segments.${i}.target`}
                quantity="temperature"
                label="to"
              />
              <NumberInput control={control} name={`fields.segments.${i}.holdMinutes`} label="hold, min" />
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
          <TextInput control={control} name="fields.notes" label="Notes" multiline minRows={2} />
        </FormShell>
        <Box>
          {sound ? (
            <>
              <Curve
                label={`The schedule as a curve, ${count(kept.length, 'segment')}`}
                lines={[{ label: 'schedule', kind: 'planned', points: profileOf(kept) }]}
                units={units}
                height={240}
              />
              <Passages segments={kept} units={units} />
              <Box component="table" sx={{ width: '100%', mt: 1, '& td, & th': { py: 0.5, pr: 1.5 } }}>
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
                    const here = readSchedule(kept, {
                      offset: kiln.offset ?? 0,
                      next: kiln.next,
                      pace,
                    });
                    return (
                      <tr key={kiln.id}>
                        <td>
                          <b>{kiln.name}</b>
                          <br />
                          <small>
                            {kiln.offset === null
                              ? kiln.firings === 0
                                ? 'not compared with cones yet'
                                : 'bounded on one side only'
                              : `from ${count(kiln.firings, 'firing')}`}
                          </small>
                        </td>
                        <td>
                          {ordinalWords(here.ordinal)}
                          {here.high - here.low > 0.1 && (
                            <>
                              <br />
                              <small>
                                {ordinalWords(here.low)} to {ordinalWords(here.high)}
                              </small>
                            </>
                          )}
                        </td>
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
                    const top = fitted?.reduce((best, one) => (one.target > best.target ? one : best));
                    return (
                      <Button
                        key={kiln.id}
                        variant="outlined"
                        disabled={fitted === null}
                        onClick={() => fitted && setValue('fields.segments', fitted, { shouldDirty: true })}
                      >
                        {kiln.name}: {top ? `hold ${formatDuration(top.holdMinutes)}` : 'no hold does it'}
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
    </FormProvider>
  );
}
