'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useMemo, useState } from 'react';
import { MONO } from '@/ui/theme';
import type { Chosen } from '../folder';
import { Form } from '@/ui/Form';

/**
 * A picture whose name says nothing: looked at, and given its piece by code or mark, or said to show none.
 */
export function LostPicture({
  entry,
  onPlace,
  onNone,
}: {
  entry: Chosen;
  /** Why it could not be placed; null when it was. */
  onPlace: (words: string) => Promise<string | null>;
  onNone: () => void;
}) {
  const [words, setWords] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const url = useMemo(() => URL.createObjectURL(entry.picture), [entry.picture]);
  useEffect(() => () => URL.revokeObjectURL(url), [url]);
  const place = async (as: string): Promise<void> => {
    if (as.trim() !== '') setProblem(await onPlace(as.trim()));
  };
  return (
    <Box component="figure" sx={{ m: 0 }}>
      <Box
        component="img"
        src={url}
        alt={entry.file}
        sx={{
          display: 'block',
          width: '100%',
          aspectRatio: '3 / 4',
          objectFit: 'contain',
          bgcolor: 'booth.ground',
        }}
      />
      <Typography component="figcaption" variant="body2" sx={{ overflowWrap: 'anywhere', my: 0.5 }}>
        {entry.code !== null && (
          <Box component="b" sx={{ fontFamily: MONO, fontSize: 18, display: 'block' }}>
            {entry.code}
          </Box>
        )}
        {entry.file}: {entry.why}
      </Typography>
      <Box
        component={Form}
        onSubmit={(event) => {
          event.preventDefault();
          void place(words);
        }}
        sx={{ display: 'flex', gap: 1, alignItems: 'flex-start' }}
      >
        <TextField
          size="small"
          label="Code or mark"
          value={words}
          onChange={(event) => setWords(event.target.value)}
          error={problem !== null}
          helperText={problem}
          slotProps={{ htmlInput: { autoCapitalize: 'characters', autoComplete: 'off' } }}
        />
        <Button type="submit" disabled={words.trim() === ''}>
          Place
        </Button>
      </Box>
      {entry.maybe.map(({ id, code }) => (
        <Chip key={id} label={code} onClick={() => void place(code)} sx={{ mr: 0.5, mt: 0.5 }} />
      ))}
      <Button size="small" onClick={onNone}>
        {entry.none ? 'It shows a piece' : 'None of them'}
      </Button>
    </Box>
  );
}
