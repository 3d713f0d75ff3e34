'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useMemo, useState } from 'react';
import type { Entry } from './PictureTable';

/** A picture whose name says nothing: looked at, and given its piece by code or mark. */
export function LostPicture({
  entry,
  onPlace,
}: {
  entry: Entry;
  /** Why it could not be placed; null when it was. */
  onPlace: (words: string) => Promise<string | null>;
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
        {entry.file}: {entry.why}
      </Typography>
      <Box
        component="form"
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
    </Box>
  );
}
