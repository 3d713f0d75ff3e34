'use client';
import TextField, { type TextFieldProps } from '@mui/material/TextField';
import { useState } from 'react';
import { Controller, type FieldValues } from 'react-hook-form';
import { QUANTITIES, fieldNumber, inUnits, type QuantityKind } from '@/core/units';
import { type Bound } from './fields';
import { useUnits } from './units';

type Typed = Omit<TextFieldProps, 'value' | 'onChange' | 'label' | 'error'> & {
  label: string;
  /** What it measures: its value is then in SI, and the studio's unit stands behind the label. */
  quantity?: QuantityKind;
  /** What is wrong with the number, when it is one. */
  problem?: string | null | undefined;
  width?: number;
};

const empty = (value: number | null | undefined): boolean =>
  value === null || value === undefined || Number.isNaN(value);

/** A figure as it was kept, or, where the studio's unit is another, to five digits: 90 mm is 3.5433 in. */
const short = (kept: number, shown: number): string =>
  String(Number(shown.toPrecision(shown === kept ? 12 : 5)));

/**
 * A number as it is typed: point or decimal comma, fractions, in the studio's unit. The form
 * holds the number (null when empty, NaN when it is none); what was typed stays as it was typed.
 */
export function NumberField({
  value,
  onChange,
  label,
  quantity,
  problem,
  helperText,
  width,
  sx,
  ...rest
}: Typed & { value: number | null; onChange: (value: number | null) => void }) {
  const units = useUnits();
  const scale = quantity === undefined ? null : QUANTITIES[quantity];
  const written = (one: number | null): string =>
    empty(one) ? '' : short(one!, scale === null ? one! : scale.shown(one!, units));
  const read = (typed: string): number | null => {
    const number = fieldNumber(typed);
    return number === null || scale === null ? number : scale.kept(number, units);
  };
  const [text, setText] = useState(() => written(value));
  // The form was changed from outside (reset, undo): show that.
  const outside = written(value);
  if (outside !== written(read(text))) setText(outside);
  const none = Number.isNaN(fieldNumber(text)) ? `“${text.trim()}” is no number` : null;
  const wrong = none ?? (problem ? inUnits(problem, units) : null);
  return (
    <TextField
      {...rest}
      label={scale === null ? label : `${label}, ${scale.unit(units)}`}
      value={text}
      error={wrong !== null}
      helperText={wrong ?? helperText}
      slotProps={{
        ...rest.slotProps,
        htmlInput: { inputMode: 'decimal', ...(rest.slotProps?.htmlInput as object) },
      }}
      sx={width === undefined ? sx : { width, ...(sx as object) }}
      onChange={(event) => {
        setText(event.target.value);
        onChange(read(event.target.value));
      }}
    />
  );
}

/** The same in a form. */
export function NumberInput<V extends FieldValues>({
  control,
  name,
  helper,
  problem,
  ...rest
}: Bound<V> & Omit<Typed, 'helperText'>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field: { ref, ...field }, fieldState }) => (
        <NumberField
          {...rest}
          {...field}
          inputRef={ref}
          problem={fieldState.error?.message ?? problem}
          helperText={helper}
        />
      )}
    />
  );
}
