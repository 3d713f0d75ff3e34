'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { turned, wrongWith, type Shape, type Spot } from '@/core/frame';
import type { Card } from '@/core/sight';
import { useSend } from '@/platform/useSend';
import { pictureUrl } from '@/ui/picture-url';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import * as contracts from '../contracts';
import { BY_HAND, propose } from '../propose';
import type { FaceZones, FramedPhoto } from '../of-piece';
import { FrameDrawing } from './FrameDrawing';

type Frames = { face: number; shape: Shape }[];

/** What somebody accepted, to be kept. */
export type Accepted = { frames: (Frames[number] & { guessed: boolean })[]; grey: Spot[] | null };

/** Accepting a frame: looked for by itself, nudged by whoever sees it, kept with one touch. */
export function FrameDialog({
  photo,
  faces,
  card,
  code,
  src,
  start,
  onAccept,
  onClose,
}: {
  photo: FramedPhoto;
  faces: readonly FaceZones[];
  card: Card | null;
  code: string;
  /** Where it is to be had, of one that is on this device only. */
  src?: string;
  /** Found already, or moved before. */
  start?: { frames: Frames; grey: Spot[] | null; moved: boolean };
  /** Takes what is accepted instead of it being kept at once. */
  onAccept?: (accepted: Accepted) => void;
  onClose: () => void;
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const known = photo.frames.length > 0;
  const first = start ?? (known ? { frames: photo.frames, grey: photo.grey, moved: true } : null);
  const [frames, setFrames] = useState<Frames>(first?.frames ?? []);
  const [grey, setGrey] = useState<Spot[] | null>(first?.grey ?? null);
  const [words, setWords] = useState<string[] | null>(first === null ? null : []);
  const [moved, setMoved] = useState(first?.moved ?? false);
  const [touching, setTouching] = useState<Spot[] | null>(null);
  const look = async (image: HTMLImageElement): Promise<void> => {
    const found = await propose(
      image,
      faces.map(({ no }) => no),
      card,
    );
    setFrames(found.frames);
    setGrey(found.grey);
    setWords(found.words);
  };
  const wrong = frames.map(({ shape }) => wrongWith(shape)).find((one) => one !== null) ?? null;
  const wanted = card?.length ?? 1;
  const touch = (at: Spot): void => {
    const next = [...(touching ?? []), at];
    if (next.length < wanted) return setTouching(next);
    setGrey(next);
    setTouching(null);
  };
  const keep = async (nothing = false): Promise<void> => {
    const accepted = {
      frames: nothing ? [] : frames.map((one) => ({ ...one, guessed: !moved })),
      grey: nothing ? null : grey,
    };
    if (onAccept !== undefined) return onAccept(accepted);
    const answer = await act(contracts.setFrames, { photoId: photo.id, ...accepted, nothing });
    if (!answer.ok) return;
    const { zones, byGrey, why } = answer.data;
    if (nothing) say('Nothing is framed in it', answer.undo);
    else
      say(
        byGrey
          ? `Framed; colours of ${zones === 1 ? 'one zone' : `${zones} zones`} measured`
          : `Framed; colours not measured: ${why}`,
        answer.undo,
      );
    onClose();
    router.refresh();
  };
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="frame-title">
      <DialogTitle id="frame-title">Where {code} is in the picture</DialogTitle>
      <DialogContent>
        <FrameDrawing
          src={src ?? pictureUrl(photo.sha, 'large')}
          alt={`Picture of ${code}`}
          aspect={photo.height / photo.width}
          frames={frames.map((one) => {
            const face = faces.find(({ no }) => no === one.face);
            return { ...one, label: face?.label ?? 'Face', zones: face?.zones ?? [] };
          })}
          grey={touching ?? grey ?? []}
          onShape={(face, shape) => {
            setMoved(true);
            setFrames((list) => list.map((one) => (one.face === face ? { face, shape } : one)));
          }}
          onGrey={setGrey}
          onTouch={touching === null ? null : touch}
          onLoaded={(image) => {
            if (words === null) void look(image);
          }}
        />
        <Stack spacing={0.5} sx={{ mt: 1 }} role="status">
          {words === null && <Typography>Looking for its edges …</Typography>}
          {words?.map((line) => (
            <Typography key={line}>{line}</Typography>
          ))}
          {wrong !== null && <Typography color="error">{wrong}</Typography>}
          {touching !== null ? (
            <Typography sx={{ fontWeight: 600 }}>
              Touch step {touching.length + 1} of {wanted} of the grey card, from dark to light.
            </Typography>
          ) : (
            words !== null && (
              <Typography variant="body2" color="text.secondary">
                {card === null
                  ? 'The studio has not said what its grey card is (under Studio): colours are not measured.'
                  : grey === null
                    ? 'No grey card found: colours are not measured.'
                    : 'Colours will be measured by the grey card.'}
              </Typography>
            )
          )}
        </Stack>
        <ProblemNote>{problem}</ProblemNote>
      </DialogContent>
      <DialogActions sx={{ flexWrap: 'wrap', rowGap: 1 }}>
        <Button
          onClick={() => {
            setMoved(true);
            setFrames((list) =>
              list.map((one) => (one.shape.kind === 'corners' ? { ...one, shape: turned(one.shape) } : one)),
            );
          }}
          disabled={frames.every(({ shape }) => shape.kind === 'ellipse')}
        >
          Foot is at another side
        </Button>
        <Button
          onClick={() => {
            setMoved(true);
            setFrames((list) =>
              list.map((one) => ({
                ...one,
                shape:
                  one.shape.kind === 'ellipse'
                    ? BY_HAND
                    : { kind: 'ellipse', centre: { x: 0.5, y: 0.5 }, across: 0.3, along: 0.3, turn: 0 },
              })),
            );
          }}
        >
          {frames[0]?.shape.kind === 'ellipse' ? 'It is flat' : 'It is round'}
        </Button>
        {card !== null && (
          <Button onClick={() => setTouching([])}>
            {grey === null ? 'Touch the grey card' : 'Grey is elsewhere'}
          </Button>
        )}
        <Button disabled={busy} onClick={() => void keep(true)}>
          Nothing to frame here
        </Button>
        <Button onClick={onClose}>Not now</Button>
        <Button
          variant="contained"
          disabled={busy || words === null || wrong !== null || touching !== null}
          onClick={() => void keep()}
        >
          That is it
        </Button>
      </DialogActions>
    </Dialog>
  );
}
