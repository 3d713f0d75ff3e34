'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import InputBase from '@mui/material/InputBase';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { readCode } from '@/core/codes';
import Link from '@/ui/Link';
import { MONO } from '@/ui/theme';
import type { RoomPiece } from '../room';

/** The load shelf by shelf: touch a piece to take it in hand, or type its code or mark. */
export function PlanList({
  pieces,
  written,
  at,
  onPick,
  extra,
  firingId,
  onJoin,
}: {
  pieces: readonly RoomPiece[];
  written: ReadonlySet<string>;
  at: string;
  onPick: (id: string) => void;
  extra: readonly { id: string; label: string }[];
  firingId: string;
  /** Puts a piece that was on no list into this firing. */
  onJoin: (code: string) => void;
}) {
  const [text, setText] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const [missing, setMissing] = useState<string | null>(null);
  const find = (): void => {
    const read = readCode(text);
    setMissing(null);
    const piece = pieces.find(
      (one) =>
        (read.ok && one.code === read.code) ||
        one.mark?.toLowerCase() === text.trim().toLowerCase(),
    );
    if (piece) {
      onPick(piece.id);
      setText('');
      setWrong(null);
    } else {
      setWrong(read.ok ? `${read.code} is on no list of this firing.` : read.message);
      if (read.ok) setMissing(read.code);
    }
  };
  const shelves = [...new Set(pieces.map((piece) => piece.shelf))];
  return (
    <Box component="nav" aria-label="Pieces of this firing">
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          find();
        }}
        sx={{ border: '1px solid', borderColor: 'divider', bgcolor: 'background.paper', mb: 1 }}
      >
        <InputBase
          fullWidth
          placeholder="Code or mark"
          value={text}
          onChange={(event) => setText(event.target.value)}
          inputProps={{
            'aria-label': 'Code or mark',
            autoCapitalize: 'characters',
            autoComplete: 'off',
          }}
          sx={{ px: 1.5, py: 0.75, fontFamily: MONO }}
        />
      </Box>
      {wrong && (
        <Typography role="alert" variant="body2" color="error">
          {wrong}
        </Typography>
      )}
      {missing !== null && (
        <Button
          variant="contained"
          fullWidth
          onClick={() => onJoin(missing)}
          sx={{ my: 1, minHeight: 48 }}
        >
          {missing} was in it too
        </Button>
      )}
      <Box sx={{ display: 'flex', gap: 0.5, mb: 1 }}>
        {extra.map((one) => (
          <ButtonBase
            key={one.id}
            onClick={() => onPick(one.id)}
            aria-current={at === one.id}
            sx={{
              flex: 1,
              minHeight: 44,
              border: '1px solid',
              borderColor: 'divider',
              bgcolor: at === one.id ? 'text.primary' : 'background.paper',
              color: at === one.id ? 'background.paper' : 'text.primary',
              fontWeight: 650,
              fontSize: '0.9rem',
            }}
          >
            {one.label}
          </ButtonBase>
        ))}
      </Box>
      {shelves.map((shelf) => (
        <Box key={shelf ?? 0} sx={{ mb: 1 }}>
          <Typography variant="body2" sx={{ fontWeight: 650 }}>
            {shelf === null ? 'Shelf not said' : `Shelf ${shelf}`}
          </Typography>
          <Box
            sx={{
              display: 'grid',
              gridTemplateColumns: 'repeat(auto-fill, minmax(76px, 1fr))',
              gap: '3px',
              borderBottom: '4px solid',
              borderColor: 'text.primary',
              pb: '3px',
            }}
          >
            {pieces
              .filter((piece) => piece.shelf === shelf)
              .map((piece) => {
                const here = at === piece.id;
                const done = written.has(piece.id);
                return (
                  <ButtonBase
                    key={piece.id}
                    onClick={() => onPick(piece.id)}
                    aria-current={here}
                    aria-label={`${piece.code}${done ? ', written up' : ''}${piece.flags.length > 0 ? ', flagged' : ''}`}
                    sx={{
                      minHeight: 44,
                      fontFamily: MONO,
                      fontWeight: 700,
                      fontSize: '0.9rem',
                      border: here ? '3px solid' : '1px solid',
                      borderColor: here ? 'primary.main' : 'divider',
                      bgcolor: done ? 'text.primary' : 'background.paper',
                      color: done ? 'background.paper' : 'text.primary',
                    }}
                  >
                    {piece.code}
                    {piece.flags.length > 0 ? ' ⚑' : ''}
                  </ButtonBase>
                );
              })}
          </Box>
        </Box>
      ))}
      <Button component={Link} href={`/tests/fired?firing=${firingId}`} fullWidth>
        A pot on no list
      </Button>
    </Box>
  );
}
