'use client';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import dayjs from 'dayjs';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { moment } from '@/ui/time';
import * as contracts from '../contracts';
import { Form } from '@/ui/Form';

/** When the kiln was lit, and a way to put it right. */
export function LitAt({
  firingId,
  startedAt,
  timeZone,
  edit,
}: {
  firingId: string;
  startedAt: Date;
  timeZone: string;
  edit: boolean;
}) {
  const router = useRouter();
  const { act, busy, problem } = useSend();
  const [open, setOpen] = useState(false);
  const local = dayjs(startedAt).tz(timeZone).format('YYYY-MM-DDTHH:mm');
  const [at, setAt] = useState(local);
  return (
    <>
      Lit {moment(startedAt, timeZone)}.{' '}
      {edit && !open && (
        <Button size="small" onClick={() => setOpen(true)}>
          It was another time …
        </Button>
      )}
      {open && (
        <Stack
          component={Form}
          direction="row"
          spacing={1}
          sx={{ mt: 1, maxWidth: 420 }}
          onSubmit={(event) => {
            event.preventDefault();
            const moved = dayjs.tz(at, timeZone);
            if (!moved.isValid()) return;
            void act(contracts.litAt, { firingId, at: moved.toISOString() }).then((answer) => {
              if (!answer.ok) return;
              setOpen(false);
              router.refresh();
            });
          }}
        >
          <TextField
            type="datetime-local"
            label="Lit at"
            value={at}
            onChange={(event) => setAt(event.target.value)}
            slotProps={{ inputLabel: { shrink: true } }}
          />
          <Button type="submit" variant="outlined" disabled={busy}>
            Keep
          </Button>
        </Stack>
      )}
      <ProblemNote>{problem}</ProblemNote>
    </>
  );
}
