'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import InputBase from '@mui/material/InputBase';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { MONO } from '@/ui/theme';
import { ENOUGH, findHere } from '../find';
import type { RoomPiece } from '../room';
import { Form } from '@/ui/Form';

/** The piece in hand by what is scratched in its foot: its code, the beginning of it, or its mark. */
export function CodeField({
  pieces,
  onPick,
  onJoin,
}: {
  pieces: readonly RoomPiece[];
  onPick: (id: string) => void;
  /** Puts a piece that was on no list into this firing; null where nobody may. */
  onJoin: ((code: string) => void) | null;
}) {
  const [text, setText] = useState('');
  const [wrong, setWrong] = useState<{ wrong: string; code: string | null } | null>(null);
  const begun = text.trim().length >= ENOUGH ? findHere(pieces, text) : null;
  const meant = begun !== null && 'piece' in begun ? begun.piece : null;
  const take = (id: string): void => {
    onPick(id);
    setText('');
    setWrong(null);
  };
  const find = (): void => {
    const found = findHere(pieces, text);
    if ('piece' in found) take(found.piece.id);
    else setWrong(found);
  };
  return (
    <>
      <Box
        component={Form}
        onSubmit={(event) => {
          event.preventDefault();
          find();
        }}
        sx={{
          display: 'flex',
          border: '1px solid',
          borderColor: 'divider',
          bgcolor: 'background.paper',
          mb: 1,
        }}
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
          sx={{ px: 1.5, minHeight: 56, fontFamily: MONO, fontSize: '1.15rem' }}
        />
        {meant !== null && (
          <Button variant="contained" onClick={() => take(meant.id)} sx={{ minHeight: 56, fontFamily: MONO }}>
            {meant.code}
          </Button>
        )}
      </Box>
      {wrong !== null && (
        <Typography role="alert" variant="body2" color="error">
          {wrong.wrong}
        </Typography>
      )}
      {wrong?.code != null && onJoin !== null && (
        <Button
          variant="contained"
          fullWidth
          onClick={() => onJoin(wrong.code!)}
          sx={{ my: 1, minHeight: 48 }}
        >
          {wrong.code} was in it too
        </Button>
      )}
    </>
  );
}
