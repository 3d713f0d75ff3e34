'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { place } from '../../loading/contracts';

/** Puts a waiting control tile into a load; where it stands is said with the rest of the load. */
export function PutControlIn({ firingId, piece }: { firingId: string; piece: { id: string; code: string } }) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const put = async (): Promise<void> => {
    const answer = await act(place, { firingId, pieceIds: [piece.id], shelf: null });
    if (!answer.ok) return;
    say(`${piece.code} is in this firing`, answer.undo);
    router.refresh();
  };
  return (
    <>
      <Button variant="outlined" disabled={busy} onClick={() => void put()}>
        Put {piece.code} in
      </Button>
      <ProblemNote>{problem}</ProblemNote>
    </>
  );
}
