'use client';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { fieldNumber } from '@/core/units';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { QuantityField } from '@/ui/QuantityField';
import { useSay } from '@/ui/Undo';

/** What we want to do otherwise: comes up when the next firing of this kiln is planned. */
export function NextTime({
  firingId,
  nextTime,
  energyUsed,
  unit,
}: {
  firingId: string;
  nextTime: string;
  energyUsed: number | null;
  unit: string;
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const [text, setText] = useState(nextTime);
  const [energy, setEnergy] = useState(energyUsed === null ? '' : String(energyUsed));
  return (
    <Stack
      component="form"
      spacing={1.5}
      sx={{ maxWidth: 720 }}
      onSubmit={(event) => {
        event.preventDefault();
        const read = fieldNumber(energy);
        if (Number.isNaN(read)) return;
        void act('kilns.set-run', {
          firingId,
          nextTime: text,
          energyUsed: read,
        }).then((answer) => {
          if (!answer.ok) return;
          say('Kept for next time');
          router.refresh();
        });
      }}
    >
      <TextField
        label="Next time"
        value={text}
        onChange={(event) => setText(event.target.value)}
        multiline
        minRows={2}
        placeholder="Start the reduction earlier; bottom shelf ten degrees cool."
        helperText="Shown when the next firing of this kiln is planned."
      />
      <Stack direction="row" spacing={1.5}>
        <QuantityField label={`Meter, ${unit}`} value={energy} onChange={setEnergy} width={200} />
        <Button type="submit" variant="outlined" disabled={busy}>
          Keep for next time
        </Button>
      </Stack>
      <ProblemNote>{problem}</ProblemNote>
    </Stack>
  );
}
