'use client';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField, { type TextFieldProps } from '@mui/material/TextField';
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
