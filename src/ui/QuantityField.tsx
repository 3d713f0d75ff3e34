'use client';
import TextField, { type TextFieldProps } from '@mui/material/TextField';
import { fieldNumber } from '@/core/units';

/** A number as it is typed, point or decimal comma; what is no number is said beneath and stays. */
export function QuantityField({
  value,
  onChange,
  problem,
  helperText,
  width,
  ...rest
}: Omit<TextFieldProps, 'value' | 'onChange' | 'error'> & {
  value: string;
  onChange: (text: string) => void;
  /** What is wrong with the number, when it is one. */
  problem?: string | null;
  width?: number;
}) {
  const unread = Number.isNaN(fieldNumber(value)) ? `“${value.trim()}” is no number` : null;
  const wrong = unread ?? problem ?? null;
  return (
    <TextField
      {...rest}
      value={value}
      error={wrong !== null}
      helperText={wrong ?? helperText}
      onChange={(event) => onChange(event.target.value)}
      slotProps={{ htmlInput: { inputMode: 'decimal' } }}
      sx={{ width: width ?? 'auto' }}
    />
  );
}
