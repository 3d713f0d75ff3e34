'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Bucket } from '@/data/buckets';
import { useContractForm } from '@/platform/useContractForm';
import { useSend } from '@/platform/useSend';
import { FormShell } from '@/ui/FormShell';
import { useSay } from '@/ui/Undo';
import { BucketFields } from './BucketFields';
import * as contracts from '../contracts';

/** Editing a bucket, and putting it out of use when it is empty. */
export function BucketActs({ bucket }: { bucket: Bucket }) {
  const router = useRouter();
  const say = useSay();
  const { act, busy } = useSend();
  const [editing, setEditing] = useState(false);
  const empty = async (emptied: boolean): Promise<void> => {
    const answer = await act(contracts.emptyBucket, { id: bucket.id, emptied });
    if (!answer.ok) return;
    say(emptied ? 'Emptied: it stays on record' : 'In use again', answer.undo);
    router.refresh();
  };
  return (
    <>
      <Button variant="outlined" onClick={() => setEditing(true)}>
        Edit
      </Button>
      <Button disabled={busy} onClick={() => void empty(bucket.emptiedAt === null)}>
        {bucket.emptiedAt === null ? 'It is empty' : 'Take into use again'}
      </Button>
      <Dialog open={editing} onClose={() => setEditing(false)} maxWidth="md" fullWidth>
        <DialogTitle>{bucket.name}</DialogTitle>
        <DialogContent sx={{ pt: '8px !important' }}>
          <BucketForm bucket={bucket} onDone={() => setEditing(false)} />
        </DialogContent>
      </Dialog>
    </>
  );
}

function BucketForm({ bucket, onDone }: { bucket: Bucket; onDone: () => void }) {
  const router = useRouter();
  const say = useSay();
  const { id, revision, name, dryG, shape, widthMm, depthMm, litres, advice } = bucket;
  const form = useContractForm(contracts.saveBucket, {
    start: { id, revision, fields: { name, dryG, shape, widthMm, depthMm, litres, advice } },
    draft: `${id}/${revision}`,
    done: () => {
      onDone();
      say('Saved');
      router.refresh();
    },
  });
  return (
    <FormShell form={form} act="Save" acts={<Button onClick={onDone}>Leave it</Button>} sx={{}}>
      <BucketFields />
    </FormShell>
  );
}
