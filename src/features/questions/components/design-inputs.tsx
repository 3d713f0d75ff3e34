'use client';
import Autocomplete from '@mui/material/Autocomplete';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { parseNumber } from '@/core/units';

type Choice = { id: string; name: string };

/** One of a list. */
export function Pick(props: {
  label: string;
  value: string;
  choices: readonly Choice[];
  onChange: (id: string) => void;
}) {
  return (
    <TextField
      select
      label={props.label}
      value={props.choices.some(({ id }) => id === props.value) ? props.value : ''}
      onChange={(event) => props.onChange(event.target.value)}
    >
      {props.choices.map(({ id, name }) => (
        <MenuItem key={id} value={id}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}

/** Several of a list, in the order in which they were chosen. */
export function PickSeveral(props: {
  label: string;
  value: readonly string[];
  choices: readonly Choice[];
  onChange: (ids: string[]) => void;
}) {
  return (
    <Autocomplete
      multiple
      options={props.choices}
      getOptionLabel={({ name }) => name}
      getOptionKey={({ id }) => id}
      value={props.value.flatMap((id) => props.choices.find((one) => one.id === id) ?? [])}
      onChange={(_, next) => props.onChange(next.map(({ id }) => id))}
      renderInput={(params) => <TextField {...params} label={props.label} />}
    />
  );
}

/** A whole number between bounds. */
export function Count(props: {
  label: string;
  value: number;
  min: number;
  max: number;
  onChange: (value: number) => void;
}) {
  return (
    <TextField
      select
      label={props.label}
      value={props.value}
      onChange={(event) => props.onChange(Number(event.target.value))}
    >
      {Array.from({ length: props.max - props.min + 1 }, (_, i) => props.min + i).map((n) => (
        <MenuItem key={n} value={n}>
          {n}
        </MenuItem>
      ))}
    </TextField>
  );
}

/** The parts of a list as typed: "1 2 4 8", "1, 2"; of whole numbers "1,2" too. */
export const partsOf = (text: string, whole: boolean): string[] =>
  text
    .trim()
    .split(whole ? /[\s;,]+/ : /[\s;]+|,\s+/)
    .filter((part) => part !== '');

/** Numbers with spaces or commas between, as typed. What cannot be read stays and is said. */
export function Steps(props: {
  label: string;
  whole: boolean;
  value: readonly number[];
  onChange: (values: number[]) => void;
}) {
  const [text, setText] = useState(props.value.join(' '));
  const wrong = partsOf(text, props.whole).find((part) => !parseNumber(part).ok);
  return (
    <TextField
      label={props.label}
      value={text}
      error={wrong !== undefined}
      helperText={wrong === undefined ? 'with spaces between' : `“${wrong}” is no number`}
      onChange={(event) => {
        setText(event.target.value);
        const values = partsOf(event.target.value, props.whole).map((part) => parseNumber(part));
        if (values.every((one) => one.ok))
          props.onChange(values.flatMap((one) => (one.ok ? [one.value] : [])));
      }}
    />
  );
}
