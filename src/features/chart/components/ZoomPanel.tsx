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
import { signOf } from '@/core/signs';
import { describeStanding } from '@/core/standing';
import { formatLength, type Units } from '@/core/units';
import { describeAmount, describeStack, stackOf } from '@/core/zones';
import type { Cell } from '@/data/board';
import { call } from '@/platform/client';
import { pictureUrl } from '@/ui/Picture';
import { ProblemNote } from '@/ui/Problem';
import { MONO } from '@/ui/theme';
import { calendarDay } from '@/ui/time';
import { Glyph, RunArrow } from '../../drawings';
import { reachedWords } from '../../kilns';
import type { Zoom } from '../queries';
import { pairWords, placeWords, type Place } from '../words';

const ZoomPicture = dynamic(() => import('./ZoomPicture').then((module) => module.ZoomPicture), {
  ssr: false,
});

type Props = {
  base: string;
  over: string | null;
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
};

/** One position of the board close up: every piece behind it, its layers, firing and what was seen. */
export function ZoomPanel(props: Props) {
  const { base, over, chosen } = props;
  const [zoom, setZoom] = useState<Zoom | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [picture, setPicture] = useState<string | null>(null);
  const name = (slug: string): string => props.names[slug] ?? slug;
  const pair = pairWords(name(base), over === null ? null : name(over));
  useEffect(() => {
    const query = new URLSearchParams({
      body: chosen.body,
      cone: chosen.cone,
      atmosphere: chosen.atmosphere,
      ground: chosen.slips,
      base,
    });
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
  }, [base, over, chosen.body, chosen.cone, chosen.atmosphere, chosen.slips, props.share]);
  const pictures =
    zoom?.pieces.flatMap((piece) =>
      piece.photos.map((photo) => ({ sha: photo.sha, code: piece.code })),
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
        const steps: Record<string, [number, number]> = {
          ArrowUp: [-1, 0],
          ArrowDown: [1, 0],
          ArrowLeft: [0, -1],
          ArrowRight: [0, 1],
        };
        const step = steps[event.key];
        event.stopPropagation();
        if (step) {
          event.preventDefault();
          props.onStep(...step);
        } else if (event.key === 'o' && over !== null) props.onTurn();
        else if (event.key === 'Escape') props.onClose();
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
            <Typography sx={{ fontSize: '1.3rem', fontWeight: 650 }}>Untried here.</Typography>
            <Typography sx={{ mb: 2 }}>
              Nobody has fired {pair} on {placeWords(props.place)} yet.
            </Typography>
            {props.mayMake ? (
              <Button
                component={Link}
                href={`/tests/make?${makeQuery.toString()}`}
                variant="contained"
                size="large"
              >
                Make this tile
              </Button>
            ) : (
              props.share === null && (
                <Typography>Ask a technician or teacher to make this tile.</Typography>
              )
            )}
          </Box>
        )}
        {shown && (
          <ZoomPicture
            src={pictureUrl(shown.sha, 'large', props.share)}
            alt={`${pair}, piece ${shown.code}`}
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
        {zoom?.cells.map((cell) => (
          <Box key={cell.id} component="section" sx={{ mt: 2 }}>
            <CellHead cell={cell} units={props.units} />
            {zoom.pieces
              .filter((piece) => piece.cellId === cell.id)
              .map((piece) => (
                <Box
                  key={`${piece.pieceId}${piece.firingId}`}
                  sx={{ borderTop: '1px solid', borderColor: 'divider', py: 1 }}
                >
                  <Typography>
                    {props.share === null && props.mayMake ? (
                      <Link
                        href={`/pieces/${piece.code}`}
                        style={{ fontFamily: MONO, fontWeight: 700 }}
                      >
                        {piece.code}
                      </Link>
                    ) : (
                      <b style={{ fontFamily: MONO }}>{piece.code}</b>
                    )}
                    {piece.mark ? ` “${piece.mark}”` : ''}, {piece.variables.form};{' '}
                    {piece.firing
                      ? `${piece.firing.kilnName} ${piece.firing.no}, ${calendarDay(piece.firing.plannedFor)}, ${reachedWords(piece.firing)}`
                      : ''}
                  </Typography>
                  <Typography variant="body2" color="text.secondary">
                    {describeStack(stackOf(piece.layers), name, { amounts: true })}
                    {piece.variables['seconds in the bucket']
                      ? `; ${piece.variables['seconds in the bucket']} in the bucket`
                      : ''}
                    {piece.variables['stood on'] ? `; on ${piece.variables['stood on']}` : ''}
                  </Typography>
                  <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
                    <Typography sx={{ fontWeight: 600 }}>
                      {[piece.surface, piece.colour, piece.rating ? `${piece.rating} of 5` : null]
                        .filter(Boolean)
                        .join(', ')}
                    </Typography>
                    {(piece.movementMm ?? 0) > 0 && (
                      <Box sx={{ display: 'flex', alignItems: 'center' }}>
                        <RunArrow mm={piece.movementMm as number} />{' '}
                        {formatLength(piece.movementMm as number, props.units)}
                      </Box>
                    )}
                    {piece.signs.map((sign) => (
                      <Box key={sign.sign} sx={{ display: 'flex', alignItems: 'center', gap: 0.5 }}>
                        <Glyph sign={sign.sign} severity={sign.severity} label={false} size={24} />
                        {signOf(sign.sign)?.name}
                        {sign.wanted ? ' (wanted)' : ''}
                      </Box>
                    ))}
                  </Box>
                </Box>
              ))}
          </Box>
        ))}
        {zoom !== null && zoom.cells.length > 0 && props.mayMake && (
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

/** One way the pair was put on, and how well it is known. */
function CellHead({ cell, units }: { cell: Cell; units: Units }) {
  const amounts = cell.stackKey
    .split(' + ')
    .map((part) => describeAmount(part.replace(/^\S+ /, '')));
  const about = (subject: string): string =>
    subject === 'surface' ? 'the surface' : (signOf(subject)?.name ?? subject).toLowerCase();
  return (
    <>
      <Typography variant="h2">{amounts.reverse().join(' over ')}</Typography>
      <Typography>
        <b>{describeStanding(cell.standing)}</b>: {cell.pieces}{' '}
        {cell.pieces === 1 ? 'piece' : 'pieces'} in {cell.firings}{' '}
        {cell.firings === 1 ? 'firing' : 'firings'}
        {cell.surface ? `, ${cell.surface}` : ''}
        {cell.movementMm ? `, runs ${formatLength(cell.movementMm, units)}` : ''}
        {cell.met ? `, coats ${cell.met}` : ''}
      </Typography>
      {cell.contradictions.map((contradiction) => (
        <Box key={contradiction.about} sx={{ borderLeft: '4px solid', pl: 1, my: 0.5 }}>
          <Typography>
            The pieces disagree about {about(contradiction.about)}:{' '}
            {contradiction.sides.map((side) => `${side.pieces.length} ${side.value}`).join(', ')}.
          </Typography>
          {contradiction.differIn.slice(0, 4).map((one) => (
            <Typography key={one.variable} variant="body2">
              {one.wholly ? 'They differ wholly in' : 'They differ partly in'} {one.variable}:{' '}
              {one.values.map((values) => values.join(', ')).join(' against ')}.
            </Typography>
          ))}
          {contradiction.differIn.length === 0 && (
            <Typography variant="body2">Nothing on record tells them apart.</Typography>
          )}
        </Box>
      ))}
    </>
  );
}
