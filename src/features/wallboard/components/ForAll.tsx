'use client';
import Box from '@mui/material/Box';
import Chip from '@mui/material/Chip';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { ATMOSPHERES, type Atmosphere } from '@/core/signs';
import { type Axis } from '@/core/wallboard';
import { METHODS, type FaceKind, type Method } from '@/core/zones';
import { FieldGrid } from '@/ui/FieldGrid';
import { NumberField } from '@/ui/NumberField';
import type { Said } from '../said';

const AXIS: Record<Axis, string> = {
  coating: 'coatings',
  body: 'clay bodies',
  coats: 'how many coats',
  nothing: 'nothing',
};
const GROUND: Record<FaceKind, string> = {
  bare: 'bare',
  'light-slip': 'light slip',
  'dark-slip': 'dark slip',
  textured: 'textured',
};
const HALVES: readonly (readonly [FaceKind, FaceKind])[] = [
  ['bare', 'dark-slip'],
  ['dark-slip', 'bare'],
  ['light-slip', 'bare'],
  ['bare', 'light-slip'],
  ['light-slip', 'dark-slip'],
  ['dark-slip', 'light-slip'],
  ['bare', 'textured'],
];
const DIPS = [
  { label: 'the same all over', top: { lower: 1, upper: 1 } },
  { label: 'below once, above twice', top: { lower: 1, upper: 2 } },
  { label: 'only the upper half over-dipped', top: { lower: 0, upper: 1 } },
];

function Pick({
  label,
  value,
  onPick,
  children,
}: {
  label: string;
  value: string;
  onPick: (value: string) => void;
  children: ReactNode;
}) {
  return (
    <TextField
      select
      label={label}
      value={value}
      onChange={({ target }) => onPick(target.value)}
      slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
    >
      {children}
    </TextField>
  );
}

/** What is said once for every tile of a board. */
export function ForAll({
  said,
  kilns,
  bodies,
  onSay,
}: {
  said: Said;
  kilns: readonly { id: string; name: string }[];
  bodies: readonly string[];
  onSay: (part: Partial<Said>) => void;
}) {
  const { board } = said;
  const say = (part: Partial<Said['board']>): void => onSay({ board: { ...board, ...part } });
  const stacked = board.rows.are === 'coating' && board.columns.are === 'coating';
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <TextField
        label="Name of the board"
        value={said.name}
        placeholder="The board by the sink"
        onChange={({ target }) => onSay({ name: target.value })}
        slotProps={{ inputLabel: { shrink: true }, htmlInput: { maxLength: 80 } }}
      />{' '}
      <FieldGrid phone={2} wide={2}>
        {(['rows', 'columns'] as const).map((side) => (
          <Pick
            key={side}
            label={`Its ${side} name`}
            value={board[side].are}
            onPick={(are) => say({ [side]: { ...board[side], are: are as Axis } })}
          >
            {(Object.keys(AXIS) as Axis[]).map((are) => (
              <MenuItem key={are} value={are}>
                {AXIS[are]}
              </MenuItem>
            ))}
          </Pick>
        ))}
        {stacked && (
          <Pick
            label="Beneath lies"
            value={board.beneath}
            onPick={(beneath) => say({ beneath: beneath as 'rows' | 'columns' })}
          >
            <MenuItem value="rows">the row’s coating</MenuItem>
            <MenuItem value="columns">the column’s coating</MenuItem>
          </Pick>
        )}
        <Pick
          label="Each tile is"
          value={board.halves === null ? '' : `${board.halves.left}/${board.halves.right}`}
          onPick={(value) => {
            const [left, right] = value.split('/') as FaceKind[];
            say({ halves: right === undefined ? null : { left: left!, right } });
          }}
        >
          <MenuItem value="">one ground</MenuItem>
          {HALVES.map(([left, right]) => (
            <MenuItem key={`${left}/${right}`} value={`${left}/${right}`}>
              left {GROUND[left]}, right {GROUND[right]}
            </MenuItem>
          ))}
        </Pick>
      </FieldGrid>
      <Box role="group" aria-label="The uppermost coating">
        <Typography variant="body2" sx={{ mb: 0.5 }}>
          The uppermost coating is
        </Typography>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
          {DIPS.map(({ label, top }) => {
            const on = top.lower === board.top.lower && top.upper === board.top.upper;
            return (
              <Chip
                key={label}
                label={label}
                color={on ? 'primary' : 'default'}
                variant={on ? 'filled' : 'outlined'}
                aria-pressed={on}
                onClick={() => say({ top })}
                sx={{ minHeight: 40 }}
              />
            );
          })}
        </Box>
      </Box>
      <FieldGrid phone={2} wide={4}>
        <NumberField
          label="Coats below"
          value={board.top.lower}
          onChange={(lower) => say({ top: { ...board.top, lower: lower ?? 0 } })}
        />
        <NumberField
          label="Coats above"
          value={board.top.upper}
          onChange={(upper) => say({ top: { ...board.top, upper: upper ?? 0 } })}
        />
        {board.top.lower !== board.top.upper && (
          <NumberField
            label="Line at, %"
            value={Math.round(board.line * 100)}
            onChange={(line) => say({ line: (line ?? 50) / 100 })}
          />
        )}
        {stacked && (
          <NumberField
            label="Coats beneath"
            value={board.under}
            onChange={(under) => say({ under: under ?? 1 })}
          />
        )}
      </FieldGrid>
      <FieldGrid phone={2} wide={3}>
        <TextField
          label="Body"
          value={board.body}
          onChange={({ target }) => say({ body: target.value })}
          slotProps={{ htmlInput: { list: 'wall-body-all', maxLength: 80 } }}
        />{' '}
        <TextField
          label="Cone"
          value={said.cone ?? ''}
          placeholder="not known"
          onChange={({ target }) => onSay({ cone: target.value })}
          slotProps={{ inputLabel: { shrink: true } }}
        />{' '}
        <Pick
          label="The cone is"
          value={said.conesShown ? 'shown' : 'meant'}
          onPick={(value) => onSay({ conesShown: value === 'shown' })}
        >
          <MenuItem value="meant">what was meant</MenuItem>
          <MenuItem value="shown">what cones showed</MenuItem>
        </Pick>{' '}
        <Pick
          label="Atmosphere"
          value={said.atmosphere}
          onPick={(value) => onSay({ atmosphere: value as Atmosphere })}
        >
          {ATMOSPHERES.map((one) => (
            <MenuItem key={one} value={one}>
              {one === 'unknown' ? 'not known' : one}
            </MenuItem>
          ))}
        </Pick>{' '}
        <Pick
          label="Kiln"
          value={said.kilnId ?? ''}
          onPick={(value) => onSay({ kilnId: value === '' ? null : value })}
        >
          <MenuItem value="">not known</MenuItem>
          {kilns.map(({ id, name }) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </Pick>{' '}
        <TextField
          label="Fired on, if known"
          type="date"
          value={said.firedOn ?? ''}
          onChange={({ target }) => onSay({ firedOn: target.value === '' ? null : target.value })}
          slotProps={{ inputLabel: { shrink: true } }}
        />{' '}
        <Pick
          label="Coats were put on by"
          value={said.method}
          onPick={(value) => onSay({ method: value as Method })}
        >
          {METHODS.map((one) => (
            <MenuItem key={one} value={one}>
              {one}
            </MenuItem>
          ))}
        </Pick>
      </FieldGrid>
      <datalist id="wall-body-all">
        {bodies.map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
    </Box>
  );
}
