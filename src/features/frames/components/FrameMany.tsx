'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { outlineOf, wrongWith, type Shape, type Spot } from '@/core/frame';
import type { Card } from '@/core/sight';
import { count } from '@/core/units';
import { useSend } from '@/platform/useSend';
import { pictureUrl } from '@/ui/picture-url';
import { ProblemNote } from '@/ui/Problem';
import { MONO } from '@/ui/theme';
import { useSay } from '@/ui/Undo';
import * as contracts from '../contracts';
import type { ToFrame } from '../of-piece';
import { propose } from '../propose';
import { FrameDialog } from './FrameDialog';

/** What is proposed for a picture, or what somebody made of it. */
type Draft = {
  frames: { face: number; shape: Shape }[];
  grey: Spot[] | null;
  moved: boolean;
  words: string[];
  /** To be kept with the others. */
  ticked: boolean;
  nothing: boolean;
};

const WHOLE = { stretch: { from: 0, to: 1 }, sector: { from: 0, to: 1 } };

/**
 * Many pictures without a frame at once: looked at by themselves, those that are wrong touched, all kept in
 * one act.
 */
export function FrameMany({
  list,
  all,
  card,
}: {
  list: readonly ToFrame[];
  /** How many there are in all. */
  all: number;
  card: Card | null;
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const [drafts, setDrafts] = useState<Readonly<Record<string, Draft>>>({});
  const [open, setOpen] = useState<string | null>(null);
  const look = async (image: HTMLImageElement, { photo, faces }: ToFrame): Promise<void> => {
    if (drafts[photo.id] !== undefined) return;
    const found = await propose(
      image,
      faces.map(({ no }) => no),
      card,
    );
    // What had to be guessed at is shown, and left for somebody to say.
    const sure = found.words.length === 0 && found.frames.every(({ shape }) => wrongWith(shape) === null);
    setDrafts((held) =>
      held[photo.id] === undefined
        ? { ...held, [photo.id]: { ...found, moved: false, ticked: sure, nothing: false } }
        : held,
    );
  };
  const change = (id: string, rest: Partial<Draft>): void =>
    setDrafts((held) => (held[id] === undefined ? held : { ...held, [id]: { ...held[id], ...rest } }));
  const chosen = list.filter(({ photo }) => drafts[photo.id]?.ticked === true);
  const looked = list.filter(({ photo }) => drafts[photo.id] !== undefined).length;
  const keep = async (): Promise<void> => {
    const answer = await act(contracts.setManyFrames, {
      pictures: chosen.map(({ photo }) => {
        const { frames, grey, moved, nothing } = drafts[photo.id]!;
        return {
          photoId: photo.id,
          frames: nothing ? [] : frames.map((one) => ({ ...one, guessed: !moved })),
          grey: nothing ? null : grey,
          nothing,
        };
      }),
    });
    if (!answer.ok) return;
    const { framed, measured } = answer.data;
    say(
      `${count(framed, 'picture')} framed, ${measured === framed ? 'all' : measured} measured by the grey card`,
      answer.undo,
    );
    setDrafts({});
    router.refresh();
  };
  const at = list.find(({ photo }) => photo.id === open);
  return (
    <>
      <Box
        component="ul"
        sx={{
          listStyle: 'none',
          p: 0,
          m: 0,
          display: 'grid',
          gap: 1.5,
          gridTemplateColumns: 'repeat(auto-fill, minmax(150px, 1fr))',
        }}
      >
        {list.map((one) => (
          <Proposed
            key={one.photo.id}
            one={one}
            draft={drafts[one.photo.id] ?? null}
            onLoaded={(image) => void look(image, one)}
            onTick={(ticked) => change(one.photo.id, { ticked })}
            onOpen={() => setOpen(one.photo.id)}
          />
        ))}
      </Box>
      <ProblemNote>{problem}</ProblemNote>
      <Box
        sx={{
          position: 'sticky',
          bottom: { xs: 60, md: 0 },
          bgcolor: 'background.default',
          py: 1.5,
          display: 'flex',
          gap: 2,
          alignItems: 'center',
          flexWrap: 'wrap',
        }}
      >
        <Button
          variant="contained"
          size="large"
          disabled={busy || chosen.length === 0}
          onClick={() => void keep()}
        >
          {busy ? 'Measuring …' : `Accept ${count(chosen.length, 'frame', 'frames')}`}
        </Button>
        <Typography role="status" color="text.secondary">
          {looked < list.length
            ? `Looking: ${looked} of ${list.length}`
            : [
                list.length > chosen.length ? `${list.length - chosen.length} of these left out` : '',
                all > list.length ? `${all - list.length} more after them` : '',
              ]
                .filter(Boolean)
                .join(', ')}
        </Typography>
      </Box>
      {at !== undefined && drafts[at.photo.id] !== undefined && (
        <FrameDialog
          photo={at.photo}
          faces={at.faces}
          card={card}
          code={at.code}
          start={drafts[at.photo.id]!}
          onAccept={({ frames, grey }) => {
            change(at.photo.id, {
              frames,
              grey,
              moved: frames.some(({ guessed }) => !guessed),
              nothing: frames.length === 0,
              ticked: true,
              words: [],
            });
            setOpen(null);
          }}
          onClose={() => setOpen(null)}
        />
      )}
    </>
  );
}

function Proposed({
  one: { photo, code, faces },
  draft,
  onLoaded,
  onTick,
  onOpen,
}: {
  one: ToFrame;
  draft: Draft | null;
  onLoaded: (image: HTMLImageElement) => void;
  onTick: (ticked: boolean) => void;
  onOpen: () => void;
}) {
  const aspect = photo.height / photo.width;
  return (
    <Box component="li" sx={{ opacity: draft === null || draft.ticked ? 1 : 0.75 }}>
      <Box
        component="button"
        type="button"
        aria-label={`Where ${code} is in the picture`}
        disabled={draft === null}
        onClick={onOpen}
        sx={{
          all: 'unset',
          display: 'block',
          width: '100%',
          cursor: 'pointer',
          position: 'relative',
          bgcolor: 'booth.ground',
          aspectRatio: '3 / 4',
          '&:focus-visible': { outline: '3px solid' },
        }}
      >
        <Box
          sx={{
            position: 'absolute',
            inset: 0,
            m: 'auto',
            width: aspect > 4 / 3 ? 'auto' : '100%',
            height: aspect > 4 / 3 ? '100%' : 'auto',
            aspectRatio: `${1 / aspect}`,
          }}
        >
          {/* eslint-disable-next-line @next/next/no-img-element -- looked at pixel by pixel */}
          <img
            src={pictureUrl(photo.sha, 'medium')}
            alt={`Picture of ${code}`}
            // One that came out of the cache was there before anybody listened.
            ref={(image) => {
              if (image?.complete && image.naturalWidth > 0) onLoaded(image);
            }}
            onLoad={(event) => onLoaded(event.currentTarget)}
            style={{ width: '100%', height: '100%', display: 'block' }}
          />
          {draft !== null && !draft.nothing && (
            <svg
              aria-hidden
              viewBox={`0 0 1000 ${1000 * aspect}`}
              style={{ position: 'absolute', inset: 0, width: '100%', height: '100%' }}
            >
              {draft.frames.flatMap(({ face, shape }) =>
                ['#000', '#fff'].map((stroke) => (
                  <polygon
                    key={`${face}${stroke}`}
                    points={outlineOf(shape, WHOLE, aspect)
                      .map(({ x, y }) => `${1000 * x},${1000 * aspect * y}`)
                      .join(' ')}
                    fill="none"
                    stroke={stroke}
                    strokeWidth={stroke === '#000' ? 16 : 8}
                    strokeDasharray={draft.ticked ? undefined : '30 24'}
                  />
                )),
              )}
            </svg>
          )}
        </Box>
      </Box>
      <Box sx={{ display: 'flex', alignItems: 'center' }}>
        <Checkbox
          checked={draft?.ticked ?? false}
          disabled={draft === null}
          onChange={(_, ticked) => onTick(ticked)}
          slotProps={{ input: { 'aria-label': `Keep the frame of ${code}` } }}
        />
        <Box component="span" sx={{ fontFamily: MONO, fontWeight: 700 }}>
          {code}
        </Box>
      </Box>
      <Typography variant="body2" color="text.secondary">
        {draft === null
          ? 'looking …'
          : draft.nothing
            ? 'nothing to frame'
            : [...draft.words, draft.grey === null ? 'no grey card found' : ''].filter(Boolean).join(' ') ||
              count(faces.length, 'face')}
      </Typography>
    </Box>
  );
}
