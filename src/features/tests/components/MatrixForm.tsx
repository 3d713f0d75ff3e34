'use client';
import { zodResolver } from '@hookform/resolvers/zod';
import Box from '@mui/material/Box';
import FormHelperText from '@mui/material/FormHelperText';
import MenuItem from '@mui/material/MenuItem';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Controller, useForm, type Control } from 'react-hook-form';
import { FORMS } from '@/core/designs';
import { METHODS, NAMED_STRETCHES, WEIGHTS } from '@/core/zones';
import { showFieldProblems, useSend } from '@/platform/useSend';
import { Section } from '@/ui/Page';
import { ProblemNote } from '@/ui/Problem';
import { CheckInput, NumberInput, SelectInput, TextInput } from '@/ui/fields';
import { matrixSchema, type MatrixInput } from '../schema';
import { FaceEditor } from './FaceEditor';
import type { CoatingChoice, LayersForm } from './LayerEditor';
import { MadeCodes } from './MadeCodes';
import { MakeButton, MatrixPreview } from './MatrixPreview';
import { WaitingFields, type WaitingForm } from './WaitingFields';
import type { BodyChoice } from './MakeForm';

/** Every base under every over, made in one act. */
export function MatrixForm({
  bodies,
  coatings,
  today,
}: {
  bodies: readonly BodyChoice[];
  coatings: readonly CoatingChoice[];
  today: string;
}) {
  const router = useRouter();
  const [made, setMade] = useState<string[] | null>(null);
  const form = useForm<MatrixInput>({
    resolver: zodResolver(matrixSchema) as never,
    defaultValues: {
      bodyIds: bodies[0] ? [bodies[0].id] : [],
      bases: [],
      overs: [],
      form: 'L tile',
      heightMm: 90,
      madeOn: today,
      notes: '',
      waitingFor: 'glaze',
      wantedCone: '6',
      wantedAtmosphere: 'oxidation',
      faces: [
        { no: 1, kind: 'bare', slipVersionId: null },
        { no: 2, kind: 'light-slip', slipVersionId: null },
      ],
      base: { method: 'dip', coats: 1, weight: 'normal', stretch: NAMED_STRETCHES[3]!.stretch },
      over: { method: 'dip', coats: 1, weight: 'normal', stretch: NAMED_STRETCHES[5]!.stretch },
      bothOrders: true,
      alone: true,
      repeats: 1,
    },
  });
  const { control, handleSubmit, setError } = form;
  const { act, busy, problem } = useSend();
  const submit = handleSubmit(async (values) => {
    const answer = await act<{ codes: string[] }>('tests.make-matrix', values);
    showFieldProblems(answer, setError);
    if (answer.ok) setMade(answer.data.codes);
  });
  if (made !== null)
    return (
      <MadeCodes codes={made} onMore={() => setMade(null)} onList={() => router.push('/tests')} />
    );
  const glazes = coatings.filter((one) => one.kind !== 'slip' && one.kind !== 'engobe');
  return (
    <form onSubmit={(event) => void submit(event)} noValidate>
      <Box
        sx={{
          display: 'grid',
          gap: 4,
          gridTemplateColumns: { xs: '1fr', md: 'minmax(0,1fr) 320px' },
        }}
      >
        <Box>
          <Section title="Bases: on first">
            <PickMany control={control} name="bases" label="Bases" choices={glazes} />
          </Section>
          <Section title="Overs: on top">
            <PickMany control={control} name="overs" label="Overs" choices={glazes} />
          </Section>
          <Section title="Bodies">
            <PickMany
              control={control}
              name="bodyIds"
              label="Bodies"
              choices={bodies.map(({ id, name, colour }) => ({
                versionId: id,
                name,
                colour,
                version: 1,
              }))}
            />
          </Section>
          <Section title="How they go on">
            <CoatFields control={control} part="base" label="Base" />
            <CoatFields control={control} part="over" label="Over" />
            <CheckInput
              control={control}
              name="bothOrders"
              label="Both orders: also every over under every base"
            />
            <CheckInput control={control} name="alone" label="Controls: each coating by itself" />
          </Section>
          <Section title="Tiles">
            <Stack spacing={1.5}>
              <Box
                sx={{
                  display: 'grid',
                  gap: 1.5,
                  gridTemplateColumns: { xs: '1fr 1fr', sm: '1fr 1fr 1fr' },
                }}
              >
                <SelectInput
                  control={control}
                  name="form"
                  label="Form"
                  choices={FORMS.filter((one) => one.kind === 'tile').map(({ name }) => ({
                    value: name,
                    label: name,
                  }))}
                />
                <NumberInput control={control} name="heightMm" label="Face, foot to rim, mm" />
                <NumberInput control={control} name="repeats" label="Of each" />
              </Box>
              <FaceEditor control={control as unknown as Control<LayersForm>} coatings={coatings} />
              <WaitingFields control={control as unknown as Control<WaitingForm>} />
              <TextInput control={control} name="notes" label="Notes" multiline minRows={2} />
            </Stack>
          </Section>
          <ProblemNote>{problem}</ProblemNote>
          <MakeButton control={control} coatings={coatings} busy={busy} />
        </Box>
        <MatrixPreview control={control} coatings={coatings} bodies={bodies} />
      </Box>
    </form>
  );
}

