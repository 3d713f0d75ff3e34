'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { hexOf } from '@/core/colour';
import { USUAL_CARDS } from '@/core/sight/cards';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import * as contracts from '../contracts';

const written = (card: readonly number[]): string => card.join(', ');

/** What the studio's grey card is: without it no colour is measured. */
export function GreyCard({ card }: { card: readonly number[] | null }) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const [text, setText] = useState(card === null ? '' : written(card));
  const steps = text
    .split(/[\s,;]+/)
    .filter((one) => one !== '')
    .map(Number);
  const readable = steps.every((l, i) => l >= 3 && l <= 99 && (i === 0 || l > steps[i - 1]!));
  const keep = async (): Promise<void> => {
    const answer = await act(contracts.sayCard, { card: steps });
    if (!answer.ok) return;
    say(steps.length === 0 ? 'No grey card' : 'Grey card kept', answer.undo);
    router.refresh();
  };
  return (
    <Stack spacing={1} sx={{ maxWidth: 560 }}>
      <Typography>
        A card with grey steps laid beside the tiles lets colours be measured whatever the light was. Say how
        light each of its steps is (L*, from dark to light), as its maker states it.
      </Typography>
      <Stack direction="row" spacing={1} useFlexGap sx={{ flexWrap: 'wrap' }}>
        {USUAL_CARDS.map((one) => (
          <Chip key={written(one)} label={written(one)} onClick={() => setText(written(one))} />
        ))}
      </Stack>
      <Box sx={{ display: 'flex', height: 40, width: 240 }} aria-hidden>
        {readable && steps.map((l) => <Box key={l} sx={{ flex: 1, bgcolor: hexOf([l, 0, 0]) }} />)}
      </Box>
      <TextField
        label="Lightness of its steps, L*"
        value={text}
        onChange={(event) => setText(event.target.value)}
        error={!readable}
        helperText={
          readable ? 'Empty: the studio has none.' : 'Numbers from 3 to 99, each larger than the one before.'
        }
      />
      <Button
        variant="outlined"
        disabled={busy || !readable || written(steps) === written(card ?? [])}
        onClick={() => void keep()}
        sx={{ alignSelf: 'flex-start' }}
      >
        Keep the card
      </Button>
      <ProblemNote>{problem}</ProblemNote>
    </Stack>
  );
}
