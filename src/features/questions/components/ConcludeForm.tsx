'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { COUNTS } from '@/core/designs';
import type { Conclusion, Question } from '@/data/questions';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';

/** What came out, against what was expected, on several counts, and what to change next. */
export function ConcludeForm({ question }: { question: Pick<Question, 'id' | 'expected'> }) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const [conclusion, setConclusion] = useState<Conclusion>({
    said: '',
    asExpected: 'as expected',
    counts: {},
    nextChange: '',
  });
  const conclude = async (next: Conclusion | null): Promise<void> => {
    const answer = await act('questions.conclude', { id: question.id, conclusion: next });
    if (!answer.ok) return;
    say(next === null ? 'The question is open again' : 'Concluded', () => void conclude(null));
    router.refresh();
  };
  return (
    <Stack
      spacing={1.5}
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        void conclude({
          ...conclusion,
          counts: Object.fromEntries(
            Object.entries(conclusion.counts).filter(([, text]) => text.trim() !== ''),
          ),
        });
      }}
      sx={{ maxWidth: 760 }}
    >
      <TextField
        label="What came out"
        multiline
        value={conclusion.said}
        onChange={(event) => setConclusion({ ...conclusion, said: event.target.value })}
      />
      <Box>
        {question.expected !== '' && (
          <Typography variant="body2" sx={{ mb: 0.5 }}>
            Expected was: {question.expected}
          </Typography>
        )}
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-label="Against what was expected"
          value={conclusion.asExpected}
          onChange={(_, asExpected: Conclusion['asExpected'] | null) =>
            asExpected && setConclusion({ ...conclusion, asExpected })
          }
        >
          {(['as expected', 'otherwise', 'cannot tell'] as const).map((value) => (
            <ToggleButton key={value} value={value}>
              {value}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      </Box>
      <Box
        sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr 1fr' } }}
      >
        {COUNTS.map((count) => (
          <TextField
            key={count}
            label={count === 'mix a bucket' ? 'Would we mix a bucket?' : `On ${count}`}
            value={conclusion.counts[count] ?? ''}
            onChange={(event) =>
              setConclusion({
                ...conclusion,
                counts: { ...conclusion.counts, [count]: event.target.value },
              })
            }
          />
        ))}
      </Box>
      <TextField
        label="Next change"
        value={conclusion.nextChange}
        onChange={(event) => setConclusion({ ...conclusion, nextChange: event.target.value })}
      />
      <ProblemNote>{problem}</ProblemNote>
      <Button
        type="submit"
        variant="contained"
        disabled={busy || conclusion.said.trim() === ''}
        sx={{ alignSelf: 'flex-start' }}
      >
        Conclude
      </Button>
    </Stack>
  );
}

/** Opens a concluded question again. */
export function ReopenButton({ id }: { id: string }) {
  const router = useRouter();
  const { act, busy } = useSend();
  return (
    <Button
      size="small"
      disabled={busy}
      onClick={() =>
        void act('questions.conclude', { id, conclusion: null }).then(() => router.refresh())
      }
    >
      Open it again
    </Button>
  );
}
