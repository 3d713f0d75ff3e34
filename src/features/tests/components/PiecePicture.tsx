'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useSend } from '@/platform/useSend';
import { Picture } from '@/ui/Picture';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';

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
  const bin = async (binned: boolean): Promise<void> => {
    if (!(await act('opening.bin-picture', { photoId: photo.id, binned })).ok) return;
    say(
      binned ? 'Picture put in the bin' : 'Picture is back',
      binned ? () => void bin(false) : undefined,
    );
    router.refresh();
  };
  return (
    <Box sx={{ width: 150 }}>
      <a href={`/api/pictures/${photo.sha}/large`}>
        <Picture sha={photo.sha} alt={`Picture of ${code}`} />
      </a>
      {edit && (
        <Button size="small" disabled={busy} onClick={() => void bin(true)}>
          Wrong picture
        </Button>
      )}
      <ProblemNote>{problem}</ProblemNote>
    </Box>
  );
}
