'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { placeOf } from '@/core/wallboard';
import type { OfPlace, OnBoard } from '../said';
import { stackWords } from './BoardTable';

/** What is said of one tile that is not as its headings say. */
export function TileWords({
  one,
  onPlace,
}: {
  one: OnBoard | null;
  onPlace: (key: string, part: Partial<OfPlace>) => void;
}) {
  if (one === null) return null;
  const name = placeOf(one.row, one.column);
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center', mt: 1.5 }}>
      <Typography role="status" sx={{ flex: '1 1 240px' }}>
        <b>{name}</b>: {one.hangs ? stackWords(one.is) : 'no tile hangs here'}
      </Typography>
      <TextField
        label={`Written on ${name}`}
        placeholder="Tarn over Pitch, none, ?"
        value={one.own}
        disabled={!one.hangs}
        onChange={({ target }) => onPlace(one.key, { own: target.value })}
        slotProps={{ inputLabel: { shrink: true }, htmlInput: { maxLength: 200 } }}
        sx={{ width: 280 }}
        fullWidth={false}
      />
      <Button
        variant="outlined"
        onClick={() => onPlace(one.key, { hangs: !one.hangs })}
        sx={{ minHeight: 44 }}
      >
        {one.hangs ? 'No tile hangs here' : 'A tile hangs here'}
      </Button>{' '}
    </Box>
  );
}
