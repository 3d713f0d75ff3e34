'use client';
import AddAPhoto from '@mui/icons-material/AddAPhotoOutlined';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { outlineOf, type Spot } from '@/core/frame';
import type { Card } from '@/core/sight';
import { count } from '@/core/units';
import { send } from '@/platform/client';
import { useSend } from '@/platform/useSend';
import { v7 } from 'uuid';
import { ProblemNote } from '@/ui/Problem';
import { MONO } from '@/ui/theme';
import { useSay } from '@/ui/Undo';
import * as contracts from '../contracts';
import { framesOfPieces, given, inOrder, type Found, type OnShelf } from '../on-shelf';
import { openPicture, type OpenPicture } from '../pixels';
import { shelfIn } from '../propose';

const WHOLE = { stretch: { from: 0, to: 1 }, sector: { from: 0, to: 1 } };

/**
 * One picture of a shelf: what lies there is found and numbered, given to its pieces, and kept in one act.
 */
export function ShelfPicture({
  firingId,
  pieces,
  card,
}: {
  firingId: string;
  pieces: readonly OnShelf[];
  card: Card | null;
}) {
  const router = useRouter();
  const say = useSay();
  const { act } = useSend();
  const [file, setFile] = useState<File | null>(null);
  const [picture, setPicture] = useState<OpenPicture | null>(null);
  const [list, setList] = useState<Found[] | null>(null);
  const [grey, setGrey] = useState<Spot[] | null>(null);
  const [shelf, setShelf] = useState('');
  const [at, setAt] = useState(0);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => () => URL.revokeObjectURL(picture?.url ?? ''), [picture]);
  const shelves = [...new Set(pieces.flatMap((one) => one.shelf ?? []))].sort((a, b) => a - b);
  const there = pieces.filter((one) => shelf === '' || String(one.shelf) === shelf);
  const slots = there.flatMap(({ id, code, faces }) =>
    faces.map((face) => ({
      value: `${id}/${face}`,
      label: faces.length > 1 ? `${code}, face ${face}` : code,
    })),
  );
  const open = async (next: File | undefined): Promise<void> => {
    if (next === undefined) return;
    setProblem(null);
    setList(null);
    try {
      const opened = await openPicture(next);
      setFile(next);
      setPicture(opened);
      const seen = await shelfIn(opened.raster, card);
      setGrey(seen.grey);
      setList(inOrder(seen.shapes, there));
      setAt(0);
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    }
  };
  const keep = async (): Promise<void> => {
    if (file === null || list === null) return;
    setBusy(true);
    const answer = await send(
      contracts.addShelf,
      { firingId, pieces: framesOfPieces(list), grey },
      v7(),
      file,
    );
    setBusy(false);
    if (!answer.ok) return setProblem(answer.problem.message);
    const { photoIds, added, measured } = answer.data;
    say(
      `${count(photoIds.length, 'piece')} have this picture, ${measured} measured by the grey card`,
      () => void act(contracts.putShelfAway, { photoIds: added, binned: true }).then(() => router.refresh()),
    );
    setPicture(null);
    setList(null);
    setFile(null);
    router.refresh();
  };
  const aspect = picture === null ? 1 : picture.raster.height / picture.raster.width;
  const named = list?.filter(({ of }) => of !== null).length ?? 0;
  const codeOf = (of: Found['of']): string => pieces.find(({ id }) => id === of?.pieceId)?.code ?? '';
  return (
    <Box>
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', mb: 2 }}>
        {shelves.length > 1 && (
          <TextField
            select
            size="small"
            fullWidth={false}
            label="Shelf"
            value={shelf}
            sx={{ minWidth: 140 }}
            onChange={({ target }) => {
              setShelf(target.value);
              const next = pieces.filter((one) => target.value === '' || String(one.shelf) === target.value);
              setList(
                (held) =>
                  held &&
                  inOrder(
                    held.map((one) => one.shape),
                    next,
                  ),
              );
            }}
          >
            <MenuItem value="">all of them</MenuItem>
            {shelves.map((no) => (
              <MenuItem key={no} value={String(no)}>
                {no}
              </MenuItem>
            ))}
          </TextField>
        )}
        <Button component="label" variant="outlined" startIcon={<AddAPhoto aria-hidden />}>
          {picture === null ? 'Take or choose the picture' : 'Another picture'}
          <input
            hidden
            type="file"
            accept="image/*"
            aria-label="Picture of the shelf"
            onChange={(event) => {
              void open(event.target.files?.[0]);
              event.target.value = '';
            }}
          />
        </Button>
      </Box>
      <ProblemNote>{problem}</ProblemNote>
      {picture !== null && (
        <Box
          sx={{
            position: 'relative',
            bgcolor: 'booth.ground',
            width: `min(100%, calc(64dvh / ${aspect}))`,
            aspectRatio: `${1 / aspect}`,
            mb: 1.5,
          }}
        >
          {/* eslint-disable-next-line @next/next/no-img-element -- a picture on this device */}
          <img
            src={picture.url}
            alt="The shelf"
            style={{ width: '100%', height: '100%', display: 'block' }}
          />
          <svg
            viewBox={`0 0 1000 ${1000 * aspect}`}
            style={{ position: 'absolute', inset: 0, width: '100%', height: '100%' }}
          >
            {list?.map(({ shape, of }, i) => {
              const outline = outlineOf(shape, WHOLE, aspect);
              const points = outline.map(({ x, y }) => `${1000 * x},${1000 * aspect * y}`).join(' ');
              const middle = {
                x: outline.reduce((sum, one) => sum + one.x, 0) / outline.length,
                y: outline.reduce((sum, one) => sum + one.y, 0) / outline.length,
              };
              return (
                <g
                  key={i}
                  role="button"
                  tabIndex={0}
                  aria-label={`Number ${i + 1}, ${codeOf(of) || 'none of them'}`}
                  onClick={() => setAt(i)}
                  onKeyDown={({ key }) => key === 'Enter' && setAt(i)}
                  style={{ cursor: 'pointer' }}
                >
                  <polygon points={points} fill="transparent" stroke="#000" strokeWidth={i === at ? 14 : 8} />
                  <polygon
                    points={points}
                    fill="none"
                    stroke="#fff"
                    strokeWidth={i === at ? 7 : 3}
                    strokeDasharray={of === null ? '14 12' : undefined}
                  />
                  <text
                    x={1000 * middle.x}
                    y={1000 * aspect * middle.y}
                    textAnchor="middle"
                    fontSize={28}
                    fontWeight={700}
                    fill="#fff"
                    stroke="#000"
                    strokeWidth={5}
                    paintOrder="stroke"
                  >
                    {/* The number above, the code beneath: neither runs over its neighbour's. */}
                    {i + 1}
                    <tspan x={1000 * middle.x} dy={24} fontSize={19}>
                      {codeOf(of)}
                    </tspan>
                  </text>
                </g>
              );
            })}
          </svg>
        </Box>
      )}
      {picture !== null && (
        <Typography role="status" sx={{ mb: 1 }}>
          {list === null
            ? 'Looking for what lies there …'
            : list.length === 0
              ? 'Nothing stands out from its ground here. Take it again with some of the shelf showing between the pieces.'
              : `${list.length} found, given in the order of the plan. Touch one, then say which it is${grey === null ? '. No grey card found: colours are not measured.' : '.'}`}
        </Typography>
      )}
      {list !== null && list.length > 0 && (
        <>
          <Box
            role="group"
            aria-label={`Number ${at + 1} is`}
            sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, mb: 2 }}
          >
            {[...slots, { value: '', label: 'none of them' }].map(({ value, label }) => {
              const [pieceId = '', face] = value.split('/');
              const of = value === '' ? null : { pieceId, face: Number(face) };
              const own = list[at]?.of ?? null;
              const chosen = of === null ? own === null : own?.pieceId === of.pieceId && own.face === of.face;
              return (
                <Button
                  key={value}
                  size="small"
                  variant={chosen ? 'contained' : 'outlined'}
                  aria-pressed={chosen}
                  onClick={() => {
                    setList(given(list, at, of));
                    setAt(Math.min(list.length - 1, at + 1));
                  }}
                  sx={{ fontFamily: MONO, minHeight: 44 }}
                >
                  {label}
                </Button>
              );
            })}
          </Box>
          <Button variant="contained" size="large" disabled={busy || named === 0} onClick={() => void keep()}>
            {busy ? 'Keeping …' : `Keep for ${count(framesOfPieces(list).length, 'piece')}`}
          </Button>
        </>
      )}
    </Box>
  );
}
