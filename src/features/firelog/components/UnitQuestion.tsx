'use client';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import * as contracts from '../contracts';

/** A log whose shape is that of °F taken for °C: asked about, never changed by itself. */
export function UnitQuestion({ firingId }: { firingId: string }) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const answer = async (fahrenheit: boolean): Promise<void> => {
    const said = await act(contracts.sayUnit, { firingId, fahrenheit });
    if (!said.ok) return;
    say(fahrenheit ? 'Read as °F; all figures follow' : 'Left as °C', fahrenheit ? said.undo : undefined);
    router.refresh();
  };
  return (
    <Stack
      role="note"
      direction="row"
      spacing={1}
      useFlexGap
      sx={{
        border: '1px solid',
        borderColor: 'divider',
        p: 1,
        mb: 1,
        alignItems: 'center',
        flexWrap: 'wrap',
      }}
    >
      <Typography sx={{ fontWeight: 650 }}>By its shape this log is in °F, taken for °C. Is it?</Typography>
      <Button variant="outlined" disabled={busy} onClick={() => void answer(true)}>
        It is °F
      </Button>
      <Button disabled={busy} onClick={() => void answer(false)}>
        It is °C
      </Button>
      <ProblemNote>{problem}</ProblemNote>
    </Stack>
  );
}
