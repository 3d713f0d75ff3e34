'use client';
import Box from '@mui/material/Box';
import FormHelperText from '@mui/material/FormHelperText';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useId, useState } from 'react';

export type Named = { id: string | null; name: string };
export type Entry = { id: string; name: string };

/** One of the store's few by a touch, or another one by its name, which is added to the store. */
export function NamedInput({
  label,
  entries,
  value,
  onChange,
  problem,
}: {
  label: string;
  entries: readonly Entry[];
  value: Named;
  onChange: (value: Named) => void;
  problem?: string;
}) {
  const id = useId();
  const [other, setOther] = useState(entries.length === 0 || (value.id === null && value.name !== ''));
  const OTHER = 'other';
  return (
    <Box>
      {entries.length > 0 && (
        <>
          <FormHelperText id={id} sx={{ m: 0, mb: 0.5, color: 'text.primary' }}>
            {label}
          </FormHelperText>
          <ToggleButtonGroup
            exclusive
            aria-labelledby={id}
            value={other ? OTHER : value.id}
            onChange={(_, next: string | null) => {
              if (next === null) return;
              setOther(next === OTHER);
              const entry = entries.find((one) => one.id === next);
              onChange(entry === undefined ? { id: null, name: '' } : { ...entry });
            }}
            sx={{ flexWrap: 'wrap', rowGap: 0.5 }}
          >
            {entries.map((entry) => (
              <ToggleButton key={entry.id} value={entry.id} sx={{ minHeight: 44 }}>
                {entry.name}
              </ToggleButton>
            ))}
            <ToggleButton value={OTHER} sx={{ minHeight: 44 }}>
              another
            </ToggleButton>
          </ToggleButtonGroup>
        </>
      )}
      {other && (
        <TextField
          label={entries.length === 0 ? label : `${label}: its name`}
          value={value.name}
          onChange={(event) => onChange({ id: null, name: event.target.value })}
          error={problem !== undefined}
          helperText={problem ?? 'It is added to the store; the rest can be said there later.'}
          sx={{ mt: entries.length === 0 ? 0 : 1 }}
        />
      )}
      {!other && problem !== undefined && <FormHelperText error>{problem}</FormHelperText>}
    </Box>
  );
}
