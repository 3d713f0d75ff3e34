'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useSend } from '@/platform/useSend';
import { Picture } from '@/ui/Picture';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import * as contracts from '../contracts';

/** A picture of a piece: large at a touch; a wrong one goes to the bin and can be brought back. */
export function PiecePicture({
  photo,
  code,
  edit,
}: {
  photo: { id: string; sha: string };
  code: string;
  edit: boolean;
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const bin = async (): Promise<void> => {
    const answer = await act(contracts.binPicture, { photoId: photo.id, binned: true });
    if (!answer.ok) return;
    say('Picture put in the bin', answer.undo);
    router.refresh();
  };
  return (
    <Box sx={{ width: 150 }}>
      <a href={`/api/pictures/${photo.sha}/large`}>
        <Picture sha={photo.sha} alt={`Picture of ${code}`} />
      </a>
      {edit && (
        <Button size="small" disabled={busy} onClick={() => void bin()}>
          Wrong picture
        </Button>
      )}
      <ProblemNote>{problem}</ProblemNote>
    </Box>
  );
}
