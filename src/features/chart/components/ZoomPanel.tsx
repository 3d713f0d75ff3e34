'use client';
import Close from '@mui/icons-material/Close';
import SwapVert from '@mui/icons-material/SwapVert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Drawer from '@mui/material/Drawer';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import Link from '@/ui/Link';
import { useEffect, useState } from 'react';
import type { Units } from '@/core/units';
import { nameIn } from '@/core/zones';
import { call } from '@/platform/client';
import { pictureUrl } from '@/ui/picture-url';
import { ProblemNote } from '@/ui/Problem';
import { Cautions } from '@/ui/Caution';
import type { Zoom } from '../zoom';
import { ARROWS } from './chart-keys';
import { pairWords, placeWords, type Place } from '../words';
import type { Pair } from '../board';
import { CellHead } from './CellHead';
import { ZoomPiece } from './ZoomPiece';
import { TakeAsControl } from '../../control';
import { Stands } from './Stands';
import { SeenElsewhere } from './SeenElsewhere';
import type { Elsewhere } from '@/data/board';

const ZoomPicture = dynamic(() => import('./ZoomPicture').then((module) => module.ZoomPicture), {
  ssr: false,
});

const CellColour = dynamic(() => import('../../frames').then((module) => module.CellColour), {
  ssr: false,
});

type Props = {
  /** The pair, or, of deeper stacks, the cell itself. */
  at: Pair | { cell: string; words: string };
  chosen: { body: string; cone: string; atmosphere: string; slips: string };
  place: Place;
  names: Record<string, string>;
  units: Units;
  timeZone: string;
  share: string | null;
  mayMake: boolean;
  onClose: () => void;
  onTurn: () => void;
  onStep: (rows: number, columns: number) => void;
  /** A letter of the board: another body, cone or air, with the cell kept open. */
  onLetter: (key: string) => void;
  onElsewhere: (one: Elsewhere) => void;
};

