'use client';
import { zodResolver } from '@hookform/resolvers/zod';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import type { Bucket } from '@/data/buckets';
import { showFieldProblems, useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { bucketFields, type BucketInput } from '../recipe-schema';
import { BucketFields } from './BucketFields';

/** Editing a bucket, and putting it out of use when it is empty. */
export function BucketActs({ bucket }: { bucket: Bucket }) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const [editing, setEditing] = useState(false);
  const { name, dryG, shape, widthMm, depthMm, litres, advice } = bucket;
  const form = useForm<BucketInput>({
    resolver: zodResolver(bucketFields) as never,
    values: { name, dryG, shape, widthMm, depthMm, litres, advice },
  });
  const empty = async (emptied: boolean): Promise<void> => {
    const answer = await act('store.empty-bucket', { id: bucket.id, emptied });
    if (!answer.ok) return;
    say(emptied ? 'Emptied: it stays on record' : 'In use again', () => void empty(!emptied));
    router.refresh();
  };
  const submit = form.handleSubmit(async (fields) => {
    const answer = await act('store.save-bucket', {
      id: bucket.id,
      revision: bucket.revision,
      fields,
    });
    showFieldProblems(answer, form.setError, 'fields.');
    if (!answer.ok) return;
    setEditing(false);
    say('Saved');
    router.refresh();
  });
  return (
    <>
      <Button variant="outlined" onClick={() => setEditing(true)}>
        Edit
      </Button>
      <Button disabled={busy} onClick={() => void empty(bucket.emptiedAt === null)}>
        {bucket.emptiedAt === null ? 'It is empty' : 'Take into use again'}
      </Button>
      <Dialog open={editing} onClose={() => setEditing(false)} maxWidth="md" fullWidth>
        <form onSubmit={(event) => void submit(event)} noValidate>
          <DialogTitle>{bucket.name}</DialogTitle>
          <DialogContent sx={{ pt: '8px !important' }}>
            <BucketFields control={form.control} />
            <ProblemNote>{problem}</ProblemNote>
          </DialogContent>
          <DialogActions>
            <Button onClick={() => setEditing(false)}>Leave it</Button>
            <Button type="submit" variant="contained" disabled={busy}>
              Save
            </Button>
          </DialogActions>
        </form>
      </Dialog>
    </>
  );
}
