'use client';
import Box from '@mui/material/Box';
import FormHelperText from '@mui/material/FormHelperText';
import MenuItem from '@mui/material/MenuItem';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import Typography from '@mui/material/Typography';
import { Controller, type Control } from 'react-hook-form';
import { FORMS } from '@/core/designs';
import { METHODS, NAMED_STRETCHES, WEIGHTS } from '@/core/zones';
import { count } from '@/core/units';
import { useContractForm } from '@/platform/useContractForm';
import { FieldGrid } from '@/ui/FieldGrid';
import { Section } from '@/ui/Page';
import { CheckInput, TextInput } from '@/ui/fields';
import { FaceEditor } from '../../pieces';
import type { CoatingChoice } from '../../pieces';
import { Making, coatStart, tileStart, useMade } from './Making';
import { MatrixPreview, usePlannedTiles } from './MatrixPreview';
import { WaitingFields } from './WaitingFields';
import type { BodyChoice } from './MakeForm';
import * as contracts from '../contracts';
import type { MatrixInput } from '../contracts';
import { NumberInput } from '@/ui/NumberField';
import { SelectInput } from '@/ui/choice-fields';

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
  const made = useMade();
  const form = useContractForm(contracts.makeMatrix, {
    start: {
      bodyIds: bodies[0] ? [bodies[0].id] : [],
      bases: [],
      overs: [],
      ...tileStart(today),
      base: coatStart(3),
      over: coatStart(5),
      bothOrders: true,
      alone: true,
      repeats: 1,
    },
    draft: 'new',
    done: ({ data }) => made[1](data.codes),
  });
  const { control } = form;
  const plan = usePlannedTiles(control, coatings);
  const glazes = coatings.filter((one) => one.kind !== 'slip' && one.kind !== 'engobe');
  return (
    <Making
      form={form}
      made={made}
      act={plan.count === 0 ? 'Make the tiles' : `Make ${count(plan.count, 'tile')}`}
      beside={<MatrixPreview plan={plan} coatings={coatings} bodies={bodies} />}
    >
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
          <FieldGrid phone={2} wide={3}>
            <SelectInput
              control={control}
              name="form"
              label="Form"
              choices={FORMS.filter((one) => one.kind === 'tile').map(({ name }) => ({
                value: name,
                label: name,
              }))}
            />
            <NumberInput
              control={control}
              name="heightMm"
              quantity="length"
              label="Face, foot to rim"
            />
            <NumberInput control={control} name="repeats" label="Of each" />
          </FieldGrid>
          <FaceEditor coatings={coatings} />
          <WaitingFields />
          <TextInput control={control} name="notes" label="Notes" multiline minRows={2} />
        </Stack>
      </Section>
    </Making>
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
    <FieldGrid phone={2} wide="90px 1fr 1fr 1fr 1.4fr" sx={{ mb: 1.5, alignItems: 'center' }}>
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
    </FieldGrid>
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