/** One position of the board close up: every piece behind it, its layers, firing and what was seen. */
export function ZoomPanel(props: Props) {
  const { at, chosen } = props;
  const cell = 'cell' in at ? at.cell : null;
  const { base, over } = 'cell' in at ? { base: '', over: null } : at;
  const [zoom, setZoom] = useState<Zoom | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [picture, setPicture] = useState<string | null>(null);
  /** Read again when something here was changed. */
  const [again, setAgain] = useState(0);
  const name = (slug: string): string => props.names[slug] ?? slug;
  const pair = 'cell' in at ? at.words : pairWords(name(base), over === null ? null : name(over));
  useEffect(() => {
    const query = new URLSearchParams({
      body: chosen.body,
      cone: chosen.cone,
      atmosphere: chosen.atmosphere,
      ground: chosen.slips,
      base,
    });
    if (cell !== null) query.set('cell', cell);
    if (over !== null) query.set('over', over);
    if (props.share !== null) query.set('share', props.share);
    let current = true;
    void call<Zoom>(`/api/zoom?${query.toString()}`, {}).then((answer) => {
      if (!current) return;
      if (answer.ok) setZoom(answer.data);
      else setProblem(answer.problem.message);
    });
    return () => {
      current = false;
    };
  }, [again, base, over, cell, chosen.body, chosen.cone, chosen.atmosphere, chosen.slips, props.share]);
  const pictures =
    zoom?.pieces.flatMap((piece) =>
      piece.photos.map((photo) => ({ ...photo, code: piece.code, cellId: piece.cellId })),
    ) ?? [];
  const shown =
    pictures.find((one) => one.sha === picture) ??
    pictures.find((one) => one.sha === zoom?.cells[0]?.photo) ??
    pictures[0];
  const makeQuery = new URLSearchParams({
    base,
    ...(over ? { over } : {}),
    body: chosen.body,
    cone: chosen.cone,
    atmosphere: chosen.atmosphere,
  });
  return (
    <Drawer
      anchor="right"
      open
      onClose={props.onClose}
      slotProps={{ paper: { sx: { width: { xs: '100%', md: 760 } }, 'aria-label': pair } }}
      onKeyDown={(event) => {
        const step = ARROWS[event.key];
        event.stopPropagation();
        if (step) {
          event.preventDefault();
          props.onStep(...step);
        } else if (event.key === 'o' && over !== null) props.onTurn();
        else if (event.key === 'Escape') props.onClose();
        else if (!event.ctrlKey && !event.metaKey) props.onLetter(event.key);
      }}
    >
      <Box
        sx={{
          p: 2,
          display: 'flex',
          gap: 1,
          alignItems: 'flex-start',
          borderBottom: '2px solid',
          borderColor: 'text.primary',
        }}
      >
        <Box sx={{ flex: 1 }}>
          <Typography variant="h1" component="h2">
            {pair}
          </Typography>
          <Typography color="text.secondary">{placeWords(props.place)}</Typography>
        </Box>
        {over !== null && (
          <Button startIcon={<SwapVert />} onClick={props.onTurn}>
            {name(base)} over {name(over)}
          </Button>
        )}
        <IconButton aria-label="Close" onClick={props.onClose} autoFocus>
          <Close />
        </IconButton>
      </Box>
      <Box sx={{ p: 2 }}>
        <ProblemNote>{problem}</ProblemNote>
        {zoom === null && problem === null && <Typography>Looking …</Typography>}
        {zoom?.cells.length === 0 && (
          <Box>
            <Typography sx={{ fontSize: '1.3rem', fontWeight: 650 }}>
              {zoom.elsewhere.length > 0 ? 'Untried here, seen elsewhere:' : 'Untried.'}
            </Typography>
            <SeenElsewhere zoom={zoom} name={name} share={props.share} onGo={props.onElsewhere} />
            <Typography sx={{ mb: 2 }}>
              {zoom.elsewhere.length > 0
                ? `On ${placeWords(props.place)} nobody has fired ${pair} yet.`
                : `Nobody has fired ${pair} yet, on any body.`}
            </Typography>
            {props.mayMake ? (
              <>
                <Button
                  component={Link}
                  href={`/tests/make?${makeQuery.toString()}`}
                  variant="contained"
                  size="large"
                >
                  Make this tile
                </Button>{' '}
                <Button
                  component={Link}
                  href={`/tests/fired?${new URLSearchParams({ body: chosen.body, cone: chosen.cone, atmosphere: chosen.atmosphere, at: `${base}/${over ?? ''}` })}`}
                  size="large"
                >
                  I hold one, fired
                </Button>
              </>
            ) : (
              props.share === null && <Typography>Ask a technician or teacher to make this tile.</Typography>
            )}
          </Box>
        )}
        {shown && (
          <ZoomPicture
            src={pictureUrl(shown.sha, 'large', props.share)}
            alt={`${pair}, piece ${shown.code}`}
            cut={shown.cut}
          />
        )}
        {shown && props.mayMake && zoom !== null && (
          <Stands
            picture={shown}
            stands={zoom.cells.find(({ id }) => id === shown.cellId)?.photo === shown.sha}
            onDone={() => setAgain((times) => times + 1)}
          />
        )}
        {pictures.length > 1 && (
          <Box
            sx={{
              display: 'flex',
              gap: '3px',
              flexWrap: 'wrap',
              p: '3px',
              bgcolor: 'booth.ground',
            }}
          >
            {pictures.slice(0, 30).map((one) => (
              <Box
                key={one.sha}
                component="button"
                type="button"
                aria-label={`Picture of ${one.code}`}
                aria-pressed={one.sha === shown?.sha}
                onClick={() => setPicture(one.sha)}
                sx={{
                  all: 'unset',
                  cursor: 'pointer',
                  width: 54,
                  height: 72,
                  outline: one.sha === shown?.sha ? '3px solid' : 'none',
                  '&:focus-visible': { outline: '3px solid' },
                }}
              >
                {/* eslint-disable-next-line @next/next/no-img-element -- sizes are made on the server */}
                <img
                  src={pictureUrl(one.sha, 'small', props.share)}
                  alt=""
                  style={{ width: '100%', height: '100%', objectFit: 'cover' }}
                />
              </Box>
            ))}
          </Box>
        )}
        {zoom !== null && <Cautions>{zoom.cautions}</Cautions>}
        {zoom?.cells.map((cell) => (
          <Box key={cell.id} component="section" sx={{ mt: 2 }}>
            <CellHead
              cell={cell}
              units={props.units}
              name={nameIn(props.names)}
              codes={new Map(zoom.pieces.map(({ pieceId, code }) => [pieceId, code]))}
            />
            {cell.colour !== null && <CellColour colour={cell.colour} repeats={zoom.repeats} />}
            {props.mayMake && !cell.refired && <TakeAsControl cellId={cell.id} />}
            {zoom.pieces
              .filter((piece) => piece.cellId === cell.id)
              .map((piece) => (
                <ZoomPiece key={`${piece.pieceId}${piece.firingId}`} piece={piece} units={props.units} />
              ))}
          </Box>
        ))}
        {zoom !== null && zoom.cells.length > 0 && zoom.elsewhere.length > 0 && (
          <Box component="section" sx={{ mt: 2 }}>
            <Typography variant="h3">Where else it was seen</Typography>
            <SeenElsewhere zoom={zoom} name={name} share={props.share} onGo={props.onElsewhere} />
          </Box>
        )}
        {zoom !== null && zoom.cells.length > 0 && props.mayMake && cell === null && (
          <Button
            component={Link}
            href={`/tests/make?${makeQuery.toString()}`}
            variant="outlined"
            sx={{ mt: 2 }}
          >
            Make another of it
          </Button>
        )}
      </Box>
    </Drawer>
  );
}