function CoatFields({
  control,
  part,
  label,
}: {
  control: Control<MatrixInput>;
  part: 'base' | 'over';
  label: string;
}) {
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1.5,
        mb: 1.5,
        gridTemplateColumns: { xs: '1fr 1fr', sm: '90px 1fr 1fr 1fr 1.4fr' },
        alignItems: 'center',
      }}
    >
      <Typography sx={{ fontWeight: 650, gridColumn: { xs: '1 / -1', sm: 'auto' } }}>
        {label}
      </Typography>
      <SelectInput
        control={control}
        name={`${part}.method`}
        label="How"
        choices={METHODS.map((value) => ({ value, label: value }))}
      />
      <NumberInput control={control} name={`${part}.coats`} label="Dips or coats" />
      <SelectInput
        control={control}
        name={`${part}.weight`}
        label="Weight"
        choices={WEIGHTS.map((value) => ({ value, label: value }))}
      />
      <Controller
        control={control}
        name={`${part}.stretch`}
        render={({ field }) => (
          <StretchSelect
            value={field.value}
            onChange={field.onChange}
            label={`Where, ${label.toLowerCase()}`}
          />
        )}
      />
    </Box>
  );
}

function StretchSelect({
  value,
  onChange,
  label,
}: {
  value: { from: number; to: number };
  onChange: (value: { from: number; to: number }) => void;
  label: string;
}) {
  const at = NAMED_STRETCHES.findIndex(
    ({ stretch }) => stretch.from === value.from && stretch.to === value.to,
  );
  return (
    <TextField
      select
      label={label}
      value={String(Math.max(at, 0))}
      onChange={(event) => onChange(NAMED_STRETCHES[Number(event.target.value)]!.stretch)}
    >
      {NAMED_STRETCHES.map(({ name }, i) => (
        <MenuItem key={name} value={String(i)}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}

function PickMany({
  control,
  name,
  label,
  choices,
}: {
  control: Control<MatrixInput>;
  name: 'bases' | 'overs' | 'bodyIds';
  label: string;
  choices: readonly { versionId: string; name: string; colour: string; version: number }[];
}) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <Box role="group" aria-label={label}>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
            {choices.map((one) => {
              const on = field.value.includes(one.versionId);
              return (
                <ToggleButton
                  key={one.versionId}
                  value={one.versionId}
                  size="small"
                  selected={on}
                  onChange={() =>
                    field.onChange(
                      on
                        ? field.value.filter((id) => id !== one.versionId)
                        : [...field.value, one.versionId],
                    )
                  }
                >
                  <Box
                    component="span"
                    aria-hidden
                    sx={{
                      width: 14,
                      height: 14,
                      mr: 1,
                      bgcolor: one.colour,
                      border: '1px solid',
                      borderColor: 'divider',
                    }}
                  />
                  {one.name}
                  {one.version > 1 ? ` v${one.version}` : ''}
                </ToggleButton>
              );
            })}
          </Box>
          {choices.length === 0 && <Typography>There is none in the store yet.</Typography>}
          {fieldState.error && <FormHelperText error>{fieldState.error.message}</FormHelperText>}
        </Box>
      )}
    />
  );
}
