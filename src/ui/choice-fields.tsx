'use client';
import FormHelperText from '@mui/material/FormHelperText';
import MenuItem from '@mui/material/MenuItem';
import TextField, { type TextFieldProps } from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Box from '@mui/material/Box';
import { Controller, type FieldValues } from 'react-hook-form';
import { useId } from 'react';
import { type Bound } from './fields';

export type Choice = { value: string | number; label: string };

/** Words as choices, the first letter large. */
export const choices = (values: readonly string[]): Choice[] =>
  values.map((value) => ({ value, label: value[0]!.toUpperCase() + value.slice(1) }));

/** Whole numbers as choices. */
export const numbers = (from: number, to: number): Choice[] =>
  Array.from({ length: to - from + 1 }, (_, i) => ({ value: from + i, label: String(from + i) }));

/** One of a list. */
export function SelectInput<V extends FieldValues>({
  control,
  name,
  label,
  helper,
  choices,
  none,
  onPick,
  ...rest
}: Bound<V> & {
  choices: readonly Choice[];
  none?: string;
  /** What else follows from what was chosen. */
  onPick?: (value: string | number | null) => void;
} & Omit<TextFieldProps, 'name' | 'label'>) {
  const id = useId();
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <TextField
          {...rest}
          {...field}
          id={id}
          select
          value={field.value ?? ''}
          onChange={(event) => {
            const picked = event.target.value === '' ? null : event.target.value;
            field.onChange(picked);
            onPick?.(picked);
          }}
          label={label}
          error={fieldState.invalid}
          helperText={fieldState.error?.message ?? helper}
          slotProps={{
            select: { displayEmpty: none !== undefined },
            inputLabel: none !== undefined ? { shrink: true } : {},
          }}
        >
          {none !== undefined && <MenuItem value="">{none}</MenuItem>}
          {choices.map((choice) => (
            <MenuItem key={choice.value} value={choice.value}>
              {choice.label}
            </MenuItem>
          ))}
        </TextField>
      )}
    />
  );
}

/** A few choices as buttons, all in sight, under their label. */
function Buttons<V extends FieldValues>({
  control,
  name,
  label,
  choices,
  several,
}: Bound<V> & { choices: readonly Choice[]; several: boolean }) {
  const id = useId();
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <Box>
          <FormHelperText id={id} sx={{ m: 0, mb: 0.5, color: 'text.primary' }}>
            {label}
          </FormHelperText>
          <ToggleButtonGroup
            exclusive={!several}
            size="small"
            aria-labelledby={id}
            value={several ? (field.value ?? []) : field.value}
            onChange={(_, value) => value !== null && field.onChange(value)}
            sx={{ flexWrap: 'wrap' }}
          >
            {choices.map((choice) => (
              <ToggleButton key={choice.value} value={choice.value}>
                {choice.label}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          {fieldState.error && <FormHelperText error>{fieldState.error.message}</FormHelperText>}
        </Box>
      )}
    />
  );
}

type Choosing<V extends FieldValues> = Bound<V> & { choices: readonly Choice[] };

/** One of a few, all in sight. */
export const ChoiceInput = <V extends FieldValues>(props: Choosing<V>) => (
  <Buttons {...props} several={false} />
);

/** Any number of a few, all in sight. */
export const ManyInput = <V extends FieldValues>(props: Choosing<V>) => <Buttons {...props} several />;
