'use client';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { NAMED_STRETCHES, type WareSurface } from '@/core/zones';
import type { InHand } from '../in-hand-contracts';
import type { Entry } from './NamedInput';

type Coats = InHand['coats'];
type Coat = NonNullable<Coats>[number];

const key = ({ from, to }: Coat['stretch']): string => `${from}-${to}`;
const WHOLE = NAMED_STRETCHES[0]!.stretch;

/** What lies on a piece, first coat first: chosen or named, how often and where. */
export function CoatsInput({
  coatings,
  value,
  onChange,
  problem,
  surfaces,
}: {
  coatings: readonly Entry[];
  value: Coats;
  onChange: (value: Coats) => void;
  problem?: string;
  /** Of the form, where it is ware. */
  surfaces: readonly WareSurface[];
}) {
  const coats = value ?? [];
  const change = (i: number, part: Partial<Coat>): void =>
    onChange(coats.map((coat, at) => (at === i ? { ...coat, ...part } : coat)));
  return (
    <Box>
      <Autocomplete
        multiple
        freeSolo
        autoHighlight
        autoSelect
        disabled={value === null}
        options={coatings.map(({ name }) => name)}
        value={coats.map(({ coating }) => coating.name)}
        onChange={(_, names: string[]) =>
          onChange(
            names.map((name, i): Coat => {
              const held = coats.find((coat, at) => at === i && coat.coating.name === name);
              const kept = held ?? coats.find(({ coating }) => coating.name === name);
              const entry = coatings.find((one) => one.name === name);
              return (
                kept ?? {
                  coating: { id: entry?.id ?? null, name: name.slice(0, 80) },
                  coats: 1,
                  stretch: WHOLE,
                }
              );
            }),
          )
        }
        renderInput={(params) => (
          <TextField
            {...params}
            label="Coatings, first coat first"
            error={problem !== undefined}
            helperText={
              problem ??
              (coats.length === 0
                ? 'Type a name; one that the store does not have is added to it. Empty: bare.'
                : undefined)
            }
          />
        )}
      />
      {coats.map((coat, i) => (
        <Box
          key={`${coat.coating.name}/${i}`}
          sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', mt: 1 }}
        >
          <Typography sx={{ flex: 1, minWidth: 120 }}>
            {i + 1}. {coat.coating.name}
          </Typography>
          <TextField
            select
            size="small"
            label="Coats"
            value={coat.coats}
            onChange={(event) => change(i, { coats: Number(event.target.value) })}
            sx={{ width: 84 }}
          >
            {[1, 2, 3, 4, 5, 6].map((n) => (
              <MenuItem key={n} value={n}>
                {n}
              </MenuItem>
            ))}
          </TextField>
          {surfaces.length > 0 && (
            <TextField
              select
              size="small"
              label="On"
              value={coat.surface ?? ''}
              slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
              onChange={(event) =>
                change(i, {
                  surface: surfaces.find((one) => one === event.target.value) ?? null,
                })
              }
              sx={{ width: 140 }}
            >
              <MenuItem value="">all but the foot</MenuItem>
              {surfaces.map((surface) => (
                <MenuItem key={surface} value={surface}>
                  {surface}
                </MenuItem>
              ))}
            </TextField>
          )}
          <TextField
            select
            size="small"
            label="Where"
            value={key(coat.stretch)}
            onChange={(event) =>
              change(i, {
                stretch:
                  NAMED_STRETCHES.find(({ stretch }) => key(stretch) === event.target.value)?.stretch ??
                  WHOLE,
              })
            }
            sx={{ width: 170 }}
          >
            {NAMED_STRETCHES.map(({ name, stretch }) => (
              <MenuItem key={name} value={key(stretch)}>
                {name}
              </MenuItem>
            ))}
          </TextField>
        </Box>
      ))}
      <FormControlLabel
        control={
          <Checkbox
            checked={value === null}
            onChange={(event) => onChange(event.target.checked ? null : [])}
          />
        }
        label="Nobody knows what is on it"
      />
    </Box>
  );
}
