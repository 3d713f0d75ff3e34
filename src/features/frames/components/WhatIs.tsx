'use client';
import AddAPhoto from '@mui/icons-material/AddAPhotoOutlined';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useState, type PointerEvent } from 'react';
import { colourWord, labOfHex, labWords, type Lab } from '@/core/colour';
import type { Spot } from '@/core/frame';
import type { Card } from '@/core/sight';
import { DropFile } from '@/ui/DropFile';
import { ProblemNote } from '@/ui/Problem';
import { spotColour } from '../spot';
import { openPicture, type OpenPicture } from '../pixels';
import { proposeIn } from '../propose';
import { ColourStrip } from './CellColour';
import { Nearest, type Narrowed } from './Nearest';

/** What is looked for: a touched spot of a picture, or a colour that was picked. */
type Sought = { lab: Lab; byGrey: boolean; why: string | null };

/** A picture that stays here, a touch of it, and the studio’s stacks that come nearest. */
export function WhatIs({ card, ...choices }: { card: Card | null } & Narrowed) {
  const [picture, setPicture] = useState<OpenPicture | null>(null);
  const [steps, setSteps] = useState<Spot[] | null>(null);
  const [looking, setLooking] = useState(false);
  /** Steps of the card touched so far, while they are asked for. */
  const [touching, setTouching] = useState<Spot[] | null>(null);
  const [at, setAt] = useState<Spot | null>(null);
  const [picked, setPicked] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => () => URL.revokeObjectURL(picture?.url ?? ''), [picture]);
  const open = async (file: File | undefined): Promise<void> => {
    if (file === undefined) return;
    setProblem(null);
    try {
      const next = await openPicture(file);
      setPicture(next);
      setAt(null);
      setSteps(null);
      setPicked(null);
      if (card === null) return;
      setLooking(true);
      setSteps((await proposeIn(next.raster, [], card)).grey);
      setLooking(false);
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    }
  };
  const touch = (spot: Spot): void => {
    if (touching === null) {
      setPicked(null);
      return setAt(spot);
    }
    const next = [...touching, spot];
    if (next.length < (card?.length ?? 1)) return setTouching(next);
    setSteps(next);
    setTouching(null);
  };
  const sought: Sought | null =
    picked !== null
      ? { lab: labOfHex(picked), byGrey: true, why: null }
      : picture !== null && at !== null
        ? spotColour(picture.raster, at, { steps, card })
        : null;
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 3,
        gridTemplateColumns: { xs: '1fr', md: 'minmax(0, 420px) minmax(0, 1fr)' },
      }}
    >
      <Box>
        <DropFile
          label={
            <>
              <AddAPhoto aria-hidden />
              {picture === null ? 'Take or drop a picture' : 'Another picture'}
            </>
          }
          name="Picture of what is to be found"
          accept="image/*"
          minHeight={picture === null ? 180 : 56}
          onFile={(file) => void open(file)}
        />
        <ProblemNote>{problem}</ProblemNote>
        {picture !== null && (
          <Touched
            picture={picture}
            at={touching === null ? at : null}
            steps={touching ?? steps ?? []}
            onTouch={touch}
          />
        )}
        <Typography role="status" variant="body2" sx={{ my: 1 }}>
          {touching !== null
            ? `Touch step ${touching.length + 1} of ${card?.length ?? 1} of the grey card, from dark to light.`
            : picture === null || picked !== null
              ? ''
              : looking
                ? 'Looking for the grey card …'
                : at === null
                  ? 'Touch the glaze.'
                  : (sought?.why ?? 'Measured by the grey card.')}
        </Typography>
        {picture !== null && card !== null && touching === null && !looking && (
          <Button size="small" onClick={() => setTouching([])}>
            {steps === null ? 'Touch the grey card' : 'Grey is elsewhere'}
          </Button>
        )}
        <Typography
          component="label"
          variant="body2"
          sx={{ display: 'flex', gap: 1, alignItems: 'center', mt: 1 }}
        >
          Or pick a colour
          <input
            type="color"
            aria-label="A colour to look for"
            value={picked ?? '#7a8f86'}
            onChange={(event) => setPicked(event.target.value)}
            style={{ width: 56, height: 40, border: 0, background: 'none' }}
          />
        </Typography>
        {sought !== null && (
          <Box sx={{ mt: 1, maxWidth: 240 }}>
            <ColourStrip parts={[{ lab: sought.lab, share: 1 }]} />
            <Typography variant="body2">
              {sought.byGrey ? `${colourWord(sought.lab)}: ${labWords(sought.lab)}` : 'by eye, not measured'}
            </Typography>
          </Box>
        )}
      </Box>
      {sought !== null && <Nearest lab={sought.lab} byGrey={sought.byGrey} {...choices} />}
    </Box>
  );
}

/** The picture with what was touched; the arrow keys move the spot too. */
function Touched({
  picture: { url, raster },
  at,
  steps,
  onTouch,
}: {
  picture: OpenPicture;
  at: Spot | null;
  steps: readonly Spot[];
  onTouch: (at: Spot) => void;
}) {
  const aspect = raster.height / raster.width;
  const place = (event: PointerEvent<HTMLElement>): Spot => {
    const { left, top, width, height } = event.currentTarget.getBoundingClientRect();
    return { x: (event.clientX - left) / width, y: (event.clientY - top) / height };
  };
  const STEP: Record<string, [number, number]> = {
    ArrowLeft: [-0.01, 0],
    ArrowRight: [0.01, 0],
    ArrowUp: [0, -0.01],
    ArrowDown: [0, 0.01],
  };
  const inside = (value: number): number => Math.min(0.999, Math.max(0, value));
  return (
    <Box
      component="button"
      type="button"
      aria-label="Touch the glaze in the picture; the arrow keys move the spot"
      onPointerDown={(event) => onTouch(place(event))}
      onKeyDown={(event) => {
        const by = STEP[event.key];
        if (by === undefined && event.key !== 'Enter') return;
        event.preventDefault();
        const from = at ?? { x: 0.5, y: 0.5 };
        onTouch({ x: inside(from.x + (by?.[0] ?? 0)), y: inside(from.y + (by?.[1] ?? 0)) });
      }}
      sx={{
        all: 'unset',
        display: 'block',
        position: 'relative',
        cursor: 'crosshair',
        width: `min(100%, calc(60dvh / ${aspect}))`,
        aspectRatio: `${1 / aspect}`,
        bgcolor: 'booth.ground',
        '&:focus-visible': { outline: '3px solid' },
      }}
    >
      {/* eslint-disable-next-line @next/next/no-img-element -- a picture on this device */}
      <img src={url} alt="" style={{ width: '100%', height: '100%', display: 'block' }} />
      <svg
        aria-hidden
        viewBox={`0 0 1000 ${1000 * aspect}`}
        style={{ position: 'absolute', inset: 0, width: '100%', height: '100%' }}
      >
        {steps.map(({ x, y }, i) => (
          <rect
            key={i}
            x={1000 * x - 12}
            y={1000 * aspect * y - 12}
            width={24}
            height={24}
            fill="none"
            stroke="#fff"
            strokeWidth={4}
            style={{ filter: 'drop-shadow(0 0 2px #000)' }}
          />
        ))}
        {at !== null && (
          <g fill="none" transform={`translate(${1000 * at.x} ${1000 * aspect * at.y})`}>
            <circle r={26} stroke="#000" strokeOpacity={0.6} strokeWidth={9} />
            <circle r={26} stroke="#fff" strokeWidth={4} />
          </g>
        )}
      </svg>
    </Box>
  );
}
