'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { v7 } from 'uuid';
import { useSend } from '@/platform/useSend';
import { useSay } from '@/ui/Undo';
import * as contracts from '../contracts';

/** Shelves of a kiln that were to be ground, and have been. */
export function Ground({ kilnId, shelf, today }: { kilnId: string; shelf: number; today: string }) {
  const router = useRouter();
  const say = useSay();
  const { act, busy } = useSend();
  const [id, setId] = useState(() => v7());
  const done = async (): Promise<void> => {
    const answer = await act(contracts.upkeep, {
      kilnId,
      id,
      kind: 'ground',
      doneOn: today,
      note: '',
      shelf,
    });
    if (!answer.ok) return;
    setId(v7());
    say(`Shelf ${shelf} is ground`, answer.undo);
    router.refresh();
  };
  return (
    <Button variant="outlined" size="small" disabled={busy} onClick={() => void done()}>
      Shelf {shelf} is ground
    </Button>
  );
}
