'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useSend } from '@/platform/useSend';
import { Picture } from '@/ui/Picture';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import * as contracts from '../contracts';

/** A place in a picture where a sign was seen. */
export type Pin = { x: number; y: number; sign: string };

/** A picture of a piece: large at a touch; a wrong one goes to the bin and can be brought back. */
export function PiecePicture({
  photo,
  code,
  edit,
  pins = [],
}: {
  photo: { id: string; sha: string; width: number; height: number };
  code: string;
  edit: boolean;
  /** Where signs were seen, in fractions of the picture. */
  pins?: readonly Pin[];
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
      <Box
        component="a"
        href={`/api/pictures/${photo.sha}/large`}
        sx={{ position: 'relative', display: 'block' }}
      >
        <Picture sha={photo.sha} alt={`Picture of ${code}`} />
        {pins.length > 0 && (
          // Laid over it as the picture itself is fitted into its box.
          <svg
            viewBox={`0 0 ${photo.width} ${photo.height}`}
            role="img"
            aria-label={[...new Set(pins.map(({ sign }) => sign))].join(', ')}
            style={{ position: 'absolute', inset: 0, width: '100%', height: '100%' }}
          >
            {pins.map(({ x, y, sign }, i) => (
              <g key={i} fill="none" transform={`translate(${x * photo.width} ${y * photo.height})`}>
                <title>{sign}</title>
                <circle r={photo.width / 26} stroke="#000" strokeWidth={photo.width / 45} />
                <circle r={photo.width / 26} stroke="#fff" strokeWidth={photo.width / 90} />
              </g>
            ))}
          </svg>
        )}
      </Box>
      {edit && (
        <Button size="small" disabled={busy} onClick={() => void bin()}>
          Wrong picture
        </Button>
      )}
      <ProblemNote>{problem}</ProblemNote>
    </Box>
  );
}
