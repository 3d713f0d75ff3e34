'use client';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import FormHelperText from '@mui/material/FormHelperText';
import MenuItem from '@mui/material/MenuItem';
import TextField, { type TextFieldProps } from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Box from '@mui/material/Box';
import { DatePicker } from '@mui/x-date-pickers/DatePicker';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import { AdapterDayjs } from '@mui/x-date-pickers/AdapterDayjs';
import dayjs from 'dayjs';
import { Controller, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import { parseNumber } from '@/core/units';
import { useId, useState } from 'react';

type Bound<V extends FieldValues> = {
  control: Control<V>;
  name: FieldPath<V>;
  label: string;
  helper?: string;
};

/** Words. An empty text is kept as '' unless `orNull`. */
export function TextInput<V extends FieldValues>({
  control,
  name,
  label,
  helper,
  orNull,
  ...rest
}: Bound<V> & { orNull?: boolean } & Omit<TextFieldProps, 'name' | 'label'>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <TextField
          {...rest}
          {...field}
          value={field.value ?? ''}
          onChange={(event) =>
            field.onChange(orNull && event.target.value === '' ? null : event.target.value)
          }
          label={label}
          error={fieldState.invalid}
          helperText={fieldState.error?.message ?? helper}
        />
      )}
    />
  );
}

/** What a person typed for a number, kept as typed; the number goes to the form. */
function NumberBox({
  value,
  onChange,
  onBlur,
  ...rest
}: Omit<TextFieldProps, 'value' | 'onChange'> & {
  value: number | null;
  onChange: (value: number | null) => void;
}) {
  const [text, setText] = useState(
    value === null || value === undefined || Number.isNaN(value) ? '' : String(value),
  );
  const read = parseNumber(text);
  const shown = read.ok ? read.value : null;
  if (
    value !== undefined &&
    !Number.isNaN(value as number) &&
    value !== shown &&
    !(value === null && text.trim() === '')
  ) {
    // The form was changed from outside (reset, undo): show that.
    const next = value === null ? '' : String(value);
    if (next !== text) setText(next);
  }
  return (
    <TextField
      {...rest}
      value={text}
      onBlur={onBlur}
      slotProps={{
        ...rest.slotProps,
        htmlInput: { inputMode: 'decimal', ...(rest.slotProps?.htmlInput as object) },
      }}
      onChange={(event) => {
        setText(event.target.value);
        const next = parseNumber(event.target.value);
        onChange(event.target.value.trim() === '' ? null : next.ok ? next.value : NaN);
      }}
    />
  );
}

/** A number, point or decimal comma; empty is null. */
export function NumberInput<V extends FieldValues>({
  control,
  name,
  label,
  helper,
  ...rest
}: Bound<V> & Omit<TextFieldProps, 'name' | 'label' | 'value' | 'onChange'>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field: { ref, ...field }, fieldState }) => (
        <NumberBox
          {...rest}
          {...field}
          inputRef={ref}
          label={label}
          error={fieldState.invalid}
          helperText={fieldState.error?.message ?? helper}
        />
      )}
    />
  );
}

export type Choice = { value: string; label: string };

/** One of a list. */
export function SelectInput<V extends FieldValues>({
  control,
  name,
  label,
  helper,
  choices,
  none,
  ...rest
}: Bound<V> & { choices: readonly Choice[]; none?: string } & Omit<
    TextFieldProps,
    'name' | 'label'
  >) {
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
          onChange={(event) =>
            field.onChange(event.target.value === '' ? null : event.target.value)
          }
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

/** One of a few, all in sight. */
export function ChoiceInput<V extends FieldValues>({
  control,
  name,
  label,
  choices,
}: Bound<V> & { choices: readonly Choice[] }) {
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
            exclusive
            size="small"
            aria-labelledby={id}
            value={field.value}
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

/** Any number of a few, all in sight. */
export function ManyInput<V extends FieldValues>({
  control,
  name,
  label,
  choices,
}: Bound<V> & { choices: readonly Choice[] }) {
  const id = useId();
  return (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <Box>
          <FormHelperText id={id} sx={{ m: 0, mb: 0.5, color: 'text.primary' }}>
            {label}
          </FormHelperText>
          <ToggleButtonGroup
            size="small"
            aria-labelledby={id}
            value={field.value ?? []}
            onChange={(_, value) => field.onChange(value)}
            sx={{ flexWrap: 'wrap' }}
          >
            {choices.map((choice) => (
              <ToggleButton key={choice.value} value={choice.value}>
                {choice.label}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
        </Box>
      )}
    />
  );
}

export function CheckInput<V extends FieldValues>({ control, name, label }: Bound<V>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field: { value, ref, ...field } }) => (
        <FormControlLabel
          control={
            <Checkbox
              {...field}
              slotProps={{ input: { ref } }}
              checked={Boolean(value)}
              onChange={(event) => field.onChange(event.target.checked)}
            />
          }
          label={label}
        />
      )}
    />
  );
}

/** A day, kept as YYYY-MM-DD; empty is null. */
export function DateInput<V extends FieldValues>({ control, name, label }: Bound<V>) {
  return (
    <LocalizationProvider dateAdapter={AdapterDayjs}>
      <Controller
        control={control}
        name={name}
        render={({ field, fieldState }) => (
          <DatePicker
            label={label}
            format="YYYY-MM-DD"
            value={field.value ? dayjs(field.value) : null}
            onChange={(value) =>
              field.onChange(
                value === null ? null : value.isValid() ? value.format('YYYY-MM-DD') : 'not a date',
              )
            }
            slotProps={{
              textField: {
                size: 'small',
                fullWidth: true,
                error: fieldState.invalid,
                helperText: fieldState.error?.message,
                onBlur: field.onBlur,
              },
            }}
          />
        )}
      />
    </LocalizationProvider>
  );
}

/** A colour chosen by eye, kept as #rrggbb. */
export function ColourInput<V extends FieldValues>({ control, name, label, helper }: Bound<V>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <TextField
          {...field}
          type="color"
          label={label}
          error={fieldState.invalid}
          helperText={fieldState.error?.message ?? helper}
          slotProps={{ inputLabel: { shrink: true } }}
        />
      )}
    />
  );
}
