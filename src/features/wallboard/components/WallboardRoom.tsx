'use client';
import AddAPhoto from '@mui/icons-material/AddAPhotoOutlined';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Spot } from '@/core/frame';
import type { Card } from '@/core/sight';
import { count } from '@/core/units';
import { onRecord, send } from '@/platform/client';
import { useFileAct } from '@/platform/device/file-act';
import { useProgress } from '@/platform/useProgress';
import { useSend } from '@/platform/useSend';
import { DropFile } from '@/ui/DropFile';
import Link from '@/ui/Link';
import { Section } from '@/ui/Page';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { FrameDrawing } from '../../frames';
import { putAway } from '../../exchange/contracts';
import { bringBoard, type Brought } from '../contracts';
import { placesOn, toBring } from '../said';
import { useSaid } from '../useSaid';
import { useWallPicture } from '../useWallPicture';
import { BoardTable, type Names } from './BoardTable';
import { ForAll } from './ForAll';
import { Side } from './Side';
import { Summary } from './Summary';
import { TileWords } from './TileWords';

/**
 * A photographed wall board: laid over with its rows and columns, headed, looked through, and brought in as
 * one.
 */
export function WallboardRoom({
  card,
  names,
  kilns,
}: {
  card: Card | null;
  names: Names;
  kilns: readonly { id: string; name: string }[];
}) {
  const router = useRouter();
  const say = useSay();
  const { act } = useSend();
  const { said, places, onSay, onPlace, forget } = useSaid();
  const wall = useWallPicture(card);
  const [at, setAt] = useState<string | null>(null);
  const [touching, setTouching] = useState<Spot[] | null>(null);
  const [done, setDone] = useState<Brought | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const fileAct = useFileAct(bringBoard.name);
  const [busy, setBusy] = useState<string | null>(null);
  const progress = useProgress(busy);
  const { picture, grid, file } = wall;
  const list = placesOn(wall.tiles, said.board, places);
  const steps = card?.length ?? 1;
  const touch = (spot: Spot): void => {
    const next = [...(touching ?? []), spot];
    if (next.length < steps) return setTouching(next);
    wall.setGrey(next);
    setTouching(null);
  };
  const bring = async (): Promise<void> => {
    if (file === null) return;
    const id = fileAct.idOf(file);
    setBusy(id);
    setProblem(null);
    const answer = await send(bringBoard, toBring(said, list, wall.grey), id, file);
    setBusy(null);
    if (!answer.ok) setProblem(answer.problem.message);
    const data = onRecord(answer);
    if (data === null) return;
    setDone(data);
    fileAct.done(file);
    forget();
    wall.close();
    router.refresh();
    say(
      `${count(data.pieceIds.length, 'tile')} brought in`,
      () =>
        void act(putAway, { lotId: data.lotId, coatingIds: data.coatingIds, binned: true }).then(({ ok }) => {
          if (ok) {
            setDone(null);
            setProblem(null);
          }
          router.refresh();
        }),
    );
  };
  if (done !== null)
    return (
      <Box>
        <Typography variant="h2">On record: {count(done.pieceIds.length, 'tile')} of this board</Typography>
        <ProblemNote>{problem}</ProblemNote>
        <Typography sx={{ my: 1 }}>
          {done.measured > 0
            ? 'Their colours are measured by the grey card. '
            : 'Without a grey card their colours are shown and not compared. '}
          {done.coatingIds.length > 0 &&
            `${count(done.coatingIds.length, 'coating')} new: give them kind, range and cautions in the store.`}
        </Typography>{' '}
        <Button
          component={Link}
          href={done.chart === null ? '/chart' : `/chart?${new URLSearchParams(done.chart).toString()}`}
          variant="contained"
        >
          Look at the chart
        </Button>{' '}
        <Button
          onClick={() => {
            setDone(null);
            setProblem(null);
          }}
        >
          Another board
        </Button>
      </Box>
    );
  return (
    <Box>
      <DropFile
        label={
          <>
            <AddAPhoto aria-hidden />
            {picture === null ? 'Take or drop a picture of the board' : 'Another picture'}
          </>
        }
        name="Picture of the board"
        accept="image/*"
        minHeight={picture === null ? 180 : 52}
        onFile={(next) => {
          setTouching(null);
          setProblem(null);
          void wall.open(next);
        }}
      />
      <ProblemNote>{wall.problem}</ProblemNote>
      {wall.looking && <LinearProgress aria-label="Looking for the board" />}
      {picture !== null && grid !== null && (
        <>
          <Box
            sx={{
              display: 'grid',
              gap: 3,
              gridTemplateColumns: { xs: '1fr', md: 'minmax(0, 1fr) minmax(0, 1fr)' },
              mb: 3,
            }}
          >
            <Box>
              <FrameDrawing
                src={picture.url}
                alt="The board"
                aspect={picture.raster.height / picture.raster.width}
                frames={[
                  { face: 0, label: 'Board', shape: { kind: 'corners', corners: grid.corners }, zones: [] },
                ]}
                outlines={list.flatMap(({ corners, hangs }) => (hangs ? [corners] : []))}
                grey={touching ?? wall.grey ?? []}
                onShape={(_, shape) => shape.kind === 'corners' && wall.change({ corners: shape.corners })}
                onGrey={wall.setGrey}
                onTouch={touching === null ? null : touch}
                onLoaded={() => undefined}
              />
              <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 3, mt: 1 }}>
                <Side what="rows" value={grid.rows} onChange={(rows) => wall.change({ rows })} />
                <Side what="columns" value={grid.columns} onChange={(columns) => wall.change({ columns })} />
              </Box>
              <Typography role="status" variant="body2" sx={{ mt: 1 }}>
                {touching !== null
                  ? `Touch step ${touching.length + 1} of ${steps} of the grey card, from dark to light.`
                  : (wall.doubt ??
                    'Corners lie on the outermost tiles. Drag them, or move them with the arrow keys.')}{' '}
                {touching === null &&
                  wall.grey === null &&
                  'No grey card is seen: colours will not be compared by number.'}
              </Typography>
              {card !== null && (
                <Button size="small" onClick={() => setTouching(touching === null ? [] : null)}>
                  {touching !== null
                    ? 'Leave it'
                    : wall.grey === null
                      ? 'Touch the grey card'
                      : 'Grey is elsewhere'}
                </Button>
              )}
            </Box>
            <ForAll said={said} kilns={kilns} bodies={names.bodies} onSay={onSay} />
          </Box>
          <Section title="Tile by tile">
            <Typography sx={{ mb: 1 }}>
              Type the headings; a list pasted into one fills those after it. Touch a tile that is something
              else, or where none hangs.
            </Typography>
            <BoardTable
              raster={picture.raster}
              list={list}
              board={said.board}
              counts={grid}
              names={names}
              at={at}
              onHeadings={(side, headings) =>
                onSay({ board: { ...said.board, [side]: { ...said.board[side], headings } } })
              }
              onTouch={setAt}
            />
            <TileWords one={list.find(({ key }) => key === at) ?? null} onPlace={onPlace} />
          </Section>
          <ProblemNote>{problem}</ProblemNote>
          <Summary
            said={said}
            list={list}
            names={names}
            busy={busy !== null || !wall.settled}
            onBring={() => void bring()}
          />
          {busy && (
            <LinearProgress
              variant={progress === null ? 'indeterminate' : 'determinate'}
              value={100 * (progress?.share ?? 0)}
              aria-label="Bringing the board in"
            />
          )}{' '}
          {busy && <Typography role="status">{progress?.doing ?? 'Sending the picture'}</Typography>}
        </>
      )}
    </Box>
  );
}
