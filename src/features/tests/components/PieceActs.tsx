'use client';
import FlagOutlined from '@mui/icons-material/FlagOutlined';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Flag } from '@/data/flags';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';

/** Doubts about a piece: raised here, cleared by those who keep the records. */
export function FlagList({
  pieceId,
  flags,
  mayClear,
}: {
  pieceId: string;
  flags: readonly Flag[];
  mayClear: boolean;
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const [text, setText] = useState('');
  const run = async (operation: string, input: unknown, done: string): Promise<void> => {
    if (!(await act(operation, input)).ok) return;
    say(done);
    setText('');
    router.refresh();
  };
  return (
    <Box>
      {flags.map((flag) => (
        <Stack
          key={flag.id}
          direction="row"
          spacing={1}
          sx={{ alignItems: 'center', borderTop: '1px solid', borderColor: 'divider', py: 0.5 }}
        >
          <FlagOutlined aria-hidden fontSize="small" />
          <Typography sx={{ flex: 1 }}>
            {flag.text}{' '}
            <Typography component="span" color="text.secondary">
              ({flag.raisedBy})
            </Typography>
          </Typography>
          {mayClear && (
            <Button
              size="small"
              disabled={busy}
              onClick={() => void run('tests.clear-flag', { flagId: flag.id }, 'Flag cleared')}
            >
              Seen to
            </Button>
          )}
        </Stack>
      ))}
      <Stack
        direction="row"
        spacing={1}
        sx={{ mt: 1 }}
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          void run(
            'tests.flag',
            { pieceIds: [pieceId], text },
            'It will come up at loading and opening',
          );
        }}
      >
        <TextField
          label="A doubt to be remembered"
          placeholder="Gave when lifted"
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
        <Button type="submit" variant="outlined" disabled={busy || text.trim() === ''}>
          Raise flag
        </Button>
      </Stack>
      <ProblemNote>{problem}</ProblemNote>
    </Box>
  );
}
