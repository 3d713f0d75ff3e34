'use client';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField, { type TextFieldProps } from '@mui/material/TextField';
import { DatePicker } from '@mui/x-date-pickers/DatePicker';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import { AdapterDayjs } from '@mui/x-date-pickers/AdapterDayjs';
import dayjs from 'dayjs';
import { Controller, type Control, type FieldPath, type FieldValues } from 'react-hook-form';

export type Bound<V extends FieldValues> = {
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
