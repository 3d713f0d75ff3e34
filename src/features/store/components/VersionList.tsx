'use client';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Coating } from '@/data/catalogue';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { day } from '@/ui/time';

/** A coating's versions, and the act of making the next one when its recipe or materials change. */
export function VersionList({
  coating,
  timeZone,
  edit,
}: {
  coating: Coating;
  timeZone: string;
  edit: boolean;
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const [notes, setNotes] = useState('');
  const add = async (): Promise<void> => {
    const answer = await act<{ no: number }>('store.add-version', { coatingId: coating.id, notes });
    if (!answer.ok) return;
    setNotes('');
    say(`Version ${answer.data.no} is made; new tiles use it`);
    router.refresh();
  };
  return (
    <>
      {[...coating.versions].reverse().map((version) => (
        <Typography
          key={version.id}
          sx={{ borderTop: '1px solid', borderColor: 'divider', py: 0.75 }}
        >
          <b>Version {version.no}</b>, {day(version.createdAt, timeZone)}
          {version.notes === '' ? '' : `: ${version.notes}`}
        </Typography>
      ))}
      {edit && (
        <Stack
          direction={{ xs: 'column', sm: 'row' }}
          spacing={1}
          sx={{ mt: 1 }}
          component="form"
          onSubmit={(event) => {
            event.preventDefault();
            void add();
          }}
        >
          <TextField
            label="What changed"
            placeholder="New supplier of feldspar"
            value={notes}
            onChange={(event) => setNotes(event.target.value)}
          />
          <Button
            type="submit"
            variant="outlined"
            disabled={busy || notes.trim() === ''}
            sx={{ flex: 'none' }}
          >
            Make next version
          </Button>
        </Stack>
      )}
      <ProblemNote>{problem}</ProblemNote>
    </>
  );
}
