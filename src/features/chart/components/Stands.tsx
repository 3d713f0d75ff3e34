import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { letStand } from '../../frames/contracts';

/** Which picture stands for the cell on the chart: this one, or this one from now on. */
export function Stands({
  picture: { id, cellId, code },
  stands,
  onDone,
}: {
  picture: { id: string; cellId: string; code: string };
  stands: boolean;
  onDone: () => void;
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const choose = async (): Promise<void> => {
    const answer = await act(letStand, { cellId, photoId: id });
    if (!answer.ok) return;
    say(`This picture of ${code} stands on the chart`, answer.undo);
    onDone();
    router.refresh();
  };
  return (
    <>
      {stands ? (
        <Typography variant="body2" color="text.secondary" sx={{ py: 0.75 }}>
          This picture stands for the cell on the chart.
        </Typography>
      ) : (
        <Button size="small" disabled={busy} onClick={() => void choose()}>
          Let this picture stand on the chart
        </Button>
      )}
      <ProblemNote>{problem}</ProblemNote>
    </>
  );
}
