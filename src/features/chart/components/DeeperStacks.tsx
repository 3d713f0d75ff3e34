'use client';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import Button from '@mui/material/Button';
import type { BoardCell } from '@/data/board';
import { CellPicture } from './CellPicture';

const FEW = 12;

/** Stacks of three coats and more, which no board of two axes can hold: each opens like any cell. */
export function DeeperStacks({
  cells,
  share,
  words,
  onOpen,
}: {
  cells: readonly BoardCell[];
  share: string | null;
  words: (cell: BoardCell) => string;
  onOpen: (id: string) => void;
}) {
  const [all, setAll] = useState(false);
  if (cells.length === 0) return null;
  const shown = all ? cells : cells.slice(0, FEW);
  return (
    <Box component="section" aria-label="Stacks of three coats and more" sx={{ mt: 2 }}>
      <Typography variant="h3" sx={{ mb: 0.5 }}>
        Three coats and more
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        {shown.map((cell) => (
          <ButtonBase
            key={cell.id}
            onClick={() => onOpen(cell.id)}
            sx={{
              width: 132,
              display: 'block',
              textAlign: 'left',
              verticalAlign: 'top',
              '&:focus-visible': { outline: '3px solid', outlineColor: 'primary.main' },
            }}
          >
            <Box sx={{ height: 150 }}>
              <CellPicture
                position={{ base: '', over: null, main: cell, ways: 1, pieces: cell.pieces }}
                share={share}
                eager={false}
              />
            </Box>
            <Typography variant="body2" sx={{ lineHeight: 1.2, mt: 0.5 }}>
              {words(cell)}
            </Typography>
          </ButtonBase>
        ))}
      </Box>
      {!all && cells.length > FEW && (
        <Button onClick={() => setAll(true)} sx={{ mt: 1 }}>
          {cells.length - FEW} more
        </Button>
      )}
    </Box>
  );
}
