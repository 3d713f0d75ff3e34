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

/** When the kiln was lit, and a way to put it right, or to say it at last where nobody did. */
export function LitAt({
  firingId,
  startedAt,
  openedAt,
  timeZone,
  edit,
}: {
  firingId: string;
  startedAt: Date | null;
  openedAt: Date | null;
  timeZone: string;
  edit: boolean;
}) {
  const router = useRouter();
  const { act, busy, problem } = useSend();
  const [open, setOpen] = useState(false);
  const [at, setAt] = useState(() =>
    (startedAt === null ? dayjs(openedAt).subtract(1, 'day') : dayjs(startedAt))
      .tz(timeZone)
      .format('YYYY-MM-DDTHH:mm'),
  );
  return (
    <>
      {startedAt === null
        ? 'Nobody said when it was lit. Once that is known, its log can be written up from paper or brought in as a file.'
        : `Lit ${moment(startedAt, timeZone)}.`}{' '}
      {edit && !open && (
        <Button size="small" onClick={() => setOpen(true)}>
          {startedAt === null ? 'Say when it was lit' : 'It was another time …'}
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
