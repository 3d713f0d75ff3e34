'use client';
import { AdapterDayjs } from '@mui/x-date-pickers/AdapterDayjs';
import { DatePicker } from '@mui/x-date-pickers/DatePicker';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import dayjs from 'dayjs';
import { Controller, type FieldValues } from 'react-hook-form';
import type { Bound } from './fields';

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
