'use client';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { SPANS } from '@/core/looks';
import { count } from '@/core/units';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { ask } from '../contracts';

/** Has pieces looked at again: one touch for all of them; `asked` says how many of them are already. */
export function AskAgain({
  firingId,
  pieceIds,
  asked,
}: {
  firingId: string;
  pieceIds: readonly string[];
  asked: readonly { days: number; pieces: number }[];
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const one = pieceIds.length === 1;
  const start = async (days: number, word: string): Promise<void> => {
    const answer = await act(ask, { firingId, pieceIds: [...pieceIds], days });
    if (!answer.ok) return;
    say(`On the Bench again after ${word}`, answer.undo);
    router.refresh();
  };
  if (pieceIds.length === 0) return null;
  return (
    <>
      <Typography variant="body2">
        Glazes craze and dull weeks after the kiln.{' '}
        {one ? 'Look again after' : `Look at the ${count(pieceIds.length, 'piece')} kept again after`}
      </Typography>
      <Stack direction="row" spacing={1} sx={{ my: 0.5 }}>
        {SPANS.map(({ word, days }) => {
          const n = asked.find((held) => held.days === days)?.pieces ?? 0;
          const all = n >= pieceIds.length;
          return (
            <Button
              key={days}
              variant={all ? 'contained' : 'outlined'}
              disabled={busy || all}
              onClick={() => void start(days, word)}
              sx={{ minHeight: 56 }}
            >
              {word}
              {n > 0 && !one ? `: ${n}` : ''}
            </Button>
          );
        })}
      </Stack>
      <ProblemNote>{problem}</ProblemNote>
    </>
  );
}
