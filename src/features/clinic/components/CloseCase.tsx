'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { causeOf, type Ranked } from '@/core/diagnosis';
import { useSend } from '@/platform/useSend';
import { Section } from '@/ui/Page';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import * as contracts from '../contracts';
import type { CaseView } from '../queries';

/** What turned out true: one cause, several, or none that is known. */
export function CloseCase({ one, causes }: { one: CaseView['one']; causes: readonly Ranked[] }) {
  const { act, busy, problem } = useSend();
  const say = useSay();
  const router = useRouter();
  const [begun, setBegun] = useState(false);
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const [note, setNote] = useState('');
  const done = async (sent: Promise<{ ok: boolean; undo?: () => void }>, words: string) => {
    const answer = await sent;
    if (!answer.ok) return;
    say(words, answer.undo);
    router.refresh();
  };
  if (one.turnedOut !== null)
    return (
      <Section title="What turned out true">
        <Typography sx={{ fontWeight: 650 }}>
          {one.turnedOut.length === 0
            ? 'None of the causes that are known here.'
            : one.turnedOut.map((id) => causeOf(id)?.name ?? id).join('; ')}
        </Typography>
        {one.closingNote !== '' && <Typography sx={{ whiteSpace: 'pre-line' }}>{one.closingNote}</Typography>}
        <Typography variant="body2" color="text.secondary">
          {one.closedByName}
        </Typography>
        <ProblemNote>{problem}</ProblemNote>
        <Button
          disabled={busy}
          onClick={() => void done(act(contracts.reopen, { caseId: one.id }), 'The case is open again')}
        >
          Open it again
        </Button>
      </Section>
    );
  if (!begun)
    return (
      <Button variant="contained" onClick={() => setBegun(true)}>
        It turned out to be …
      </Button>
    );
  const toggle = (id: string): void =>
    setChosen(chosen.includes(id) ? chosen.filter((other) => other !== id) : [...chosen, id]);
  return (
    <Section title="What turned out true">
      <Box sx={{ display: 'flex', flexDirection: 'column' }}>
        {causes.map(({ id, name }) => (
          <FormControlLabel
            key={id}
            control={<Checkbox checked={chosen.includes(id)} onChange={() => toggle(id)} />}
            label={name}
          />
        ))}
      </Box>
      <TextField
        label="From what it is known"
        value={note}
        onChange={(event) => setNote(event.target.value)}
        multiline
        fullWidth
        sx={{ my: 1 }}
      />
      <ProblemNote>{problem}</ProblemNote>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button
          variant="contained"
          disabled={busy}
          onClick={() =>
            void done(
              act(contracts.close, {
                caseId: one.id,
                revision: one.revision,
                turnedOut: [...chosen],
                note,
              }),
              'The case is closed',
            )
          }
        >
          {chosen.length === 0 ? 'None that is known' : 'Close the case'}
        </Button>
        <Button onClick={() => setBegun(false)}>Not yet</Button>
      </Box>
    </Section>
  );
}
