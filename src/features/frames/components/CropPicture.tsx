'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { outlineOf, type Box, type Shape } from '@/core/frame';
import { count } from '@/core/units';
import { useSend } from '@/platform/useSend';
import { pictureUrl } from '@/ui/picture-url';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import * as contracts from '../contracts';
import type { FramedPhoto } from '../of-piece';
import { FrameDrawing } from './FrameDrawing';

const LEAST = 0.06;

/** The four corners of a part, in a frame's order. */
const shapeOf = ({ x, y, width, height }: Box): Shape => ({
  kind: 'corners',
  corners: [
    { x, y: y + height },
    { x: x + width, y: y + height },
    { x: x + width, y },
    { x, y },
  ],
});

/** A part that one of its corners was moved of: upright still, and inside the picture. */
export function movedBox(box: Box, shape: Shape): Box {
  if (shape.kind !== 'corners') return box;
  const before = shapeOf(box);
  if (before.kind !== 'corners') return box;
  const at = shape.corners.findIndex(
    ({ x, y }, i) => x !== before.corners[i]!.x || y !== before.corners[i]!.y,
  );
  if (at < 0) return box;
  const to = shape.corners[at]!;
  const inside = (v: number, from: number, most: number): number => Math.min(most, Math.max(from, v));
  const [left, right] =
    at === 0 || at === 3
      ? [inside(to.x, 0, box.x + box.width - LEAST), box.x + box.width]
      : [box.x, inside(to.x, box.x + LEAST, 1)];
  const [top, foot] =
    at >= 2
      ? [inside(to.y, 0, box.y + box.height - LEAST), box.y + box.height]
      : [box.y, inside(to.y, box.y + LEAST, 1)];
  return { x: left, y: top, width: right - left, height: foot - top };
}

const EVERYWHERE = { stretch: { from: 0, to: 1 }, sector: { from: 0, to: 1 } };
const MARGIN = 0.05;

/**
 * What has to stay, with a little around it: what is framed, and the grey. Where nothing is known, most of
 * the picture.
 */
function toKeep({ frames, grey, width, height }: FramedPhoto): Box {
  const spots = [
    ...frames.flatMap(({ shape }) => outlineOf(shape, EVERYWHERE, height / width)),
    ...(grey ?? []),
  ];
  if (spots.length === 0) return { x: 0.1, y: 0.1, width: 0.8, height: 0.8 };
  const within = (v: number): number => Math.min(1, Math.max(0, v));
  const [xs, ys] = [spots.map(({ x }) => x), spots.map(({ y }) => y)];
  const [left, right] = [within(Math.min(...xs) - MARGIN), within(Math.max(...xs) + MARGIN)];
  const [top, foot] = [within(Math.min(...ys) - MARGIN), within(Math.max(...ys) + MARGIN)];
  return { x: left, y: top, width: right - left, height: foot - top };
}

/** Keeps a part of a picture and nothing else of it, for good. */
export function CropPicture({
  photo,
  code,
  onClose,
}: {
  photo: FramedPhoto;
  code: string;
  onClose: () => void;
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const [box, setBox] = useState<Box>(() => toKeep(photo));
  const keep = async (): Promise<void> => {
    const answer = await act(contracts.cropPicture, { photoId: photo.id, keep: box });
    if (!answer.ok) return;
    say(`Cut away for good, in the pictures of ${count(answer.data.pieces, 'piece')}`);
    onClose();
    router.refresh();
  };
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="crop-title">
      <DialogTitle id="crop-title">Keep only a part of this picture of {code}</DialogTitle>
      <DialogContent>
        <FrameDrawing
          src={pictureUrl(photo.sha, 'large')}
          alt={`Picture of ${code}`}
          aspect={photo.height / photo.width}
          frames={[{ face: 0, label: 'Kept', shape: shapeOf(box), zones: [] }]}
          outlines={photo.frames.flatMap(({ shape }) => (shape.kind === 'corners' ? [shape.corners] : []))}
          grey={[]}
          onShape={(_, shape) => setBox(movedBox(box, shape))}
          onGrey={() => undefined}
          onTouch={null}
          onLoaded={() => undefined}
        />
        <Typography sx={{ mt: 1 }}>
          What lies outside is taken off the disk, in every piece’s picture that was cut from this one. There
          is no way back. Backups made before still hold it until they are deleted, and so may a device that
          has shown it.
        </Typography>
        <ProblemNote>{problem}</ProblemNote>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button variant="contained" color="error" disabled={busy} onClick={() => void keep()}>
          Cut the rest away for good
        </Button>
      </DialogActions>
    </Dialog>
  );
}
