'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { differences } from '@/core/designs';
import { Pick } from './design-inputs';

type Compared = {
  no: number;
  label: string;
  factors: Record<string, string>;
  shelf: number;
  bodyName: string;
};
const recorded = (tile: Compared): Record<string, string> => ({
  ...tile.factors,
  body: tile.bodyName,
  shelf: String(tile.shelf),
});

/** Any two tiles: every recorded variable in which they differ. */
export function CompareTiles({ tiles }: { tiles: readonly Compared[] }) {
  const [a, setA] = useState(String(tiles[0]?.no ?? ''));
  const [b, setB] = useState(String(tiles[1]?.no ?? ''));
  const [one, other] = [a, b].map((no) => tiles.find((tile) => String(tile.no) === no));
  const choices = tiles.map((tile) => ({
    id: String(tile.no),
    name: `${tile.no}: ${tile.label}`.slice(0, 60),
  }));
  const found = one && other ? differences(recorded(one), recorded(other)) : [];
  return (
    <>
      <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: '1fr 1fr', maxWidth: 760 }}>
        <Pick label="One tile" value={a} choices={choices} onChange={setA} />
        <Pick label="Another" value={b} choices={choices} onChange={setB} />
      </Box>
      <Box role="status" sx={{ mt: 1 }}>
        {found.length === 0 ? (
          <Typography>They differ in nothing that was recorded.</Typography>
        ) : (
          found.map(({ variable, a: here, b: there }) => (
            <Typography key={variable}>
              <b>{variable}:</b> {here} and {there}
            </Typography>
          ))
        )}
      </Box>
    </>
  );
}
