'use client';
import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { collectFrom } from '../contracts';

/** Where it can be collected: one of the usual places, or another. */
export function CollectFrom({
  firingId,
  place,
  usual,
}: {
  firingId: string;
  place: string;
  usual: readonly string[];
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const [text, setText] = useState(place);
  const keep = async (): Promise<void> => {
    const answer = await act(collectFrom, { firingId, place: text, before: place });
    if (!answer.ok) return;
    say(text.trim() === '' ? 'No place is said' : `Owners see: collect from ${text.trim()}`, answer.undo);
    router.refresh();
  };
  return (
    <>
      <Stack direction="row" spacing={1} sx={{ maxWidth: 460, my: 1 }}>
        <Autocomplete
          freeSolo
          fullWidth
          options={[...usual]}
          inputValue={text}
          onInputChange={(_, next) => setText(next.slice(0, 120))}
          renderInput={(params) => (
            <TextField {...params} label="Collect from" placeholder="the rack by the door" />
          )}
        />
        <Button
          variant="outlined"
          disabled={busy || text.trim() === place}
          sx={{ flex: 'none' }}
          onClick={() => void keep()}
        >
          Say so
        </Button>
      </Stack>
      <ProblemNote>{problem}</ProblemNote>
    </>
  );
}
