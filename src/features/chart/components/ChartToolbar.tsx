'use client';
import SwapVert from '@mui/icons-material/SwapVert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ListSubheader from '@mui/material/ListSubheader';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Theme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useState } from 'react';
import { bandWords } from '@/core/firing';
import { groundWords } from '../words';
import type { BoardFilter } from '../board-filter';
import type { ChartProps } from './Chart';

export const SIZES = { small: 62, medium: 92, large: 150 };
export type SizeName = keyof typeof SIZES;

/** Which board it is: body, ground, cone, atmosphere; how large its tiles are, and which way round. */
export function ChartToolbar({
  name,
  size,
  onSize,
  turned,
  onTurn,
  onGo: go,
  filters,
  show,
  onShow,
  chosen,
  ...props
}: Pick<ChartProps, 'bodies' | 'chosen' | 'cones' | 'atmospheres' | 'grounds' | 'refires'> & {
  oneBoard: boolean;
  name: (slug: string) => string;
  size: SizeName;
  onSize: (size: SizeName) => void;
  turned: boolean;
  onTurn: () => void;
  filters: readonly BoardFilter[];
  show: string | null;
  onShow: (filter: string | null) => void;
  onGo: (part: Partial<Record<'body' | 'cone' | 'atmosphere' | 'ground' | 'refires', string | null>>) => void;
}) {
  const phone = useMediaQuery((theme: Theme) => theme.breakpoints.down('sm'));
  const [open, setOpen] = useState(false);
  // On a phone the board has the room, not what it is chosen by.
  if (phone && !open)
    return (
      <Button className="no-print" variant="outlined" onClick={() => setOpen(true)} sx={{ mb: 1 }}>
        Another board, size or filter …
      </Button>
    );
  return (
    <Box
      className="no-print"
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, alignItems: 'center', mb: 1.5 }}
    >
      {/* A link shows one board. */}
      {!props.oneBoard && (
        <>
          <Pick
            label="Body"
            value={chosen.body}
            onChange={(body) => go({ body, ground: null, cone: null, atmosphere: null })}
            choices={props.bodies.map((body) => ({ value: body.slug, label: body.name }))}
          />
          <Pick
            label="Ground"
            value={chosen.slips}
            onChange={(ground) => go({ ground })}
            choices={props.grounds.map((slips) => ({
              value: slips,
              label: groundWords(slips, name),
            }))}
          />
          <Pick
            label="Cone"
            value={chosen.cone}
            onChange={(cone) => go({ cone, ground: null })}
            choices={props.cones.map((cone) => ({
              value: cone,
              label: bandWords(cone).replace(/^cone (?=\d)/, ''),
            }))}
          />
          <Pick
            label="Atmosphere"
            value={chosen.atmosphere}
            onChange={(atmosphere) => go({ atmosphere, ground: null })}
            choices={props.atmospheres.map((value) => ({ value, label: value }))}
          />
        </>
      )}
      <Pick
        label="Show"
        value={filters.some(({ value }) => value === show) ? show! : ''}
        onChange={(next) => onShow(next === '' ? null : next)}
        choices={[{ value: '', label: 'all' }, ...filters]}
      />
      {!props.oneBoard && (
        <Pick
          label="Refires"
          value={props.refires ? 'yes' : 'no'}
          onChange={(shown) => go({ refires: shown === 'no' ? 'no' : null })}
          choices={[
            { value: 'yes', label: 'shown apart' },
            { value: 'no', label: 'left out' },
          ]}
        />
      )}
      <Pick
        label="Tiles"
        value={size}
        onChange={(next) => onSize(next as SizeName)}
        choices={Object.keys(SIZES).map((value) => ({ value, label: value }))}
      />
      <Button
        variant="outlined"
        startIcon={<SwapVert />}
        onClick={onTurn}
        aria-pressed={turned}
        sx={{ minHeight: 40 }}
      >
        {turned ? 'Rows over, columns base' : 'Rows base, columns over'}
      </Button>
    </Box>
  );
}

function Pick({
  label,
  value,
  choices,
  onChange,
}: {
  label: string;
  value: string;
  choices: readonly { value: string; label: string; group?: string }[];
  onChange: (value: string) => void;
}) {
  return (
    <TextField
      select
      label={label}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      sx={{ width: 'auto', minWidth: 118 }}
      slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
    >
      {choices.flatMap((choice, i) => [
        choice.group !== undefined && choice.group !== choices[i - 1]?.group && (
          <ListSubheader key={choice.group}>{choice.group}</ListSubheader>
        ),
        <MenuItem key={choice.value} value={choice.value}>
          {choice.label}
        </MenuItem>,
      ])}
    </TextField>
  );
}
